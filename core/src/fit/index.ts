export type { OldGear } from './spaces.js';
export type { FitStep } from './step.js';
export * from './steps.js';
export { buildPlan, type BuildPlan, type Visit } from './visits.js';
