import type { BuildStep } from './task.js';

/** All steps that must be done before this one, itself among them where it waits for itself. */
function before(step: string, byId: ReadonlyMap<string, BuildStep>): Set<string> {
  const found = new Set<string>();
  const open = [...byId.get(step)!.after];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (found.has(next)) continue;
    found.add(next);
    open.push(...byId.get(next)!.after);
  }
  return found;
}

/** Steps that wait for one another in a ring: those of the first in the list that does, sorted as text; null where none does. */
export function cycleIn(steps: readonly BuildStep[]): string[] | null {
  const byId = new Map(steps.map((s) => [s.id, s]));
  for (const s of steps) {
    const earlier = before(s.id, byId);
    if (earlier.has(s.id)) return [...earlier].filter((e) => before(e, byId).has(s.id)).sort((a, b) => (a < b ? -1 : 1));
  }
  return null;
}
