import { selectivePairs, type SelectivePair } from '../circuit/index.js';
import { discrimination } from '../protection/index.js';
import { faultCurrent, figure, rating } from '../quantity/index.js';
import type { Facts, Found, Rule } from './rule.js';

interface Better {
  readonly ratingA: number;
  readonly mended: readonly SelectivePair[];
}

/** The smallest rating in the nearer fuse's own window that waits for most of these; null: none waits for any. */
function better(pairs: readonly SelectivePair[], runs: Facts['runs']): Better | null {
  const { near, far, result } = pairs[0]!;
  const run = runs.find((r) => r.spec.id === near.run);
  if (!run?.ok) return null;
  // Of parallel batteries and conductors each fuse carries its share only.
  const times = (result.ratio * far.fuse.ratingA) / near.fuse.ratingA;
  const tried = run.figures.window.fitsA
    .filter((a) => a > near.fuse.ratingA)
    .map((a): Better => ({ ratingA: a, mended: pairs.filter((p) => discrimination(p.far.fuse, { type: near.fuse.type, ratingA: a * times }, p.fromA, p.toA).holds) }));
  const most = Math.max(0, ...tried.map((t) => t.mended.length));
  return most ? tried.find((t) => t.mended.length === most)! : null;
}

function found(pairs: readonly SelectivePair[], runs: Facts['runs']): Found[] {
  const mend = better(pairs, runs);
  if (!mend) return [];
  const { near } = pairs[0]!;
  const one = ({ far, result }: SelectivePair): string => `the ${rating(far.fuse.ratingA)} A of run ${far.number} (${figure(result.ratio, 1)} : 1, needs ${figure(result.needs, 1)} : 1)`;
  const least = Math.min(...mend.mended.map((p) => p.result.failsAtA ?? Infinity));
  return [
    {
      at: { stage: 'protection', about: near.run },
      values: { run: near.name, fuse: rating(near.fuse.ratingA), far: mend.mended.map(one).join(', '), from: faultCurrent(least), waits: rating(mend.ratingA) },
    },
  ];
}

/**
 * Only what can be mended is a finding: next to a main fuse that its window holds down, as beside a big inverter, either
 * may open whatever is chosen, and the protection sheet shows that pair by pair.
 */
export const opensFirst: Rule = {
  id: 'opens-first',
  severity: 'look',
  basis: 'slow edge of the fuse nearer the load against the fast edge of the one nearer the battery, over every current that both see',
  why: 'When the fuse nearer the battery opens first, everything behind it goes dark, and the fault is harder to find.',
  test: ({ runs }) => {
    const failing = selectivePairs(runs).filter((p) => !p.result.holds);
    return [...new Set(failing.map((p) => p.near.run))].flatMap((id) =>
      found(
        failing.filter((p) => p.near.run === id),
        runs,
      ),
    );
  },
  say: (v) => `${v['run']}: from ${v['from']} on its ${v['fuse']} A fuse may open before ${v['far']}.`,
  fix: (v) => `${v['waits']} A in its place is still in its window, protects the cable as well, and waits.`,
};
