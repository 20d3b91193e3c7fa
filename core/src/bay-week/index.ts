export { planWeek } from './plan.js';
export { weekSchema } from './task.js';
