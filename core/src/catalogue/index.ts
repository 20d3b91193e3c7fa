export * from './catalogue.js';
export * from './kinds/battery/chemistry.js';
export * from './kinds/battery/electrical.js';
export type { BatteryPart } from './kinds/battery/schema.js';
export { chargerInputW, halfOf } from './kinds/dcdc/electrical.js';
export type { DcdcPart } from './kinds/dcdc/schema.js';
export type { InverterPart } from './kinds/inverter/schema.js';
export type { PanelPart } from './kinds/panel/schema.js';
