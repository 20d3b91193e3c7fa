export { RULES } from './all.js';
export * from './judge.js';
export * from './rule.js';
export * from './press.js';
