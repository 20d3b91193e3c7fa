export * from './buying.js';
export * from './cut.js';
export * from './line.js';
export * from './list.js';
export * from './priced.js';
export * from './prices.js';
export { cablePlans, type AskedPerM, type CablePlan, type CableShelf, type PieceCut } from './cut-plan.js';
