export * from './judge.js';
export { FULL_FROM_PERCENT, testPlan, type TestGroup, type TestPlan, type TestRow } from './plan.js';
