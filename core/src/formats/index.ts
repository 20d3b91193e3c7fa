export * from './csv.js';
export * from './pasted-loads.js';
