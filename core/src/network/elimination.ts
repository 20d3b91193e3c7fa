/** Order in which unknowns are eliminated, and the rows that each then touches. */
export interface Elimination {
  /** Unknown at each position of the order. */
  readonly order: Int32Array;
  /** Position of each unknown. */
  readonly place: Int32Array;
  /** For each position, the later positions it touches, ascending. */
  readonly below: readonly Int32Array[];
}

/**
 * Minimum-degree elimination of a symmetric pattern: the unknown with the fewest neighbours goes next, and its
 * neighbours become neighbours of one another. Wiring is nearly a tree, so almost nothing fills in.
 */
export function eliminate(size: number, from: Int32Array, to: Int32Array): Elimination {
  const near: Set<number>[] = Array.from({ length: size }, () => new Set<number>());
  for (let i = 0; i < from.length; i++) {
    const [a, b] = [from[i]!, to[i]!];
    if (a === b || a < 0 || b < 0) continue;
    near[a]!.add(b);
    near[b]!.add(a);
  }
  const buckets: number[][] = [];
  const put = (u: number): void => {
    const degree = near[u]!.size;
    while (buckets.length <= degree) buckets.push([]);
    buckets[degree]!.push(u);
  };
  for (let u = size - 1; u >= 0; u--) put(u);
  const order = new Int32Array(size);
  const place = new Int32Array(size).fill(-1);
  const touched: number[][] = [];
  for (let position = 0, degree = 0; position < size;) {
    const bucket = buckets[degree];
    const u = bucket?.pop();
    if (u === undefined) {
      degree++;
      continue;
    }
    if (place[u] !== -1 || near[u]!.size !== degree) continue;
    order[position] = u;
    place[u] = position++;
    const neighbours = [...near[u]!];
    touched.push(neighbours);
    join(neighbours, u, near);
    for (const v of neighbours) put(v);
    degree = Math.max(0, degree - 1);
  }
  return { order, place, below: touched.map((list) => Int32Array.from(list, (v) => place[v]!).sort()) };
}

function join(neighbours: readonly number[], gone: number, near: readonly Set<number>[]): void {
  for (const v of neighbours) {
    const set = near[v]!;
    set.delete(gone);
    for (const w of neighbours) if (w !== v) set.add(w);
  }
}
