import type { Design, Vehicle, VehicleKind } from '../design/index.js';
import { CAMPER } from './camper.js';
import { CANOPY_UTE } from './canopy-ute.js';
import { CARAVAN } from './caravan.js';
import { LIGHT_TRUCK } from './light-truck.js';
import { PORTABLE_BOX, SLIDE_ON } from './movables.js';
import { TRAY_BACK } from './tray-back.js';
import { VAN } from './van.js';
import { WAGON } from './wagon.js';

export * from './build.js';
export * from './checked.js';
export * from './faces.js';
export * from './file.js';

export const VEHICLE_TEMPLATES: Readonly<Record<VehicleKind, Vehicle>> = {
  'tray-back': TRAY_BACK,
  'canopy-ute': CANOPY_UTE,
  wagon: WAGON,
  van: VAN,
  caravan: CARAVAN,
  camper: CAMPER,
  'light-truck': LIGHT_TRUCK,
  'slide-on': SLIDE_ON,
  'portable-box': PORTABLE_BOX,
};

/** The vehicle of a job: with the workshop's own dimensions where it has them, else the shipped one of its kind. */
export function vehicleOf(design: Design): Vehicle {
  return design.vehicle ?? VEHICLE_TEMPLATES[design.brief.vehicleKind];
}
