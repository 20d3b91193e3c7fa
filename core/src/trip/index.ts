export { tripInputSchema, type Span, type TripInput, type TripLoad } from './input.js';
export { shareInside } from './profile.js';
export { simulateTrip, type TripResult } from './simulate.js';
