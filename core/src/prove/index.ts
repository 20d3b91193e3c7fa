export * from './overdue.js';
export * from './rows.js';
export * from './verdict.js';
