import { figure } from '../quantity/index.js';
import type { Found, Rule } from './rule.js';

export const panelVolts: Rule = {
  id: 'panel-volts',
  severity: 'stop',
  harm: 'fire',
  basis: 'open-circuit volts on the coldest morning of the region’s year, 0.28 % more for each kelvin below 25 °C',
  why: 'Too many volts on a cold morning destroy the regulator.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a): Found[] => (a.limitV && a.coldOpenV > a.limitV ? [{ at: { stage: 'supply', about: a.ref.id }, values: { volts: figure(a.coldOpenV, 1), limit: a.limitV } }] : [])),
  say: (v) => `The panels reach ${v['volts']} V on the coldest morning; the regulator takes ${v['limit']} V.`,
  fix: () => 'Panels with fewer volts, or a controller that takes more.',
};
