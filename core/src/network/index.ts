export * from './circuit.js';
export * from './examine.js';
export { loadsAlone, type LoadAlone } from './single-loads.js';
export { LinearCircuit, type Shapes } from './linear.js';
export { shortCurrents, shortsAndPorts, type Short } from './shorts.js';
export { solveCircuit } from './solve.js';
export * from './wiring.js';
