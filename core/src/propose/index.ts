export * from './drafts.js';
export { finish, type Finished } from './finish.js';
export * from './fixed-parts.js';
export * from './talk.js';
