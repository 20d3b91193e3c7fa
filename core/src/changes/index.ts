export type { Changed } from './changed.js';
export * from './difference.js';
