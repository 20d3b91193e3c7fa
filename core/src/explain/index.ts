export * from './path.js';
export * from './gear.js';
export * from './run.js';
export * from './supply.js';
export * from './why.js';
