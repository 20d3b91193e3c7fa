import type { Circuit } from './circuit.js';
import { NodalSystem } from './system.js';

export interface Short {
  /** Nodes that are joined by the fault. */
  readonly plus: string;
  readonly minus: string;
  /** Branch (resistor) whose own current is wanted. */
  readonly branch: string;
}

/**
 * Prospective currents of many bolted shorts in one circuit, each alone: the current through the named branch, A.
 * The network without its loads is factored once; each short is one more right-hand side (Thevenin at its nodes).
 * A circuit in which a node floats gives 0 for every short.
 */
export function shortCurrents(circuit: Circuit, shorts: readonly Short[]): number[] {
  const system = new NodalSystem({ ...circuit, loads: [] });
  const open = new Float64Array(system.size);
  if (!system.slopes(open, false)) return shorts.map(() => 0);
  const rhs = new Float64Array(system.size);
  system.imbalance(open, false, rhs);
  system.matrix.solve(rhs, open);
  for (let n = 0; n < open.length; n++) open[n] = -open[n]!;
  const at = new Map(circuit.resistors.map((r, i) => [r.id, i]));
  const reach = new Float64Array(system.size);
  const shorted = new Float64Array(system.size);
  return shorts.map((short) => {
    const a = system.unknown(short.plus);
    const b = system.unknown(short.minus);
    const across = (v: Float64Array): number => (a < 0 ? 0 : v[a]!) - (b < 0 ? 0 : v[b]!);
    rhs.fill(0);
    if (a >= 0) rhs[a]! += 1;
    if (b >= 0) rhs[b]! -= 1;
    system.matrix.solve(rhs, reach);
    const faultA = across(open) / across(reach);
    for (let n = 0; n < open.length; n++) shorted[n] = open[n]! - faultA * reach[n]!;
    return Math.abs(system.elementAmp(shorted, at.get(short.branch)!));
  });
}
