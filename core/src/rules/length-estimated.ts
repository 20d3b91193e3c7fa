import type { Rule } from './rule.js';

export const lengthEstimated: Rule = {
  id: 'length-estimated',
  severity: 'look',
  basis: 'estimated lengths are for quoting, measured ones for cutting',
  why: 'Size, drop and the cut list hang on the length.',
  test: ({ runs }) => {
    const guessed = runs.filter((r) => r.spec.lengthFrom === 'estimated');
    return guessed.length ? [{ at: { stage: 'runs', about: guessed[0]!.spec.id }, values: { count: guessed.length, all: runs.length } }] : [];
  },
  say: (v) => `${v['count']} of ${v['all']} lengths are estimated from the vehicle’s picture.`,
  fix: () => 'Lay a string along the way, and type the lengths under Runs.',
};
