export type { Changed } from './changed.js';
export * from './difference.js';
export * from './would-change.js';
