export * from './questions.js';
export * from './side.js';
export * from './sketch.js';
