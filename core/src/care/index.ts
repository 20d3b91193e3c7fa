export * from './calendar.js';
export * from './tasks.js';
