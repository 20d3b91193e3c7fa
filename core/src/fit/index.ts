export * from './steps.js';
export * from './torque.js';
export { buildPlan, type BuildPlan, type Visit } from './visits.js';
