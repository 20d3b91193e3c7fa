import { distributionOf } from '../supply/index.js';
import { takeRated } from './press.js';
import type { Rule } from './rule.js';

export const noDistribution: Rule = {
  id: 'no-distribution',
  severity: 'look',
  harm: 'the plan',
  basis: 'completeness of the supply',
  why: 'Every load then needs its own bolted fuse at the bus bars.',
  test: ({ runs, design, catalogue }) => {
    const loads = runs.filter((r) => r.spec.group === 'loads').length;
    return loads > 1 && !distributionOf(design, catalogue).block ? [{ at: { stage: 'supply', about: 'block' }, values: { loads } }] : [];
  },
  presses: ({ values: v }, { design, catalogue }) =>
    takeRated(
      design,
      catalogue.usual('fuse-block'),
      (p) => p.ways,
      Number(v['loads']),
      (s, id) => (s.fuseBlock = id),
    ),
  say: (v) => `${v['loads']} loads and no fuse block.`,
  fix: () => 'Choose a fuse block.',
};
