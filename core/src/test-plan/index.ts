export { type Beside, besideKey } from './beside.js';
export * from './judge.js';
export { FULL_FROM_PERCENT, testPlan, type TestPlan } from './plan.js';
export type { TestGroup, TestRow } from './rows.js';
export { jointMostMv } from './joints.js';
export { settlesAtC, soakSays, type SoakSays } from './soak.js';
