export * from './plant.js';
export * from './steps.js';
export * from './thing.js';
