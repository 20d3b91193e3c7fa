export * from './fridge.js';
export * from './inverter.js';
