import { faultCurrent, figure, rating } from '../quantity/index.js';
import type { Rule } from './rule.js';

export const faultNotCleared: Rule = {
  id: 'fault-not-cleared',
  severity: 'stop',
  harm: 'fire',
  basis: 'slow edge of the fuse at the smallest far-end short within 5 s; I²t against k²S² (IEC 60364-4-43)',
  why: 'A short that the fuse does not see keeps heating the cable.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      r.ok
        ? r.figures.fuses
            .filter((f) => f.fault && (!f.fault.clearsIn5s || !f.fault.cableSurvives))
            .map((f) => ({
              at: { stage: 'protection' as const, about: r.spec.id },
              severity: f.fault!.cableSurvives ? ('look' as const) : ('stop' as const),
              values: { run: r.spec.name, fuse: rating(f.ratingA), short: faultCurrent(f.minA), slow: figure(f.fault!.slowAtMinS, 1), survives: f.fault!.cableSurvives ? 1 : 0 },
            }))
        : [],
    ),
  say: (v) =>
    v['survives']
      ? `${v['run']}: a short at the far end gives only ${v['short']}; the ${v['fuse']} A fuse ${v['slow'] === 'never' ? 'may never open on it' : `may take ${v['slow']} s instead of 5 s`}.`
      : `${v['run']}: the cable does not outlast a short until the ${v['fuse']} A fuse has opened.`,
  fix: () => 'A smaller fuse, a thicker cable, or a shorter run.',
};
