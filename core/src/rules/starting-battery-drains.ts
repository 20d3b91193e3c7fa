import { figure } from '../quantity/index.js';
import { USUAL_PARKED_MA } from '../supply/index.js';
import { keepUp } from './press.js';
import type { Rule } from './rule.js';

/** Standing this long without starting is common. */
const SOON_DAYS = 21;

export const startingBatteryDrains: Rule = {
  id: 'starting-battery-drains',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'parked draw of all paths against 40 % of the starting battery; usual parked draw up to 50 mA',
  why: 'A vehicle that has stood for its holiday must still crank.',
  test: ({ design, supply }) => {
    const parked = design.supply.parkedMa;
    if (supply.daysToNoCrank >= SOON_DAYS && parked <= USUAL_PARKED_MA) return [];
    return [{ at: { stage: 'supply', about: 'charger' }, values: { days: figure(supply.daysToNoCrank, 1), parked, path: supply.drains[0]?.path ?? '', much: parked > USUAL_PARKED_MA ? 1 : 0 } }];
  },
  presses: (_, { design, catalogue, supply }) => (supply.bank && supply.daysToNoCrank < SOON_DAYS ? keepUp(design, catalogue) : []),
  say: (v) => `${v['much'] ? `Parked, ${v['parked']} mA flow from the starting battery, above 50 mA. ` : ''}Left standing it will not crank after ${v['days']} days; the fastest path: ${v['path']}.`,
  fix: () => 'Find the draw, fit a switch or a maintainer, and measure again.',
};
