export { rigTripSchema, SHARING_RULES, type RigTrip } from './input.js';
export { rigTripEnergy, simulateRigTrip, wholeRigTrip, type WholeRigTrip, type RigBankResult, type RigEnergy, type RigTripResult } from './simulate.js';
export { workingPoint } from './working-point.js';
