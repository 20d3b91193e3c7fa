export { draftRuns } from './runs.js';
export * from './leads.js';
