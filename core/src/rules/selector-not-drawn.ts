import type { Rule } from './rule.js';

export const selectorNotDrawn: Rule = {
  id: 'selector-not-drawn',
  severity: 'look',
  basis: 'what the draft of runs covers',
  why: 'A bank that is counted but not drawn has no fuse in the plan.',
  test: ({ supply: { second } }) => (second ? [{ at: { stage: 'supply' as const, about: 'house' }, values: { ah: second.capacityAh } }] : []),
  say: (v) => `The second bank of ${v['ah']} Ah behind a selector counts in trip and order; its leads, fuses and the selector are not drafted.`,
  fix: () => 'Plan them by hand: a main fuse at each bank, a selector rated for the inverter’s surge that never joins the two by accident.',
};
