export * from './plant.js';
export * from './thing.js';
