export { rigTripSchema, SHARING_RULES, type RigTrip } from './input.js';
export { rigTripEnergy, simulateRigTrip, type RigBankResult, type RigEnergy, type RigTripResult } from './simulate.js';
export { workingPoint } from './working-point.js';
