import type { VehicleKind } from '../design/index.js';

/** A place in a vehicle, as a box in its side view, mm from the front bumper and down from the roof line. */
export interface Zone {
  readonly id: string;
  readonly name: string;
  /** Default air temperature for sizing, °C. */
  readonly ambientC: number;
  /** People sit or sleep here: a battery needs a sealed, vented enclosure. */
  readonly people: boolean;
  /** Its name stands inside the box, where a body line passes above it. */
  readonly nameInside?: boolean;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export type GearRole = 'starting' | 'charger' | 'house' | 'bus' | 'block' | 'inverter' | 'panel' | 'controller' | 'mains' | 'load';

/** A kind of vehicle: side view in millimetres, its zones, and where gear usually goes. */
export interface VehicleTemplate {
  readonly kind: VehicleKind;
  readonly name: string;
  readonly w: number;
  readonly h: number;
  /** Outlines as SVG paths, main body first. */
  readonly body: readonly string[];
  readonly glass: readonly string[];
  readonly lines: readonly string[];
  readonly wheels: readonly { readonly x: number; readonly y: number; readonly r: number }[];
  readonly zones: readonly Zone[];
  /** Height at which cable runs along the chassis, mm. */
  readonly chassisY: number;
  readonly usual: Readonly<Record<GearRole, string>>;
}

/** Temperatures for sizing where the workshop has not set its own, °C. */
export const ZONE_C = { engine: 70, underFloor: 50, canopy: 55, cab: 45, caravan: 40, frontBox: 50, roof: 65 } as const;
