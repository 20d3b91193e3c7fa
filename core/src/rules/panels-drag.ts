import type { Found, Rule } from './rule.js';

export const panelsDrag: Rule = {
  id: 'panels-drag',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'panels in parallel on one regulator are held at one voltage',
  why: 'The panel whose volts suit less drags the other down with it.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a): Found[] => {
      const out = a.count > 0 && a.portables.some((p) => !p.ownRegulator && !p.trouble);
      const unlike = out || a.fixed.length > 1;
      return unlike && a.dragYield < 0.97
        ? [{ at: { stage: 'supply', about: a.ref.id }, values: { loss: Math.round(100 * (1 - a.dragYield)), who: out ? 'Roof and portable panel' : 'Panels of unlike volts' } }]
        : [];
    }),
  say: (v) => `${v['who']} on one regulator lose ${v['loss']} % of their power together.`,
  fix: () => 'A regulator of their own for the odd ones, or panels of the same volts.',
};
