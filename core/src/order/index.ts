export * from './line.js';
export * from './list.js';
export * from './prices.js';
