export { acceptedA } from './accepted.js';
export { span, tripInputSchema, tripLoadSchema, tripStepSchema, type Span, type TripInput, type TripLoad } from './input.js';
export type { SharedWay, TripBank, TripJob } from './job.js';
export { addTallies, emptyTally, type ManyTrips, readTally, runMany, type Share, type Tally } from './many.js';
export { bankPlan, plannedRestV, planTrip, type BankPlan } from './plan.js';
export { type DayOffer, HEAVY_W, shareInside } from './profile.js';
export { type Cause, NEARLY_FULL, runTrip, tripLog } from './run.js';
export { DISCONNECT } from './disconnect.js';
export { dayOfTrip, jobOf, simulateJob, simulateTrip, type TripResult } from './simulate.js';
