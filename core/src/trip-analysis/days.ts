import { inverterOf } from '../plant/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { type Design, type Load } from '../design/index.js';
import { dayFigures, dayLoad, spansTogether, type DayFigures, type DayLoad, type HourSpan } from '../loads/index.js';
import { climateOf, tripDays } from '../travel/index.js';

/** True of a load that hangs on one of the vehicle's own circuits. */
const onVehicle = ({ brief }: Design, { feed, supply }: Load): boolean =>
  supply === 'dc' && ((feed.by === 'wire' && brief.traces[feed.wire]?.fedFrom === 'vehicle') || (feed.by === 'battery' && feed.of === 'vehicle'));

/** Hours of every day in which something else than the site feeds an inlet: a generator, another vehicle. */
export const inletHours = ({ inlets }: Design): readonly HourSpan[] => Object.values(inlets).reduce<readonly HourSpan[]>((all, i) => spansTogether(all, i.hours), []);

/** The loads through one kind of day. */
export function loadsOn(design: Design, catalogue: Catalogue, drivingH: number, mainsH: number): DayFigures {
  const { houseV } = design.supply;
  const inverter = inverterOf(design, catalogue)?.part ?? null;
  const { ambientC } = climateOf(design.brief.trip);
  const context = { nominalV: houseV, drivingH, mainsH, inletHours: inletHours(design), inverterW: inverter?.ratedW ?? null, ambientC };
  const loads = Object.entries(design.loads)
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, load]) => dayLoad(id, load, onVehicle(design, load) ? { ...context, nominalV: design.brief.vehicleV } : context));
  const apart = (yes: boolean): readonly DayLoad[] => loads.filter((l) => onVehicle(design, design.loads[l.id]!) === yes);
  return dayFigures(apart(false), houseV, inverter?.ratedW ?? null, apart(true));
}

/** Kinds of day in a trip, and which kind each day is. */
export interface DayKinds {
  readonly kinds: readonly { readonly drivingH: number; readonly mainsH: number }[];
  readonly kindOfDay: readonly number[];
}

export function dayKinds(trip: Design['brief']['trip']): DayKinds {
  const kinds: { drivingH: number; mainsH: number }[] = [];
  const kindOfDay = tripDays(trip).map(({ drivingH, mainsH }) => {
    const at = kinds.findIndex((k) => k.drivingH === drivingH && k.mainsH === mainsH);
    return at >= 0 ? at : kinds.push({ drivingH, mainsH }) - 1;
  });
  return { kinds, kindOfDay };
}
