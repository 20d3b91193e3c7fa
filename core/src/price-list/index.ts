export * from './by-day.js';
export * from './match.js';
export * from './read.js';
export * from './table.js';
