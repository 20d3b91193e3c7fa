import type { Rule } from './rule.js';

export const lengthZero: Rule = {
  id: 'length-zero',
  severity: 'stop',
  harm: 'the plan',
  basis: 'a run needs a path',
  why: 'With no length there is no cable to size or to cut.',
  test: ({ runs }) => runs.filter((r) => r.spec.outM <= 0 || r.spec.backM <= 0).map((r) => ({ at: { stage: 'runs' as const, about: r.spec.id }, values: { run: r.spec.name } })),
  say: (v) => `${v['run']} has a length of 0 m.`,
  fix: () => 'Type the length of feed and return.',
};
