import { chargerInputW, halfOf, type Catalogue } from '../catalogue/index.js';
import { boxOfBank } from '../places/index.js';
import { plant } from '../plant/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { alternatorBudget, alternatorFor, alternatorOf, driveVolts, type SupplyFigures } from '../supply/index.js';

/** The next larger charger of its sort, where this alternator is what keeps it out, and the alternator that it wants. */
function nextCharger(design: Design, catalogue: Catalogue, { bank }: SupplyFigures): readonly string[] {
  const now = catalogue.find('dcdc', supplyOf(design).dcdc);
  if (!now || !bank || supplyOf(design).isolation !== 'dcdc') return [];
  const outA = now.outputA * halfOf(now, supplyOf(design).dcdcHalf);
  const larger = catalogue
    .usual('dcdc')
    .filter((p) => p.inputV === now.inputV && p.outputV === now.outputV && (p.sunInput === null) === (now.sunInput === null) && p.outputA > outA && p.outputA <= bank.maxChargeA)
    .sort((a, b) => a.outputA - b.outputA)[0];
  if (!larger) return [];
  const alternator = alternatorOf(design);
  const vehicleA = alternator.vehicleA ?? undefined;
  const roadA = chargerInputW(larger, bank.absorptionV) / driveVolts(design).cruiseV + design.supply.otherChargersA;
  const over = alternatorBudget(alternator.ratedA, { idleA: roadA, roadA }, vehicleA).over;
  return over ? [`the largest charger that this alternator feeds: ${larger.outputA} A wants one of ${Math.ceil(alternatorFor(roadA, vehicleA) / 5) * 5} A`] : [];
}

/** What stands beside the supply, and why. */
function built(design: Design, catalogue: Catalogue): readonly string[] {
  const blocks = plant(design, catalogue).distribution.flatMap((d) => (d.part?.kind === 'fuse-block' ? [d.part] : []));
  return [
    ...(blocks.some((b) => b.holds === 'cartridge') ? ['cartridges, not blades: a short of this bank is more than a blade breaks'] : []),
    ...(boxOfBank(design, catalogue) === null ? [] : ['the battery in a sealed box vented outside: people sit or sleep around it']),
  ];
}

/** Why a draft is as it is, in a few lines. */
export function whys(design: Design, catalogue: Catalogue, f: SupplyFigures): readonly string[] {
  const { settings } = design;
  const supply = supplyOf(design);
  return [
    settings.batterySchool === 'AGM' ? 'AGM, by the workshop’s school: cost now' : 'lithium, by the workshop’s school: weight and usable Ah',
    f.isolation.chosen === 'none' ? 'no driving to charge from' : f.isolation.chosen === 'dcdc' ? 'DC-DC charger: see the reasons under “What feeds it”' : 'a sensing isolator does it here',
    supply.sun.panel
      ? supply.sun.controller
        ? 'panels on a controller of their own, beside the vehicle'
        : 'panels through the charger: one box, the sun first'
      : 'no panels: driving or mains covers it',
    ...(supply.sun.portable ? ['folding panels when parked: the roof and the charger do not carry this trip'] : []),
    ...nextCharger(design, catalogue, f),
    ...built(design, catalogue),
  ];
}
