export * from './gear.js';
export * from './heat.js';
