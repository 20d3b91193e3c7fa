import type { Circuit, Solved, SolveResult } from './circuit.js';
import { floatingNodes, unknownNodes } from './connectivity.js';
import { NodalSystem } from './system.js';

const MOST_ROUNDS = 100;
const MOST_HALVINGS = 30;
/** A node balances when what is left over is below this share of the amps around it. */
const BALANCE = 1e-10;

/**
 * Volts of every node and amps of every branch. Constant-power loads settle on the upper, stable branch: Newton starts
 * from the unloaded volts and never leaves the region where the slopes are positive definite, which is that branch.
 * @example solveCircuit(circuit) // { ok: true, nodeVolt: { … }, branchAmp: { … } } or { ok: false, error: 'floating-node', at: ['lamp'] }
 */
export function solveCircuit(circuit: Circuit): SolveResult {
  const strange = unknownNodes(circuit);
  if (strange.length) return { ok: false, error: 'unknown-node', at: strange };
  const floating = floatingNodes(circuit);
  if (floating.length) return { ok: false, error: 'floating-node', at: floating };
  const system = new NodalSystem(circuit);
  const volts = new Float64Array(system.size);
  relax(system, volts, false);
  const rounds = system.hasPower ? relax(system, volts, true) : 0;
  if (rounds < 0) return { ok: false, error: 'no-operating-point', at: weakest(system, volts) };
  return report(system, volts, rounds);
}

/** Newton until the amps balance; the number of rounds, or −1 when there is no stable point. */
function relax(system: NodalSystem, volts: Float64Array, withPower: boolean): number {
  const left = new Float64Array(system.size);
  const step = new Float64Array(system.size);
  const from = new Float64Array(system.size);
  if (withPower && !system.slopes(volts, true)) return -1;
  if (!withPower) system.slopes(volts, false);
  let before = system.imbalance(volts, withPower, left);
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    system.matrix.solve(left, step);
    from.set(volts);
    let size = 1;
    for (let halving = 0; ; halving++) {
      for (let n = 0; n < volts.length; n++) volts[n] = from[n]! - size * step[n]!;
      if (!withPower || system.slopes(volts, true)) break;
      if (halving === MOST_HALVINGS) return -1;
      size /= 2;
    }
    const now = system.imbalance(volts, withPower, left);
    if (now <= BALANCE || (size === 1 && now >= before && now < 1e-6)) return round;
    before = now;
  }
  return -1;
}

/** Power loads by how far their volts fell, the worst first: where the run collapses. */
function weakest(system: NodalSystem, volts: Float64Array): string[] {
  const loads = system.powerVolts(volts).sort((p, q) => p.volt - q.volt);
  return loads.map((p) => p.id);
}

function report(system: NodalSystem, volts: Float64Array, iterations: number): Solved {
  const { circuit } = system;
  const nodeVolt: Record<string, number> = { [circuit.ground]: 0 };
  for (const n of circuit.nodes) if (n !== circuit.ground) nodeVolt[n] = volts[system.unknown(n)]!;
  const branchAmp: Record<string, number> = {};
  circuit.resistors.forEach((r, i) => (branchAmp[r.id] = system.elementAmp(volts, i)));
  circuit.sources.forEach((s, i) => (branchAmp[s.id] = -system.elementAmp(volts, circuit.resistors.length + i)));
  const left = new Float64Array(system.size);
  const residualA = system.imbalance(volts, true, left);
  const pivots = system.matrix.pivots();
  const names = circuit.nodes.filter((n) => n !== circuit.ground);
  const named = (at: number): string => names.find((n) => system.unknown(n) === at) ?? circuit.ground;
  const residualAt = named(left.findIndex((a) => Math.abs(a) === residualA));
  return { ok: true, nodeVolt, branchAmp, iterations, residualA, residualAt, pivotRatio: pivots.ratio, weakestAt: named(pivots.weakest) };
}
