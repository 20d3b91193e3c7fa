export * from './sized.js';
export * from './spec.js';
