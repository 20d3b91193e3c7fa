export * from './enclosure.js';
export * from './glands.js';
export * from './points.js';
export * from './sheets.js';
export * from './vent.js';
export * from './template.js';
