import type { Rule } from './rule.js';

export const loadWithoutPower: Rule = {
  id: 'load-without-power',
  severity: 'look',
  harm: 'the plan',
  basis: 'completeness of the load list',
  why: 'A load that draws nothing gets no cable, no fuse and no share of the battery.',
  test: ({ design }) =>
    Object.entries(design.loads)
      .filter(([, l]) => (l.draw.by === 'plate' ? l.draw.value : l.draw.by === 'measured' ? l.draw.onA : l.draw.whDay) <= 0)
      .map(([id, l]) => ({
        at: { stage: 'loads' as const, about: `load:${id}` },
        values: { load: l.name || 'unnamed load', unit: l.draw.by === 'plate' ? l.draw.unit : l.draw.by === 'measured' ? 'A' : 'Wh a day' },
      })),
  say: (v) => `${v['load']} draws 0 ${v['unit']}.`,
  fix: () => 'Type its nameplate or measured draw, or take it off the list.',
};
