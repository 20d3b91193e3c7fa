export * from './expected.js';
export * from './overdue.js';
export * from './rows.js';
export * from './verdict.js';
