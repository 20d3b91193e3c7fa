import type { Rule } from './rule.js';

export const waysShort: Rule = {
  id: 'ways-short',
  severity: 'stop',
  basis: 'one fuse, one circuit',
  why: 'Two circuits on one fuse hide each other’s faults.',
  test: ({ runs, design, catalogue }) => {
    const used = runs.filter((r) => r.spec.from.gear === 'block').length;
    const block = catalogue.find('fuse-block', design.supply.fuseBlock);
    return block && used > block.ways ? [{ at: { stage: 'supply', about: 'block' }, values: { used, ways: block.ways } }] : [];
  },
  say: (v) => `${v['used']} circuits want a way; the fuse block has ${v['ways']}.`,
  fix: () => 'Choose a bigger fuse block.',
};
