export * from './circuits.js';
export * from './csv.js';
export * from './netlist.js';
export * from './pasted-loads.js';
export * from './parts-file.js';
