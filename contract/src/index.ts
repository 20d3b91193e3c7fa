export * from './jobs.js';
export * from './people.js';
export * from './roles.js';
export * from './revisions.js';
export * from './workshop.js';
