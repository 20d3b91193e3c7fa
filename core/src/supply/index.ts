export * from './battery.js';
export * from './charger.js';
export * from './sun.js';
