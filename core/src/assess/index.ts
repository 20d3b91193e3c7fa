export * from './assess.js';
export * from './progress.js';
export { provePlan } from './prove.js';
export type { TellTales } from './tell-tales.js';
