import type { Rule } from './rule.js';

export const lopsided: Rule = {
  id: 'lopsided',
  severity: 'look',
  harm: 'people',
  basis: 'difference of the wheels’ load by moments about the middle; 60 kg is a planning figure',
  why: 'A vehicle that leans wears its tyres and handles badly.',
  test: ({ layout }) =>
    layout.weights
      .filter((c) => Math.abs(c.leftOverRightKg) > 60)
      .map((c) => ({ at: { stage: 'places' as const, about: c.id }, values: { name: c.name, kg: Math.round(Math.abs(c.leftOverRightKg)), side: c.leftOverRightKg > 0 ? 'left' : 'right' } })),
  say: (v) => `The gear loads the ${v['side']} wheels of the ${v['name']} by ${v['kg']} kg more than the others.`,
  fix: () => 'Move something heavy across, most of all a battery.',
};
