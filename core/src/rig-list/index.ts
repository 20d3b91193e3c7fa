export * from './monitor-rows.js';
export * from './rig-rows.js';
export * from './shelf.js';
