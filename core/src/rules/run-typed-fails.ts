import { areaInWords } from '../cable/index.js';
import { figure, rating } from '../quantity/index.js';
import type { SizedRun } from '../routes/index.js';
import type { Found, Rule } from './rule.js';

function wrong(run: SizedRun): Found[] {
  if (!run.ok) return [];
  const { figures: f, spec } = run;
  const at = { stage: 'runs' as const, about: spec.id };
  const base = { run: spec.name, size: areaInWords(f.areaMm2), there: spec.existing ? 1 : 0 };
  const out: Found[] = [];
  if (f.pathDropPercent > spec.pathLimitPercent + 1e-9)
    out.push({ at, severity: 'look', values: { ...base, what: 'drop', percent: figure(f.pathDropPercent, 1), limit: spec.pathLimitPercent, volts: figure(f.dropV, 2) } });
  if (f.fuseA > f.window.to.ratingA + 1e-9) out.push({ at, values: { ...base, what: 'fuse', fuse: rating(f.fuseA), weak: f.window.to.what, limit: figure(f.window.to.ratingA, 0) } });
  if (f.fuseA < f.window.fromA - 1e-9) out.push({ at, severity: 'look', values: { ...base, what: 'small', fuse: rating(f.fuseA), wants: figure(f.window.fromA, 1) } });
  return out;
}

export const runTypedFails: Rule = {
  id: 'run-fails',
  severity: 'stop',
  basis: 'drop by purpose; fuse at or below the weakest part, load at or below 0.8 of the fuse',
  why: 'A cable that its fuse does not protect can burn; lost volts starve what hangs on it.',
  test: ({ runs }) => runs.flatMap(wrong),
  say: (v) => {
    if (v['what'] === 'drop') return `${v['run']}: ${v['size']} loses ${v['volts']} V, ${v['percent']} % with its path; the limit is ${v['limit']} %.`;
    if (v['what'] === 'small') return `${v['run']}: a ${v['fuse']} A fuse carries less than the ${v['wants']} A it needs all day.`;
    return `${v['run']}: a ${v['fuse']} A fuse does not protect the ${v['weak']} of ${v['limit']} A.`;
  },
  fix: (v) =>
    v['there']
      ? 'It does not fit on that circuit: give what is added a way of its own. Never raise the fuse of a wire that is there.'
      : v['what'] === 'drop'
        ? 'A thicker cable, a shorter run, or accept it with a reason.'
        : v['what'] === 'small'
          ? 'A bigger fuse, with the cable for it.'
          : 'A smaller fuse or a thicker cable.',
};
