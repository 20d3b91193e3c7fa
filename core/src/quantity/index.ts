export * from './constants.js';
export * from './format.js';
export * from './kept.js';
export * from './typed-number.js';
export * from './sentence.js';
