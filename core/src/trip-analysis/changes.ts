import { portsOf, type Catalogue, type PartOf } from '../catalogue/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { bankOf, dcdcsOf, mainsChargersOf } from '../supply/index.js';
import { loadsOn } from './days.js';

/** One thing that could be changed, with what it adds. */
export interface Change {
  readonly id: string;
  readonly what: string;
  readonly price: number;
  readonly kg: number;
  apply(design: Design): void;
}

const nextUp = <T extends { readonly id: string }>(parts: readonly T[], now: number, size: (p: T) => number): T | null =>
  parts.filter((p) => size(p) > now + 1e-9).sort((a, b) => size(a) - size(b))[0] ?? null;

function morePanel(design: Design, catalogue: Catalogue): Change | null {
  const panel = catalogue.find('panel', supplyOf(design).sun.panel) ?? catalogue.find('panel', 'pv-200');
  if (!panel) return null;
  const first = supplyOf(design).sun.panel === null;
  // So many more as make a string that stands above the bank.
  const pairs = design.supply.houseV / 12;
  const more = first ? pairs : supplyOf(design).sun.inSeries;
  return {
    id: 'panel',
    what: `${first ? (more > 1 ? `${more} × ` : 'a ') : more > 1 ? `${more} more × ` : 'one more '}${panel.name}${first ? ' through the charger or a controller' : ''}`,
    price: more * panel.price,
    kg: more * panel.kg,
    apply: (d) => {
      if (first) supplyOf(d).sun.inSeries = pairs;
      supplyOf(d).sun.count = first ? pairs : supplyOf(d).sun.count + supplyOf(d).sun.inSeries;
      supplyOf(d).sun.panel = panel.id;
      const sunInput = supplyOf(d).isolation === 'dcdc' && catalogue.find('dcdc', supplyOf(d).dcdc)?.sunInput;
      if (first && !sunInput) supplyOf(d).sun.controller = 'mppt-20';
    },
  };
}

function moreBattery(design: Design, catalogue: Catalogue): Change | null {
  const bank = bankOf(design, catalogue);
  if (!bank) return null;
  const pairs = design.supply.houseV / 12;
  const bigger = nextUp(
    catalogue.usual('battery').filter((p) => p.chemistry === bank.part.chemistry),
    bank.part.capacityAh,
    (p) => p.capacityAh,
  );
  if (bigger && supplyOf(design).battery.count === pairs)
    return {
      id: 'battery',
      what: `${bigger.name} instead of ${bank.part.capacityAh} Ah`,
      price: (bigger.price - bank.part.price) * pairs,
      kg: (bigger.kg - bank.part.kg) * pairs,
      apply: (d) => void (supplyOf(d).battery.part = bigger.id),
    };
  return { id: 'battery', what: `one more ${bank.part.name}`, price: bank.part.price * pairs, kg: bank.part.kg * pairs, apply: (d) => void (supplyOf(d).battery.count += pairs) };
}

function moreCharger(design: Design, catalogue: Catalogue): Change | null {
  const first = dcdcsOf(design, catalogue)[0];
  if (!first || design.brief.trip.drivingH === 0) return null;
  const { part, port, share } = first;
  const sunny = portsOf(part).sunIn !== null;
  if (share < 1) return { id: 'charger', what: 'the charger at full power', price: 0, kg: 0, apply: (d) => void (supplyOf(d).dcdcHalf = false) };
  const fits = (p: PartOf<'dcdc'>): boolean => p.inputV === port.inputV && p.outputV === port.outputV && (p.sunInput !== null || !sunny);
  const bigger = nextUp(catalogue.usual('dcdc').filter(fits), port.outputA, (p) => p.outputA);
  return bigger && { id: 'charger', what: `${bigger.name} instead of ${port.outputA} A`, price: bigger.price - part.price, kg: bigger.kg - part.kg, apply: (d) => void (supplyOf(d).dcdc = bigger.id) };
}

function travelChanges(design: Design, catalogue: Catalogue): readonly (Change | null)[] {
  const { trip } = design.brief;
  const charges = dcdcsOf(design, catalogue).length > 0 || supplyOf(design).isolation === 'isolator';
  const mains = mainsChargersOf(design, catalogue).length > 0;
  const charger = catalogue.usual('mains-charger').find((p) => p.outputV === design.supply.houseV) ?? null;
  return [
    charges && trip.drivingH > 0 && trip.drivingH <= 23 ? { id: 'driving', what: 'an hour more driving on travel days', price: 0, kg: 0, apply: (d) => void (d.brief.trip.drivingH += 1) } : null,
    charges && trip.parkedDays > 0 ? { id: 'parked', what: 'one day less parked between travel days', price: 0, kg: 0, apply: (d) => void (d.brief.trip.parkedDays -= 1) } : null,
    trip.mainsNights !== 'every night' && (mains ?? charger)
      ? {
          id: 'mains',
          what: mains ? 'mains for eight hours every night' : `a ${charger!.name} and mains every night`,
          price: mains ? 0 : charger!.price,
          kg: mains ? 0 : charger!.kg,
          apply: (d) => {
            if (!mains) supplyOf(d).mains.charger = charger!.id;
            d.brief.trip.mainsNights = 'every night';
            d.brief.trip.mainsH = Math.max(8, d.brief.trip.mainsH);
          },
        }
      : null,
    supplyOf(design).sun.shade > 0 ? { id: 'shade', what: 'parking where the panels see the sun', price: 0, kg: 0, apply: (d) => void (supplyOf(d).sun.shade = 0) } : null,
  ];
}

function lessLoad(design: Design, catalogue: Catalogue): Change | null {
  const biggest = [...loadsOn(design, catalogue, 0, 0).loads].sort((a, b) => b.whDay - a.whDay)[0];
  if (!biggest || biggest.whDay <= 0) return null;
  return { id: 'load', what: `${biggest.name || 'the largest load'} with a quarter less draw`, price: 0, kg: 0, apply: (d) => void (d.loads[biggest.id]!.dim *= 0.75) };
}

/** Single changes worth trying on this design. */
export function singleChanges(design: Design, catalogue: Catalogue): readonly Change[] {
  const all = [morePanel(design, catalogue), moreBattery(design, catalogue), moreCharger(design, catalogue), ...travelChanges(design, catalogue), lessLoad(design, catalogue)];
  return all.filter((c): c is Change => c !== null);
}

/** Makes one of the single changes on the design itself; one that no longer applies leaves it as it is. */
export function applyChange(design: Design, catalogue: Catalogue, id: string): void {
  singleChanges(design, catalogue)
    .find((c) => c.id === id)
    ?.apply(design);
}
