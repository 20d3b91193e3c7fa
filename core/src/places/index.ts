export * from './heat.js';
