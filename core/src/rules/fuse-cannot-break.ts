import { FUSE_KINDS } from '../protection/index.js';
import { faultCurrent, rating } from '../quantity/index.js';
import type { Rule } from './rule.js';

export const fuseCannotBreak: Rule = {
  id: 'fuse-cannot-break',
  severity: 'stop',
  basis: 'largest prospective current of the fuse’s own branch, batteries full and cold, against its breaking capacity',
  why: 'A fuse that cannot break a short goes on burning as an arc.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      r.ok
        ? r.figures.fuses
            .filter((f) => f.maxA > f.breakingA)
            .map((f) => ({
              at: { stage: 'protection' as const, about: r.spec.id },
              values: { run: r.spec.name, kind: FUSE_KINDS[f.type].name, fuse: rating(f.ratingA), short: faultCurrent(f.maxA), breaks: faultCurrent(f.breakingA) },
            }))
        : [],
    ),
  say: (v) => `${v['run']}: a short gives ${v['short']}; the ${v['kind']} fuse of ${v['fuse']} A breaks ${v['breaks']}.`,
  fix: () => 'A high-breaking main fuse nearer the battery, a kind that breaks more, or a longer or thinner feed before it.',
};
