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

/** Faults that a test reads alike: whatever it shows, they stay to one another as they were. */
interface Alike {
  readonly fault: string;
  readonly predicted: number;
  /** Logarithm of their weights together, their probability together, and the doubt among them, bit. */
  readonly log: number;
  readonly share: number;
  readonly doubtBits: number;
}

function alikeUnder(test: FaultTest, { faults }: FaultTable, logs: readonly number[], posterior: readonly number[]): readonly Alike[] {
  const by = new Map<number, number[]>();
  faults.forEach((f, i) => {
    const predicted = test.predicted[f.id]!;
    const one = by.get(predicted);
    if (one) one.push(i);
    else by.set(predicted, [i]);
  });
  return [...by].map(([predicted, of]) => {
    const most = Math.max(...of.map((i) => logs[i]!));
    const weights = of.map((i) => Math.exp(logs[i]! - most));
    return {
      fault: faults[of[0]!]!.id,
      predicted,
      log: most + Math.log(weights.reduce((a, b) => a + b, 0)),
      share: of.reduce((sum, i) => sum + posterior[i]!, 0),
      doubtBits: of.length > 1 ? entropyBits(normalised(of.map((i) => logs[i]!))) : 0,
    };
  });
}

/** Doubt after one value of a test, bit, by logarithms throughout: where the floor is 0, chances may be too small for a number. */
function doubtByLogs(test: FaultTest, floor: number, alike: readonly Alike[], value: number): number {
  const shares = normalised(alike.map((a) => a.log + logLikelihood(test, a.fault, value, floor)));
  return entropyBits(shares) + shares.reduce((sum, p, i) => sum + p * alike[i]!.doubtBits, 0);
}

/** The same in plain numbers: with a floor no chance vanishes, and this is asked for thousands of times. */
function doubt(sd: number, spread: number, anything: number, alike: readonly Alike[], value: number): number {
  let [sum, logs, inner] = [0, 0, 0];
  for (const a of alike) {
    if (a.share === 0) continue;
    const off = (value - a.predicted) / sd;
    const weight = a.share * (spread * Math.exp((-off * off) / 2) + anything);
    sum += weight;
    logs += weight * Math.log2(weight);
    inner += weight * a.doubtBits;
  }
  return Math.log2(sum) + (inner - logs) / sum;
}

/** Doubt that is to be expected after a test, bit: over what each fault, as likely as it now is, would make it read. */
export function entropyAfter(test: FaultTest, table: FaultTable, logs: readonly number[], posterior: readonly number[]): number {
  const alike = alikeUnder(test, table, logs, posterior);
  // One reading for all of them tells nothing: the doubt stays what it is.
  if (alike.length === 1) return alike[0]!.doubtBits;
  const { sd, range } = test;
  const { floor } = table;
  const [spread, anything] = [(1 - floor) / (sd * Math.sqrt(2 * Math.PI)), floor / range];
  const after = (value: number): number => (floor === 0 ? doubtByLogs(test, floor, alike, value) : doubt(sd, spread, anything, alike, value));
  let sum = 0;
  for (const a of alike) {
    if (a.share === 0) continue;
    for (const [x, w] of RULE) sum += a.share * w * after(a.predicted + Math.SQRT2 * sd * x);
  }
  return sum;
}
