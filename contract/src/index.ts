export * from './comments.js';
export * from './jobs.js';
export * from './live.js';
export * from './people.js';
export * from './photos.js';
export * from './roles.js';
export * from './revisions.js';
export * from './workshop.js';
