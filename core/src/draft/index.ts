export type { DraftContext } from './context.js';
export { splitLoads } from './house-runs.js';
export { draftRuns } from './runs.js';
export * from './leads.js';
