import type { Circuit } from './circuit.js';
import { LinearCircuit, type Shapes } from './linear.js';

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
export function shortCurrents(circuit: Circuit, shorts: readonly Short[], shapes?: Shapes): number[] {
  const linear = LinearCircuit.of(circuit, shapes);
  if (!linear) return shorts.map(() => 0);
  const at = new Map(circuit.resistors.map((r, i) => [r.id, i]));
  const reach = new Float64Array(linear.open.length);
  return shorts.map(({ plus, minus, branch }) => {
    linear.draw(plus, minus, reach);
    const faultA = linear.across(linear.open, plus, minus) / linear.across(reach, plus, minus);
    const { a, b, ohm } = circuit.resistors[at.get(branch)!]!;
    return Math.abs(linear.across(linear.open, a, b) - faultA * linear.across(reach, a, b)) / ohm;
  });
}
