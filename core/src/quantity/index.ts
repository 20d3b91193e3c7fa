export * from './day.js';
export * from './constants.js';
export * from './format.js';
export * from './memoize.js';
export * from './money.js';
export * from './typed-number.js';
export * from './sentence.js';
export * from './session.js';
