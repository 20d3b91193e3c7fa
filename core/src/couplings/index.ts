export * from './assess.js';
export * from './circuit.js';
export * from './edits.js';
export * from './in-job.js';
export * from './order.js';
export * from './trip.js';
export * from './views.js';
export * from './whole.js';
