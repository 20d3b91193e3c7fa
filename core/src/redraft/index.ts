export * from './kept.js';
