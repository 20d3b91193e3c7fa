import { selectivePairs, type SelectivePair } from '../circuit/index.js';
import { discrimination } from '../protection/index.js';
import { faultCurrent, figure, rating } from '../quantity/index.js';
import type { Facts, Found, Rule } from './rule.js';

/** The smallest rating in the nearer fuse's own window that waits for all of these; null: none does. */
function waitsFrom(pairs: readonly SelectivePair[], runs: Facts['runs']): number | null {
  const { near } = pairs[0]!;
  const run = runs.find((r) => r.spec.id === near.run);
  if (!run?.ok) return null;
  const times = pairs[0]!.result.ratio / (near.fuse.ratingA / pairs[0]!.far.fuse.ratingA);
  const holds = (ratingA: number): boolean => pairs.every(({ far, fromA, toA }) => discrimination(far.fuse, { type: near.fuse.type, ratingA: ratingA * times }, fromA, toA).holds);
  return run.figures.window.fitsA.find((a) => a > near.fuse.ratingA && holds(a)) ?? null;
}

function found(pairs: readonly SelectivePair[], runs: Facts['runs']): Found {
  const { near } = pairs[0]!;
  const one = ({ far, result }: SelectivePair): string => `the ${rating(far.fuse.ratingA)} A of run ${far.number} (${figure(result.ratio, 1)} : 1, needs ${figure(result.needs, 1)} : 1)`;
  const least = Math.min(...pairs.map((p) => p.result.failsAtA ?? Infinity));
  return {
    at: { stage: 'protection', about: near.run },
    values: { run: near.name, fuse: rating(near.fuse.ratingA), far: pairs.map(one).join(', '), from: faultCurrent(least), waits: waitsFrom(pairs, runs) ?? 0 },
  };
}

export const opensFirst: Rule = {
  id: 'opens-first',
  severity: 'look',
  basis: 'slow edge of the fuse nearer the load against the fast edge of the one nearer the battery, over every current that both see',
  why: 'When the fuse nearer the battery opens first, everything behind it goes dark, and the fault is harder to find.',
  test: ({ runs }) => {
    const failing = selectivePairs(runs).filter((p) => !p.result.holds);
    return [...new Set(failing.map((p) => p.near.run))].map((id) =>
      found(
        failing.filter((p) => p.near.run === id),
        runs,
      ),
    );
  },
  say: (v) => `${v['run']}: from ${v['from']} on its ${v['fuse']} A fuse may open before ${v['far']}.`,
  fix: (v) =>
    Number(v['waits']) > 0
      ? `${v['waits']} A in its place is still in its window, protects the cable as well, and waits for them.`
      : 'No rating in its window waits for them all: a bigger cable and fuse before, a smaller fuse behind, or accept that either may open.',
};
