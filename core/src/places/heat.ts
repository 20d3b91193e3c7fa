import type { Air, Vehicle, Zone } from '../design/index.js';
import type { Gear } from './gear.js';
import { ventedRiseK, ventHeightM, ventsForCm2 } from './vents.js';

/** Heat that still air carries off through a compartment's skin, W/m²K. */
export const STILL_AIR_W_M2K = 5.5;
/** Rise over the outside that a compartment may have; the default fan thermostat; share of its flow that a dust filter costs. */
export const COMPARTMENT = { riseK: 10, thermostatC: 40, filterLoss: 0.3 } as const;

/** Flow of air that carries a watt away at a rise of one kelvin, m³/h. */
const FLOW_M3H_K_PER_W = 2.99;
/** Steps in which fans are bought, m³/h. */
const FAN_STEP_M3H = 10;
/** Most that the field takes, m³/h. */
const MOST_FAN_M3H = 2000;

/** Air above which chargers cut back, and the room that is kept below it, °C and K. */
export const CUTS_BACK = { fromC: 50, roomK: 1 } as const;

/** Rise that a compartment may have: less where a charger in it would come to where it cuts back. In air that is hotter by itself no fan helps that. */
function allowedRiseK(zone: Zone, warm: readonly Gear[]): number {
  const charges = warm.some((g) => g.role === 'charger' || g.role === 'mains');
  const leftK = CUTS_BACK.fromC - CUTS_BACK.roomK - zone.ambientC;
  return charges && leftK > 0 ? Math.min(COMPARTMENT.riseK, leftK) : COMPARTMENT.riseK;
}

/** Flow of air that carries heat away at a chosen rise, m³/h. @example fanFlowM3h(241, 5.3) // 135.960377 */
export function fanFlowM3h(heatW: number, riseK: number): number {
  return (FLOW_M3H_K_PER_W * heatW) / riseK;
}

/** Rise of a closed compartment without a fan, K. @example naturalRiseK(110, 4) // 5 */
export function naturalRiseK(heatW: number, surfaceM2: number): number {
  return heatW / (STILL_AIR_W_M2K * surfaceM2);
}

/** Skin of a zone's box, m². */
export function surfaceM2({ box }: Zone): number {
  return (2 * (box.l * box.w + box.l * box.h + box.w * box.h)) / 1e6;
}

/**
 * Rise of a closed compartment whose fans or vents are typed, K: heat leaves by its skin and with the air, and the
 * thermostat lets the fans run no sooner than at its own temperature. A filter's loss is taken off the flow. `heightM`:
 * between the middles of its vents.
 * @example airedRiseK(110, 4, 25, { outM3h: 100, inM3h: 0, fromC: 26 }, 0.4) // 2.422301
 */
export function airedRiseK(heatW: number, skinM2: number, ambientC: number, air: Air, heightM: number): number {
  const still = ventedRiseK(heatW, STILL_AIR_W_M2K * skinM2, air.ventCm2 ?? 0, heightM, ambientC);
  const flowM3h = (1 - COMPARTMENT.filterLoss) * Math.max(air.outM3h, air.inM3h);
  const running = heatW / (STILL_AIR_W_M2K * skinM2 + flowM3h / FLOW_M3H_K_PER_W);
  return Math.min(still, Math.max(running, air.fromC - ambientC));
}

/** Fans that let a closed compartment rise no further than it may, in whole steps that are sold, with their thermostat. */
export function fansFor({ fanM3h, ambientC, allowedK }: CompartmentHeat): Air {
  return { outM3h: Math.min(MOST_FAN_M3H, Math.ceil(fanM3h / FAN_STEP_M3H) * FAN_STEP_M3H), inM3h: 0, fromC: Math.max(0, Math.min(COMPARTMENT.thermostatC, Math.floor(ambientC + allowedK))) };
}

/** A closed compartment with everything in it at full output. */
export interface CompartmentHeat {
  readonly zone: string;
  readonly name: string;
  readonly heatW: number;
  readonly surfaceM2: number;
  /** With the fans and vents that are typed. */
  readonly riseK: number;
  /** What it may rise, K, over the air outside it, °C. */
  readonly allowedK: number;
  readonly ambientC: number;
  /** Its fans and vents; null: none. */
  readonly air: Air | null;
  /** Air inside at the zone's own temperature and the rise, °C. */
  readonly airC: number;
  /** Flow that keeps the rise to what is allowed, m³/h; 0: none is needed, or the typed fans do. A filter's loss is in it. */
  readonly fanM3h: number;
  /** Free area of each of two vents that do so without a fan, cm²; null: none is needed, or no vents would. */
  readonly ventCm2: number | null;
  readonly from: readonly string[];
}

/** Heat of every closed compartment that something warms. Open decks, roofs and engine bays are left out. */
export function compartmentHeat(vehicle: Vehicle, gear: readonly Gear[], fans: Readonly<Record<string, Air>> = {}): CompartmentHeat[] {
  return vehicle.zones.flatMap((zone): CompartmentHeat[] => {
    const warm = gear.filter((g) => g.zone === zone.id && g.heatW > 0 && g.when === 'now');
    const beside = vehicle.keep.filter((k) => k.gear?.zone === zone.id && k.gear.heatW > 0);
    const heatW = warm.reduce((s, g) => s + g.heatW, 0) + beside.reduce((s, k) => s + k.gear!.heatW, 0);
    const air = fans[zone.id] ?? null;
    if (zone.weather === 'spray' || (heatW === 0 && !air)) return [];
    const skin = surfaceM2(zone);
    const riseK = air ? airedRiseK(heatW, skin, zone.ambientC, air, ventHeightM(zone)) : naturalRiseK(heatW, skin);
    const allowedK = allowedRiseK(zone, warm);
    const fan = riseK > allowedK + 1e-9 ? fanFlowM3h(heatW, allowedK) / (1 - COMPARTMENT.filterLoss) : 0;
    return [
      {
        zone: zone.id,
        name: zone.name,
        heatW,
        surfaceM2: skin,
        riseK,
        allowedK,
        ambientC: zone.ambientC,
        air,
        airC: zone.ambientC + riseK,
        fanM3h: fan,
        ventCm2: fan > 0 ? ventsForCm2(heatW, STILL_AIR_W_M2K * skin, allowedK, ventHeightM(zone), zone.ambientC) : null,
        from: [...warm, ...beside].map((g) => g.name),
      },
    ];
  });
}
