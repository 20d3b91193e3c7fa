import type { FaultTable } from './table.js';

/** Two predictions within so many standard deviations cannot be told apart by that test. */
const APART_SD = 2;

/**
 * Faults that no test of the table tells apart, also through a third (the ends of such a chain may differ by more); two or
 * more a group, in the order of the faults.
 */
export function alike({ faults, tests }: FaultTable): string[][] {
  const ids = faults.map((f) => f.id);
  // A row of figures a fault: of many faults every pair is compared.
  const rows = new Map(ids.map((id) => [id, Float64Array.from(tests, (t) => t.predicted[id]!)]));
  const apart = Float64Array.from(tests, (t) => APART_SD * t.sd);
  const same = (a: string, b: string): boolean => {
    const [x, y] = [rows.get(a)!, rows.get(b)!];
    for (let k = 0; k < apart.length; k++) if (Math.abs(x[k]! - y[k]!) > apart[k]!) return false;
    return true;
  };
  const left = new Set(ids);
  const groups = ids.map((first) => {
    if (!left.delete(first)) return [];
    const group = [first];
    for (const member of group) for (const other of left) if (same(member, other) && left.delete(other)) group.push(other);
    return ids.filter((f) => group.includes(f));
  });
  return groups.filter((g) => g.length > 1);
}
