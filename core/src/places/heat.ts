import type { Vehicle, Zone } from '../design/index.js';
import type { Gear } from './gear.js';

/** Heat that still air carries off through a compartment's skin, W/m²K. */
export const STILL_AIR_W_M2K = 5.5;
/** Rise over the outside that a compartment may have; the default fan thermostat; share of its flow that a dust filter costs. */
export const COMPARTMENT = { riseK: 10, thermostatC: 40, filterLoss: 0.3 } as const;

/** Air above which chargers cut back, and the room that is kept below it, °C and K. */
const CUTS_BACK = { fromC: 50, roomK: 1 } as const;

/** Rise that a compartment may have: less where a charger in it would come to where it cuts back. In air that is hotter by itself no fan helps that. */
function allowedRiseK(zone: Zone, warm: readonly Gear[]): number {
  const charges = warm.some((g) => g.role === 'charger' || g.role === 'mains');
  const leftK = CUTS_BACK.fromC - CUTS_BACK.roomK - zone.ambientC;
  return charges && leftK > 0 ? Math.min(COMPARTMENT.riseK, leftK) : COMPARTMENT.riseK;
}

/** Flow of air that carries heat away at a chosen rise, m³/h. @example fanFlowM3h(241, 5.3) // 135.960377 */
export function fanFlowM3h(heatW: number, riseK: number): number {
  return (2.99 * heatW) / riseK;
}

/** Rise of a closed compartment without a fan, K. @example naturalRiseK(110, 4) // 5 */
export function naturalRiseK(heatW: number, surfaceM2: number): number {
  return heatW / (STILL_AIR_W_M2K * surfaceM2);
}

/** Skin of a zone's box, m². */
export function surfaceM2({ box }: Zone): number {
  return (2 * (box.l * box.w + box.l * box.h + box.w * box.h)) / 1e6;
}

/** A closed compartment with everything in it at full output. */
export interface CompartmentHeat {
  readonly zone: string;
  readonly name: string;
  readonly heatW: number;
  readonly surfaceM2: number;
  readonly riseK: number;
  /** Air inside at the zone's own temperature and the rise, °C. */
  readonly airC: number;
  /** Flow that keeps the rise to what is allowed, m³/h; 0: none is needed. A filter's loss is in it. */
  readonly fanM3h: number;
  readonly from: readonly string[];
}

/** Heat of every closed compartment that something warms. Open decks, roofs and engine bays are left out. */
export function compartmentHeat(vehicle: Vehicle, gear: readonly Gear[]): CompartmentHeat[] {
  return vehicle.zones.flatMap((zone): CompartmentHeat[] => {
    const warm = gear.filter((g) => g.zone === zone.id && g.heatW > 0 && g.when === 'now');
    const beside = vehicle.keep.filter((k) => k.gear?.zone === zone.id && k.gear.heatW > 0);
    const heatW = warm.reduce((s, g) => s + g.heatW, 0) + beside.reduce((s, k) => s + k.gear!.heatW, 0);
    if (zone.weather === 'spray' || heatW === 0) return [];
    const skin = surfaceM2(zone);
    const riseK = naturalRiseK(heatW, skin);
    const allowedK = allowedRiseK(zone, warm);
    const fan = riseK > allowedK ? fanFlowM3h(heatW, allowedK) / (1 - COMPARTMENT.filterLoss) : 0;
    return [{ zone: zone.id, name: zone.name, heatW, surfaceM2: skin, riseK, airC: zone.ambientC + riseK, fanM3h: fan, from: [...warm, ...beside].map((g) => g.name) }];
  });
}
