export * from './blank.js';
export * from './edit.js';
export * from './read.js';
export * from './schema.js';
