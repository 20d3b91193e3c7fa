export * from './meters.js';
export * from './rows.js';
export * from './verdict.js';
