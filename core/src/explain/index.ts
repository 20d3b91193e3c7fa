export * from './run.js';
