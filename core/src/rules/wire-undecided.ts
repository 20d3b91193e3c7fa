import type { Rule } from './rule.js';

export const wireUndecided: Rule = {
  id: 'wire-undecided',
  severity: 'look',
  harm: 'the plan',
  basis: 'every traced wire is kept or removed',
  why: 'A wire nobody decided on stays live in the vehicle.',
  test: ({ design }) =>
    Object.entries(design.brief.traces)
      .filter(([, t]) => t.verdict === 'undecided')
      .map(([id, t]) => ({ at: { stage: 'brief' as const, about: `trace:${id}` }, values: { wire: t.colour || 'unnamed', from: t.from || '?', to: t.to || '?', live: t.live } })),
  say: (v) => `The ${v['wire']} wire from ${v['from']} to ${v['to']} (live: ${v['live']}) is neither kept nor removed.`,
  fix: () => 'Trace it to its end, then keep it as a run or take it out.',
};
