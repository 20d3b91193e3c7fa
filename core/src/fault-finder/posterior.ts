import type { FaultTable, FaultTest } from './table.js';

/** Natural logarithm of the chance of a reading under a fault, per unit of the reading: the instrument's normal spread, or with a small share anything in its range. */
export function logLikelihood(test: FaultTest, fault: string, value: number, floor: number): number {
  const off = (value - test.predicted[fault]!) / test.sd;
  const fits = Math.log1p(-floor) - (off * off) / 2 - Math.log(test.sd * Math.sqrt(2 * Math.PI));
  if (floor === 0) return fits;
  const anything = Math.log(floor / test.range);
  const most = Math.max(fits, anything);
  return most + Math.log(Math.exp(fits - most) + Math.exp(anything - most));
}

/** Shares that sum to 1, of the logarithms of any weights. */
export function normalised(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}

/** Doubt that is left, bit: 0 where one is certain. Two that are equally likely: 1. */
export function entropyBits(shares: readonly number[]): number {
  return -shares.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);
}

/** Logarithm of prior × likelihood of all readings, by fault in the table's order. */
export function logWeights({ faults, tests, readings, floor }: FaultTable): number[] {
  const byId = new Map(tests.map((t) => [t.id, t]));
  return faults.map((f) => readings.reduce((sum, r) => sum + logLikelihood(byId.get(r.test)!, f.id, r.value, floor), Math.log(f.prior)));
}
