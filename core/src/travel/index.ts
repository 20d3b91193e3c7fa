export * from './climate.js';
export * from './days.js';
export * from './regions.js';
export * from './weather.js';
