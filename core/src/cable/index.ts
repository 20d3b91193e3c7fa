export * from './ampacity.js';
export * from './contacts.js';
export * from './diameters.js';
export * from './name.js';
export * from './operating.js';
export * from './resistance.js';
export * from './sizes.js';
