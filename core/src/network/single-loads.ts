import type { Circuit, CircuitLoad } from './circuit.js';
import { LinearCircuit } from './linear.js';

/** What one load gets with all others off. */
export interface LoadAlone {
  readonly id: string;
  readonly volt: number;
  readonly amp: number;
  /** Volts between two watched nodes meanwhile, such as the battery's posts. */
  readonly watchedV: number;
}

/** Current of a load behind an open voltage and a resistance; null when a constant power cannot be delivered. */
function loadAmp(load: CircuitLoad, openV: number, ohm: number): number | null {
  if (load.kind === 'current') return load.value;
  if (load.kind === 'resistance') return openV / (load.value + ohm);
  const root = openV * openV - 4 * ohm * load.value;
  return root < 0 ? null : (2 * load.value) / (openV + Math.sqrt(root));
}

/**
 * Each load alone on the circuit, from one factorisation: its terminals are an open voltage behind a resistance. Loads
 * that the wires cannot feed are null. The same volts as `solveCircuit` with that one load.
 */
export function loadsAlone(circuit: Circuit, loads: readonly CircuitLoad[], watched: { readonly plus: string; readonly minus: string }): (LoadAlone | null)[] {
  const linear = LinearCircuit.of(circuit);
  if (!linear) return loads.map(() => null);
  const reach = new Float64Array(linear.open.length);
  return loads.map((load) => {
    linear.draw(load.plus, load.minus, reach);
    const openV = linear.across(linear.open, load.plus, load.minus);
    const ohm = linear.across(reach, load.plus, load.minus);
    const amp = loadAmp(load, openV, ohm);
    if (amp === null) return null;
    const watchedV = linear.across(linear.open, watched.plus, watched.minus) - amp * linear.across(reach, watched.plus, watched.minus);
    return { id: load.id, volt: openV - amp * ohm, amp, watchedV };
  });
}
