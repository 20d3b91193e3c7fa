export * from './clearing.js';
export * from './kinds.js';
export * from './size-run.js';
export * from './window.js';
export * from './withstand.js';
