import type { Rule } from './rule.js';

export const mixedBank: Rule = {
  id: 'mixed-bank',
  severity: 'stop',
  harm: 'fire',
  basis: 'batteries in parallel share one voltage',
  why: 'Batteries of different kinds charge and rest at different volts: one is overcharged or the other never full.',
  test: ({ supply: { parallel } }) =>
    parallel
      .filter((c) => c.verdict === 'stop' || c.verdict === 'look')
      .map((c) => ({ at: { stage: 'supply' as const, about: 'house' }, values: { what: c.what, say: c.say }, ...(c.verdict === 'look' ? { severity: 'look' as const } : {}) })),
  say: (v) => `Batteries in parallel, ${v['what']}: ${v['say']}.`,
  fix: () => 'One kind, model and age in a bank; else a second bank behind a selector.',
};
