import type { Rule } from './rule.js';

export const lengthEstimated: Rule = {
  id: 'length-estimated',
  severity: 'look',
  basis: 'routed lengths are for quoting, measured ones for cutting',
  why: 'Size, drop and the cut list hang on the length.',
  test: ({ runs }) => {
    const guessed = runs.filter((r) => r.spec.lengthFrom === 'routed');
    return guessed.length ? [{ at: { stage: 'runs', about: guessed[0]!.spec.id }, values: { count: guessed.length, all: runs.length } }] : [];
  },
  say: (v) => `${v['count']} of ${v['all']} lengths come from the vehicle’s own ways, not from a string laid along them.`,
  fix: () => 'Lay a string along the way, and type the lengths under Runs.',
};
