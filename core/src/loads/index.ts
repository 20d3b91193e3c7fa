export * from './day.js';
export * from './fridge.js';
export * from './inverter.js';
export * from './use.js';
