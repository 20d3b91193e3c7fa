export * from './places.js';
