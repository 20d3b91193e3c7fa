import type { Rule } from './rule.js';

/** More than a fridge, light or socket draws from 12 V: probably a daily figure in Ah or Wh. */
const STRANGE_A = 100;

export const mixedUnits: Rule = {
  id: 'mixed-units',
  severity: 'look',
  harm: 'broken gear',
  basis: 'A for Ah and W for Wh are the commonest slips in a load list',
  why: 'A daily figure typed as a running one makes cable, fuse and battery many times too big.',
  test: ({ design, day }) =>
    day.loads
      .filter((l) => !l.mains && l.runningA > STRANGE_A)
      .flatMap((l) => {
        const { draw } = design.loads[l.id]!;
        if (draw.by !== 'plate') return [];
        return [{ at: { stage: 'loads' as const, about: `load:${l.id}` }, values: { load: l.name, amps: Math.round(l.runningA), unit: draw.unit, value: draw.value } }];
      }),
  say: (v) => `${v['load']}: ${v['value']} ${v['unit']} is ${v['amps']} A while it runs. Is that ${v['unit']} or ${v['unit']}h a day?`,
  fix: (v) => `If it is ${v['unit']}h a day, divide by the hours it runs.`,
};
