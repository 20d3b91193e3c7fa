export * from './minor.js';
export * from './quote.js';
export * from './schema.js';
