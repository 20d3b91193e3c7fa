export * from './judge.js';
export { FULL_FROM_PERCENT, testPlan, type TestPlan } from './plan.js';
export type { TestGroup, TestRow } from './rows.js';
