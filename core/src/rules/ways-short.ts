import { supplyOf } from '../design/index.js';
import { distributionOf } from '../supply/index.js';
import { takeRated } from './press.js';
import type { Rule } from './rule.js';

export const waysShort: Rule = {
  id: 'ways-short',
  severity: 'stop',
  basis: 'one fuse, one circuit',
  why: 'Two circuits on one fuse hide each other’s faults.',
  test: ({ runs, design, catalogue }) => {
    const { block, hub } = distributionOf(design, catalogue);
    const used = runs.filter((r) => r.spec.limitingParts.some((w) => w.kind === (hub ? 'hub way' : 'block way'))).length;
    return block && used > block.ways ? [{ at: { stage: 'supply', about: 'block' }, values: { used, ways: block.ways, name: hub ? 'hub board' : 'fuse block' } }] : [];
  },
  presses: ({ values: v }, { design, catalogue }) =>
    supplyOf(design).hub
      ? takeRated(
          design,
          catalogue.usual('hub'),
          (p) => p.ways,
          Number(v['used']),
          (s, id) => (s.hub = id),
        )
      : takeRated(
          design,
          catalogue.usual('fuse-block'),
          (p) => p.ways,
          Number(v['used']),
          (s, id) => (s.fuseBlock = id),
        ),
  say: (v) => `${v['used']} circuits want a way; the ${v['name']} has ${v['ways']}.`,
  fix: () => 'A bigger one, or loads that share a switch bank or strip.',
};
