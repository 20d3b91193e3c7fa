import { figure } from '../quantity/index.js';
import { distributionOf } from '../supply/index.js';
import { takeRated } from './press.js';
import type { Rule } from './rule.js';

export const disconnectOver: Rule = {
  id: 'disconnect-over',
  severity: 'stop',
  harm: 'fire',
  basis: 'all runs that are fed through the disconnect, at once, against its rating',
  why: 'A contact that carries more than it is rated for welds shut or burns: then nothing cuts the loads off.',
  test: ({ runs, design, catalogue }) => {
    const part = distributionOf(design, catalogue).disconnect;
    if (!part) return [];
    const fed = runs.filter((r) => r.spec.from.plus === 'fed+' || r.spec.from.minus === 'fed-');
    const amps = fed.reduce((sum, r) => sum + r.spec.lastingA, 0);
    return amps > part.ratedA + 1e-9 ? [{ at: { stage: 'supply' as const, about: 'disconnect' }, values: { name: part.name, amps: figure(amps, 0), rated: part.ratedA, many: fed.length } }] : [];
  },
  presses: ({ values: v }, { design, catalogue }) =>
    distributionOf(design, catalogue).hub
      ? []
      : takeRated(
          design,
          catalogue.usual('disconnect'),
          (p) => p.ratedA,
          Number(v['amps']),
          (s, id) => (s.disconnect.part = id),
        ),
  say: (v) => `${v['many']} runs draw ${v['amps']} A together through the ${v['name']}, which carries ${v['rated']} A.`,
  fix: () => 'A larger disconnect, or take the heaviest load off it and let it switch by its own cut-off.',
};
