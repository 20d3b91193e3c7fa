import { figure } from '../quantity/index.js';
import { distributionOf, switchesFor } from '../supply/index.js';
import { takeRated } from './press.js';
import type { Rule } from './rule.js';

export const switchSurge: Rule = {
  id: 'switch-surge',
  severity: 'stop',
  harm: 'fire',
  basis: 'the hardest start behind the main switch, at the disconnect’s volts, against what its contact bears for seconds',
  why: 'A contact that is carried over its peak welds: then nothing parts the battery in the moment it matters.',
  test: ({ design, catalogue, day, supply: { bank, inverter } }) => {
    const { mainSwitch } = distributionOf(design, catalogue);
    if (!mainSwitch || !bank) return [];
    const dc = day.loads.filter((l) => !l.mains);
    const runningA = dc.reduce((sum, l) => sum + (l.kind === 'current' ? l.runningA : l.runningW / bank.openV), 0);
    const hardestA = Math.max(0, ...dc.map((l) => (l.startW - l.runningW) / bank.openV));
    const surgeA = runningA + Math.max(hardestA + (inverter?.currentA ?? 0), inverter?.surgeA ?? 0);
    return surgeA > mainSwitch.peakA + 1e-9 ? [{ at: { stage: 'supply' as const, about: 'switch' }, values: { amps: figure(surgeA, 0), peak: mainSwitch.peakA } }] : [];
  },
  presses: ({ values: v }, { design, catalogue }) =>
    distributionOf(design, catalogue).hub
      ? []
      : takeRated(
          design,
          switchesFor(design, catalogue),
          (p) => p.peakA,
          Number(v['amps']),
          (s, id) => (s.mainSwitch = id),
        ),
  say: (v) => `The hardest start draws ${v['amps']} A through the main switch, which bears ${v['peak']} A for a start.`,
  fix: () => 'A main switch with a higher peak, or a smaller inverter.',
};
