import type { VehicleKind } from '../design/index.js';
import type { VehicleTemplate } from './template.js';
import { CAMPER, CARAVAN } from './trailers.js';
import { CANOPY_UTE, TRAY_BACK, WAGON } from './utes.js';
import { LIGHT_TRUCK, VAN } from './vans.js';

export * from './layout.js';
export * from './template.js';

export const VEHICLE_TEMPLATES: Readonly<Record<VehicleKind, VehicleTemplate>> = {
  'tray-back': TRAY_BACK,
  'canopy-ute': CANOPY_UTE,
  wagon: WAGON,
  van: VAN,
  caravan: CARAVAN,
  camper: CAMPER,
  'light-truck': LIGHT_TRUCK,
};
