import type { Circuit } from '../network/index.js';

/** Above this a contact is open: what passes is a leak, ohm. */
export const OPEN_OHM = 1e7;

/** What each node is joined to, open contacts left out. */
function neighbours({ resistors }: Pick<Circuit, 'resistors'>): ReadonlyMap<string, readonly string[]> {
  const near = new Map<string, string[]>();
  const link = (a: string, b: string): void => void (near.get(a) ?? near.set(a, []).get(a)!).push(b);
  for (const r of resistors) {
    if (r.ohm >= OPEN_OHM) continue;
    link(r.a, r.b);
    link(r.b, r.a);
  }
  return near;
}

/** Nodes of a circuit that conductors join to one of these, open contacts left out. */
export function joinedTo(circuit: Pick<Circuit, 'resistors'>, from: readonly string[]): ReadonlySet<string> {
  const near = neighbours(circuit);
  const seen = new Set(from);
  const queue = [...from];
  for (let n = queue.pop(); n !== undefined; n = queue.pop()) {
    for (const next of near.get(n) ?? []) {
      if (seen.has(next)) continue;
      seen.add(next);
      queue.push(next);
    }
  }
  return seen;
}

/** Which nodes conductors join to one another, open contacts left out: the same number for those that are; a node of its own has none. */
export function joinedNodes(circuit: Pick<Circuit, 'resistors'>): ReadonlyMap<string, number> {
  const near = neighbours(circuit);
  const of = new Map<string, number>();
  let next = 0;
  for (const first of near.keys()) {
    if (of.has(first)) continue;
    const here = next++;
    of.set(first, here);
    const queue = [first];
    for (let n = queue.pop(); n !== undefined; n = queue.pop())
      for (const to of near.get(n)!)
        if (!of.has(to)) {
          of.set(to, here);
          queue.push(to);
        }
  }
  return of;
}
