import type { Found, Rule } from './rule.js';

export const panelsUnregulated: Rule = {
  id: 'panels-unregulated',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'a panel needs a regulator before a battery',
  why: 'Panels straight on a battery overcharge it; as planned they bring nothing.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a): Found[] => {
      const out = a.portables.find((p) => !p.ownRegulator);
      const watts = a.ratedW || out?.ratedW;
      return a.limitV === null && watts ? [{ at: { stage: 'supply', about: a.ref.id }, values: { watts } }] : [];
    }),
  say: (v) => `${v['watts']} W of panels have no regulator: no controller is chosen and the charger has no sun input.`,
  fix: () => 'Choose a solar controller, or a charger with a sun input.',
};
