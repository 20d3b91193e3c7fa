export * from './least-copper.js';
export * from './sense.js';
export * from './size-tree.js';
export * from './steps.js';
