export { cuttingPlan } from './plan.js';
export { cuttingSchema } from './task.js';
