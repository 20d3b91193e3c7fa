export * from './circuit.js';
export { shortCurrents, type Short } from './shorts.js';
export { solveCircuit } from './solve.js';
export * from './wiring.js';
