export { RULES } from './all.js';
export * from './judge.js';
export * from './rule.js';
export * from './press.js';
export type { Elsewhere, JoinedFacts, JoinedRule, LeadFacts } from './joined/index.js';
