import type { Circuit } from './circuit.js';
import { LinearCircuit, type Shapes } from './linear.js';

export interface Short {
  /** Nodes that are joined by the fault. */
  readonly plus: string;
  readonly minus: string;
  /** Branch (resistor) whose own current is wanted. */
  readonly branch: string;
}

/** Two nodes as what hangs on them meets them: open volts behind a resistance. */
export interface Thevenin {
  readonly volt: number;
  readonly ohm: number;
}

/** Currents of bolted shorts, and what other places of the same circuit would meet. */
export interface ShortsAndPorts {
  readonly amps: readonly number[];
  readonly ports: readonly Thevenin[];
}

/**
 * Prospective currents of many bolted shorts in one circuit, each alone: the current through the named branch, A; and the
 * Thevenin source at each port. The network without its loads is factored once; each short or port is one more
 * right-hand side. A circuit in which a node floats gives 0 for all.
 */
export function shortsAndPorts(circuit: Circuit, shorts: readonly Short[], ports: readonly { readonly plus: string; readonly minus: string }[], shapes?: Shapes): ShortsAndPorts {
  const linear = LinearCircuit.of(circuit, shapes);
  if (!linear) return { amps: shorts.map(() => 0), ports: ports.map(() => ({ volt: 0, ohm: 1 })) };
  const at = new Map(circuit.resistors.map((r, i) => [r.id, i]));
  const reach = new Float64Array(linear.open.length);
  const port = ({ plus, minus }: { readonly plus: string; readonly minus: string }): Thevenin => {
    linear.draw(plus, minus, reach);
    return { volt: linear.across(linear.open, plus, minus), ohm: linear.across(reach, plus, minus) };
  };
  const amps = shorts.map((s) => {
    const { volt, ohm: inner } = port(s);
    const faultA = volt / inner;
    const { a, b, ohm } = circuit.resistors[at.get(s.branch)!]!;
    return Math.abs(linear.across(linear.open, a, b) - faultA * linear.across(reach, a, b)) / ohm;
  });
  return { amps, ports: ports.map(port) };
}

/** The shorts alone. */
export const shortCurrents = (circuit: Circuit, shorts: readonly Short[], shapes?: Shapes): readonly number[] => shortsAndPorts(circuit, shorts, [], shapes).amps;
