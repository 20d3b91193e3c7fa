export * from './label.js';
export * from './link.js';
export * from './sheet.js';
export * from './svg.js';
