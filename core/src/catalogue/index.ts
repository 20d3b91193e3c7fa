export * from './catalogue.js';
export * from './own/own.js';
export * from './kinds/battery/chemistry.js';
export * from './kinds/battery/electrical.js';
export type { BatteryPart } from './kinds/battery/schema.js';
export { chargerInputW, halfOf } from './kinds/dcdc/electrical.js';
export * from './kinds/inverter/electrical.js';
export type { PanelPart } from './kinds/panel/schema.js';
export type { DcIn, MainsIn, MainsOut, Port, Ports, StartOut, SunIn } from './kinds/ports.js';
