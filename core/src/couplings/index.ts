export * from './assess.js';
export * from './circuit.js';
export * from './edits.js';
export * from './in-job.js';
export * from './order.js';
export * from './joined.js';
export { sunId } from './trip.js';
export * from './views.js';
export * from './whole.js';
