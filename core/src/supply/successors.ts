import type { Catalogue } from '../catalogue/index.js';
import { FUNCTIONS, type Design, type Existing, type GearFunction } from '../design/index.js';
import { mainsChargerOf } from './chargers.js';

/** A function of removed gear with what takes it over: a new part, kept gear, or a signed omission. */
export interface LostFunction {
  readonly existing: string;
  readonly gear: string;
  readonly does: GearFunction;
  readonly successor: string | null;
  readonly omittedBy: string | null;
}

type Finder = (design: Design, catalogue: Catalogue) => string | null;
const name = (part: { readonly name: string } | null): string | null => part?.name ?? null;

/** Which new part has a function. */
const SUCCESSOR: Readonly<Record<GearFunction, Finder>> = {
  'stores charge': (d, c) => name(c.find('battery', d.supply.battery.part)),
  'charges from the vehicle': (d, c) => (d.supply.isolation === 'dcdc' ? name(c.find('dcdc', d.supply.dcdc)) : d.supply.isolation === 'isolator' ? name(c.find('isolator', d.supply.isolator)) : null),
  'charges from the sun': (d, c) =>
    name(c.find('solar-controller', d.supply.sun.controller)) ?? (d.supply.isolation === 'dcdc' && c.find('dcdc', d.supply.dcdc)?.sunInput ? name(c.find('dcdc', d.supply.dcdc)) : null),
  'charges from mains': (d, c) => name(mainsChargerOf(d, c)),
  'isolates the starting battery': (d, c) => SUCCESSOR['charges from the vehicle'](d, c),
  fuses: (d, c) => name(c.find('fuse-block', d.supply.fuseBlock)),
  'low-voltage cut-off': () => null,
  measures: (d) => (d.supply.seen['charge'] && d.supply.seen['charge'] !== 'nowhere' ? 'shunt' : null),
  'makes 230 V': (d, c) => name(c.find('inverter', d.supply.inverter)),
};

const keptWith = (design: Design, does: GearFunction): Existing | undefined => Object.values(design.brief.existing).find((e) => e.verdict !== 'remove' && e.does.includes(does));

/** Every function of the gear that comes out, in the order of the list. */
export function lostFunctions(design: Design, catalogue: Catalogue): readonly LostFunction[] {
  return Object.entries(design.brief.existing)
    .filter(([, e]) => e.verdict === 'remove')
    .sort(([, a], [, b]) => a.order - b.order)
    .flatMap(([id, e]) =>
      FUNCTIONS.filter((f) => e.does.includes(f)).map((does): LostFunction => ({
        existing: id,
        gear: e.name || 'unnamed gear',
        does,
        successor: keptWith(design, does)?.name ?? SUCCESSOR[does](design, catalogue),
        omittedBy: e.omitted[does] ?? null,
      })),
    );
}
