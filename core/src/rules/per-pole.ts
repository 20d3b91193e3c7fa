import { clearingTimes } from '../protection/index.js';
import type { RunFigures } from '../routes/index.js';
import { figure, rating } from '../quantity/index.js';
import type { Rule } from './rule.js';

/** Longest a heavy load runs without a break, s: what has not opened by then is taken to stay. */
const LONG_S = 3600;

/** What the others carry with one fuse open, the volts lost then, and whether they follow it. */
function oneOpen(f: RunFigures): { readonly others: string; readonly lost: string; readonly opens: string } {
  const amps = (f.currentA * f.perPole) / (f.perPole - 1);
  const { slowS, fastS } = clearingTimes(f.fuseType, f.fuseA, amps);
  const opens =
    slowS <= LONG_S
      ? `and open too within ${figure(slowS / 60, 0)} min`
      : fastS <= LONG_S
        ? 'and may open too'
        : amps > f.ampacityA
          ? `which is more than the ${figure(f.ampacityA, 0)} A they bear: the cable gets too warm`
          : 'and go on';
  return { others: figure(amps, 0), lost: figure((f.dropV * f.perPole) / (f.perPole - 1), 2), opens };
}

export const perPole: Rule = {
  id: 'per-pole',
  severity: 'look',
  harm: 'fire',
  basis: 'no single stocked cable loses little enough over this length; equal conductors share the current by their resistance',
  why: 'Conductors side by side share only while they are equal: a longer one or a poor joint loads the others above what their fuses expect.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      r.ok && r.figures.perPole > 1
        ? [
            {
              at: { stage: 'runs' as const, about: r.spec.id },
              values: { run: r.spec.name, cable: r.figures.cable, fuse: rating(r.figures.fuseA), many: r.figures.perPole, length: r.spec.outM, ...oneOpen(r.figures) },
            },
          ]
        : [],
    ),
  say: (v) =>
    `${v['run']}: no single cable will do over ${v['length']} m, so ${v['cable']} in each pole, each with its own ${v['fuse']} A fuse. With one of them open the others carry ${v['others']} A each ${v['opens']}; ${v['lost']} V are lost, and nothing else shows it.`,
  fix: (v) => `Cut all ${v['many']} from one roll to the same length, with the same lugs, and join them at both ends; or move the gear nearer.`,
};
