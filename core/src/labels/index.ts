export * from './label.js';
export * from './sheet.js';
export * from './svg.js';
