export { planWeek } from './plan.js';
export { weekSchema } from './task.js';
export { halfDaysOf, planCalendar, workdays, type Block, type CalendarPlan } from './calendar.js';
export { savings, type Saving } from './saves.js';
export { shopWeekSchema, USUAL_JOB, usualShop, type PlannedJob, type ShopJob, type ShopWeek } from './shop.js';
