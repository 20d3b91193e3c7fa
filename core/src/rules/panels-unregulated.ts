import type { Rule } from './rule.js';

export const panelsUnregulated: Rule = {
  id: 'panels-unregulated',
  severity: 'stop',
  basis: 'a panel needs a regulator before a battery',
  why: 'Panels straight on a battery overcharge it; as planned they bring nothing.',
  test: ({ supply: { array } }) =>
    array && array.limitV === null && (array.ratedW > 0 || array.portable?.ownRegulator === false)
      ? [{ at: { stage: 'supply', about: 'panel' }, values: { watts: array.ratedW || array.portable!.panel.ratedW } }]
      : [],
  say: (v) => `${v['watts']} W of panels have no regulator: no controller is chosen and the charger has no sun input.`,
  fix: () => 'Choose a solar controller, or a charger with a sun input.',
};
