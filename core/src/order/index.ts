export * from './list.js';
export * from './prices.js';
