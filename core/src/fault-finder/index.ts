export { findFault, likelihoods } from './find.js';
export { faultTableSchema, type FaultTable } from './table.js';
