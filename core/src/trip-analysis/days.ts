import { invertersOf } from '../plant/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { type Design, type Load } from '../design/index.js';
import { dayFigures, dayLoad, ownPowerW, spansTogether, withGear, type DayFigures, type DayLoad, type HourSpan } from '../loads/index.js';
import { gearDrawsW } from '../supply/index.js';
import { climateOf, tripDays } from '../travel/index.js';

/** True of a load that hangs on one of the vehicle's own circuits. */
const onVehicle = ({ brief }: Design, { feed, supply }: Load): boolean =>
  supply === 'dc' && ((feed.by === 'wire' && brief.traces[feed.wire]?.fedFrom === 'vehicle') || (feed.by === 'battery' && feed.of === 'vehicle'));

/** Hours of every day in which something else than the site feeds an inlet for 230 V: a generator, another vehicle. */
export const inletHours = ({ inlets }: Design): readonly HourSpan[] =>
  Object.values(inlets)
    .filter((i) => i.dc === null)
    .reduce<readonly HourSpan[]>((all, i) => spansTogether(all, i.hours), []);

type Inverters = ReturnType<typeof invertersOf>;

/**
 * The inverter that each mains load is plugged into: as typed, else the smallest that bears it beside what hangs there
 * already, and its start; where none does, the one with the most left.
 */
function pluggedInto(loads: readonly (readonly [id: string, load: Load])[], inverters: Inverters, drivingH: number): ReadonlyMap<string, Inverters[number]> {
  const bySize = [...inverters].sort((a, b) => a.ports.mainsOut.ratedW - b.ports.mainsOut.ratedW);
  const takenW = new Map(inverters.map((i) => [i, 0]));
  const out = new Map<string, Inverters[number]>();
  for (const [id, load] of loads) {
    if (load.supply !== 'mains') continue;
    const ownW = ownPowerW(load, 0, drivingH);
    const left = (i: Inverters[number]): number => i.ports.mainsOut.ratedW - takenW.get(i)!;
    const bears = (i: Inverters[number]): boolean => left(i) >= ownW && i.ports.mainsOut.surgeW >= ownW * load.surge;
    const chosen = inverters.find((i) => i.ref.id === load.inverter) ?? bySize.find(bears) ?? bySize.reduce<Inverters[number] | null>((a, b) => (a && left(a) > left(b) ? a : b), null);
    if (!chosen) continue;
    takenW.set(chosen, takenW.get(chosen)! + ownW);
    out.set(id, chosen);
  }
  return out;
}

/** The loads through one kind of day. */
export function loadsOn(design: Design, catalogue: Catalogue, drivingH: number, mainsH: number): DayFigures {
  const { houseV } = design.supply;
  const inverters = invertersOf(design, catalogue);
  const { ambientC } = climateOf(design.brief.trip);
  const context = { drivingH, mainsH, inletHours: inletHours(design), ambientC };
  const listed = Object.entries(design.loads).sort(([, a], [, b]) => a.order - b.order);
  const plugged = pluggedInto(listed, inverters, drivingH);
  const loads = listed.map(([id, load]) => {
    const inverter = plugged.get(id);
    const nominalV = onVehicle(design, load) ? design.brief.vehicleV : houseV;
    return dayLoad(id, load, { ...context, nominalV, inverterW: inverter?.ports.mainsOut.ratedW ?? null, inverter: inverter?.ref.id ?? null });
  });
  const apart = (yes: boolean): readonly DayLoad[] => loads.filter((l) => onVehicle(design, design.loads[l.id]!) === yes);
  const inverterW = inverters.length ? inverters.reduce((sum, i) => sum + i.ports.mainsOut.ratedW, 0) : null;
  const day = dayFigures(apart(false), houseV, inverterW, apart(true));
  return withGear(day, gearDrawsW(design, catalogue, day), houseV);
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

/** The loads through a kind of day, by what makes it one. */
export type LoadsOf = (drivingH: number, mainsH: number) => DayFigures;

/** The loads of one design through kinds of day, each worked out when it is first asked for. */
export function loadsByDay(design: Design, catalogue: Catalogue): LoadsOf {
  const known = new Map<string, DayFigures>();
  return (drivingH, mainsH) => {
    const key = `${drivingH} ${mainsH}`;
    const day = known.get(key) ?? loadsOn(design, catalogue, drivingH, mainsH);
    known.set(key, day);
    return day;
  };
}
