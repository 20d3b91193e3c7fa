import type { Rule } from './rule.js';

export const panelsDrag: Rule = {
  id: 'panels-drag',
  severity: 'look',
  basis: 'panels in parallel on one regulator are held at one voltage',
  why: 'The panel whose volts suit less drags the other down with it.',
  test: ({ supply: { array } }) => {
    const kept = array?.portable && !array.portable.ownRegulator && array.count > 0 && !array.portable.trouble ? array.portable.yieldShared : 1;
    return kept < 0.97 ? [{ at: { stage: 'supply', about: 'panel' }, values: { loss: Math.round(100 * (1 - kept)) } }] : [];
  },
  say: (v) => `Roof and portable panel on one regulator lose ${v['loss']} % of their power together.`,
  fix: () => 'A regulator of its own for the portable panel, or a panel with the roof’s volts.',
};
