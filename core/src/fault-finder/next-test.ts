import { entropyBits, logLikelihood, normalised } from './posterior.js';
import type { FaultTable, FaultTest } from './table.js';

/** Positive half of the 16-node Gauss-Hermite rule for the weight exp(−x²): node, weight (Abramowitz and Stegun, table 25.10). */
const HALF_RULE = [
  [0.27348104613815244, 0.5079294790166137],
  [0.8229514491446559, 0.2806474585285337],
  [1.3802585391988809, 0.08381004139898583],
  [1.9517879909162539, 0.012880311535509989],
  [2.5462021578474814, 0.0009322840086241807],
  [3.176999161979956, 0.000027118600925378892],
  [3.869447904860123, 2.3209808448652032e-7],
  [4.688738939305819, 2.6548074740111673e-10],
] as const;

const RULE = HALF_RULE.flatMap(([x, w]) => [[x, w / Math.sqrt(Math.PI)] as const, [-x, w / Math.sqrt(Math.PI)] as const]);

/** Doubt that is to be expected after a test, bit: over what each fault, as likely as it now is, would make it read. */
export function entropyAfter(test: FaultTest, { faults, floor }: FaultTable, logs: readonly number[], posterior: readonly number[]): number {
  const after = (value: number): number => entropyBits(normalised(logs.map((l, i) => l + logLikelihood(test, faults[i]!.id, value, floor))));
  return faults.reduce((sum, f, i) => {
    if (posterior[i] === 0) return sum;
    const under = RULE.reduce((s, [x, w]) => s + w * after(test.predicted[f.id]! + Math.SQRT2 * test.sd * x), 0);
    return sum + posterior[i]! * under;
  }, 0);
}
