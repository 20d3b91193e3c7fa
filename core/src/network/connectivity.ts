import type { Circuit } from './circuit.js';
import { Groups } from './groups.js';

/** Names used by an element that the circuit does not list as nodes. */
export function unknownNodes(circuit: Circuit): string[] {
  const known = new Set(circuit.nodes).add(circuit.ground);
  const strange = new Set<string>();
  const look = (a: string, b: string): void => {
    if (!known.has(a)) strange.add(a);
    if (!known.has(b)) strange.add(b);
  };
  for (const r of circuit.resistors) look(r.a, r.b);
  for (const s of circuit.sources) look(s.plus, s.minus);
  for (const l of circuit.loads) look(l.plus, l.minus);
  return [...strange];
}

/**
 * Nodes that no conductor joins to ground. A load of constant current or power is no conductor: it cannot fix the
 * volts of what hangs on it.
 */
export function floatingNodes(circuit: Circuit): string[] {
  const groups = new Groups();
  for (const r of circuit.resistors) groups.join(r.a, r.b);
  for (const s of circuit.sources) groups.join(s.plus, s.minus);
  for (const l of circuit.loads) if (l.kind === 'resistance') groups.join(l.plus, l.minus);
  return circuit.nodes.filter((n) => !groups.joined(n, circuit.ground));
}
