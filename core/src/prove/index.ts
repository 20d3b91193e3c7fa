export * from './rows.js';
export * from './verdict.js';
