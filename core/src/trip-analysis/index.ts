export * from './days.js';
export * from './failures.js';
export * from './helps.js';
export * from './sun-alone.js';
export * from './sun-ways.js';
export * from './trip-job.js';
export * from './what-if.js';
export { applyChange } from './changes.js';
export * from './words.js';
