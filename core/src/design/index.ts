export * from './blank.js';
export * from './brief-schema.js';
export * from './edit.js';
export * from './load-schema.js';
export * from './read.js';
export * from './schema.js';
export * from './places-schema.js';
export * from './vehicle-schema.js';
