export * from './clearing.js';
export * from './discrimination.js';
export * from './kinds.js';
export * from './plot.js';
export * from './size-run.js';
export * from './window.js';
export * from './withstand.js';
