import { convertsOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { ConverterThing } from '../plant/index.js';
import { climateOf } from '../travel/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { chargerDerate } from './charger.js';

/** Day that a zone's temperature is planned for, °C. */
const PLANNED_DAY_C = 40;

type Charging = Pick<ConverterThing, 'ref' | 'part'>;

/** Role in which a converter finds its usual face: a controller hangs with the chargers. */
const usualAs = (part: ConverterThing['part']): 'charger' | 'mains' | 'inverter' => {
  const { role } = convertsOf(part);
  return role === 'controller' ? 'charger' : role;
};

/** Air of the zone that a charger stands in on a hot day: where it was put, else where its like is usually put, °C. */
export function chargerZoneC(design: Design, { ref, part }: Charging): number {
  const vehicle = vehicleOf(design);
  const face = vehicle.faces.find((f) => f.id === vehicle.usual[usualAs(part)]);
  const zone = vehicle.zones.find((z) => z.id === (design.places[ref.id]?.zone ?? face?.zone));
  return zone?.ambientC ?? PLANNED_DAY_C;
}

/** Share of its output that a charger keeps on a hot day in its zone. */
export const hotShare = (design: Design, c: Charging): number => chargerDerate(chargerZoneC(design, c));

/** Share of its output that a charger keeps in the air of the trip: as far above the day as its zone is planned above a hot one. */
export function tripShare(design: Design, c: Charging): number {
  const aboveK = Math.max(0, chargerZoneC(design, c) - PLANNED_DAY_C);
  return chargerDerate(climateOf(design.brief.trip).ambientC + aboveK);
}
