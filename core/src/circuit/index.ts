export * from './inline.js';
export * from './plan.js';
export * from './settle.js';
export * from './shorts.js';
export * from './state.js';
export * from './sweep.js';
export { designCircuit, type Fitted } from './wires.js';
