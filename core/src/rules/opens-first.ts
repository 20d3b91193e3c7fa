import { waitingRatings, type SelectivePair } from '../circuit/index.js';
import { faultCurrent, figure, rating } from '../quantity/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

const one = ({ far, result }: SelectivePair): string => `the ${rating(far.fuse.ratingA)} A of run ${far.number} (${figure(result.ratio, 1)} : 1, needs ${figure(result.needs, 1)} : 1)`;

/**
 * Only what can be mended is a finding: next to a main fuse that its window holds down, as beside a big inverter, either
 * may open whatever is chosen, and the protection sheet shows that pair by pair. A draft takes the rating that waits.
 */
export const opensFirst: Rule = {
  id: 'opens-first',
  severity: 'look',
  harm: 'fire',
  basis: 'slow edge of the fuse nearer the load against the fast edge of the one nearer the battery, over every current that both see',
  why: 'When the fuse nearer the battery opens first, everything behind it goes dark, and the fault is harder to find.',
  test: ({ runs }) =>
    [...waitingRatings(runs)].map(([id, mend]) => {
      const { near } = mend.mended[0]!;
      const least = Math.min(...mend.mended.map((p) => p.result.failsAtA ?? Infinity));
      return {
        at: { stage: 'protection' as const, about: id },
        values: { run: near.name, fuse: rating(near.fuse.ratingA), far: mend.mended.map(one).join(', '), from: faultCurrent(least), waits: rating(mend.ratingA) },
      };
    }),
  presses: ({ at, values: v }, { design }) => [press(design, `Take the ${v['waits']} A`, (d) => (d.runs[at.about!] = { ...d.runs[at.about!], fuseA: Number(v['waits']) }))],
  say: (v) => `${v['run']}: from ${v['from']} on its ${v['fuse']} A fuse may open before ${v['far']}.`,
  fix: (v) => `${v['waits']} A in its place is still in its window, protects the cable as well, and waits.`,
};
