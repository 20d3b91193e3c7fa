export * from './pack.js';
