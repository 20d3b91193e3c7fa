export * from './drafts.js';
export * from './fixed-parts.js';
export * from './talk.js';
