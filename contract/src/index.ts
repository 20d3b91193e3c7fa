export * from './people.js';
export * from './roles.js';
