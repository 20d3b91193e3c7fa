/** A load that wants to run now: its power, and those it never runs with. */
export interface Wanting {
  readonly id: string;
  readonly watts: number;
  readonly never: ReadonlySet<string>;
}

/**
 * The largest sum of loads that may run at once, and which they are: loads that exclude one another are never counted
 * together. Exact: every choice among those with exclusions is tried, cut short where it cannot win.
 */
export function largestTogether(loads: readonly Wanting[]): { readonly watts: number; readonly ids: readonly string[] } {
  // Mostly nothing excludes anything.
  if (loads.every((l) => l.never.size === 0)) return { watts: loads.reduce((s, l) => s + l.watts, 0), ids: loads.map((l) => l.id) };
  const excludes = (a: Wanting, b: Wanting): boolean => a.never.has(b.id) || b.never.has(a.id);
  const torn = loads.filter((l) => loads.some((o) => o !== l && excludes(l, o))).sort((a, b) => b.watts - a.watts);
  const free = loads.filter((l) => !torn.includes(l));
  let best = { watts: -1, chosen: [] as readonly Wanting[] };
  const walk = (at: number, watts: number, chosen: readonly Wanting[]): void => {
    const rest = torn.slice(at).reduce((s, l) => s + l.watts, 0);
    if (watts + rest <= best.watts) return;
    if (at === torn.length) {
      best = { watts, chosen };
      return;
    }
    const here = torn[at]!;
    if (!chosen.some((c) => excludes(c, here))) walk(at + 1, watts + here.watts, [...chosen, here]);
    walk(at + 1, watts, chosen);
  };
  walk(0, 0, []);
  const on = new Set([...free, ...best.chosen].map((l) => l.id));
  return { watts: free.reduce((s, l) => s + l.watts, 0) + Math.max(0, best.watts), ids: loads.filter((l) => on.has(l.id)).map((l) => l.id) };
}
