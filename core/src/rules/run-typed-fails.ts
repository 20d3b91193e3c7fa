import { areaInWords } from '../cable/index.js';
import { figure, rating } from '../quantity/index.js';
import type { SizedRun } from '../routes/index.js';
import { press, takeSize } from './press.js';
import type { Found, Rule } from './rule.js';

/** Beyond so many times its limit what hangs on a run does not work as it should; below, it is for a person to weigh. */
const USELESS = 2;

function wrong(run: SizedRun): Found[] {
  if (!run.ok) return [];
  const { figures: f, spec } = run;
  const at = { stage: 'runs' as const, about: spec.id };
  const base = { run: spec.name, size: areaInWords(f.areaMm2), end: spec.to.name, there: spec.existing ? 1 : 0 };
  const out: Found[] = [];
  const limit = spec.pathLimitPercent;
  if (limit !== null && f.pathDropPercent > limit + 1e-9) {
    const { cure } = f;
    out.push({
      at,
      severity: f.pathDropPercent > USELESS * limit && !spec.existing ? 'stop' : 'look',
      values: {
        ...base,
        what: 'drop',
        percent: figure(f.pathDropPercent, 1),
        limit,
        over: figure(f.pathDropPercent - limit, 2),
        cure: cure?.run ?? '',
        cureName: cure?.name ?? '',
        cureSize: cure?.size ?? '',
        cureMm2: cure?.areaMm2 ?? 0,
        makes: figure(cure?.percent ?? 0, 1),
      },
    });
  }
  if (f.fuseA > f.window.to.ratingA + 1e-9) out.push({ at, values: { ...base, what: 'fuse', fuse: rating(f.fuseA), limitingParts: f.window.to.what, limit: figure(f.window.to.ratingA, 0) } });
  if (f.fuseA < f.window.fromA - 1e-9) out.push({ at, severity: 'look', values: { ...base, what: 'small', fuse: rating(f.fuseA), wants: figure(f.window.fromA, 1) } });
  if (spec.edit.areaMm2 && spec.maxAreaMm2 !== null && f.areaMm2 > spec.maxAreaMm2 + 1e-9) out.push({ at, severity: 'look', values: { ...base, what: 'terminal', most: spec.maxWhy } });
  return out;
}

export const runTypedFails: Rule = {
  id: 'run-fails',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'drop of the cable by purpose; fuse at or below the weakest part, load at or below 0.8 of the fuse; what terminals take',
  why: 'A cable that its fuse does not protect can burn; lost volts starve what hangs on it.',
  test: ({ runs }) => runs.flatMap(wrong),
  presses: ({ at, values: v }, { design }) => {
    const run = at.about!;
    if (v['what'] === 'drop') return v['cure'] ? [takeSize(design, String(v['cure']), Number(v['cureMm2']), `Take ${v['cureSize']} for ${v['cureName']}`)] : [];
    if (!v['there'] && design.runs[run]?.fuseA !== undefined) return [press(design, 'Back to the fuse as drafted', (d) => delete d.runs[run]!.fuseA)];
    if (!v['there'] && design.runs[run]?.areaMm2 !== undefined) return [press(design, 'Back to the size as drafted', (d) => delete d.runs[run]!.areaMm2)];
    return [];
  },
  say: (v) => {
    if (v['what'] === 'drop')
      return `${v['run']}: ${v['percent']} % at the ${v['end']} with ${v['size']}; the limit is ${v['limit']} %.${v['cure'] ? ` ${v['cureSize']} for ${v['cureName']} would make it ${v['makes']}.` : ''}`;
    if (v['what'] === 'small') return `${v['run']}: a ${v['fuse']} A fuse carries less than the ${v['wants']} A it needs all day.`;
    if (v['what'] === 'terminal') return `${v['run']}: ${v['size']} is more than its terminals take: ${v['most']}.`;
    return `${v['run']}: a ${v['fuse']} A fuse does not protect the ${v['limitingParts']} of ${v['limit']} A.`;
  },
  fix: (v) => {
    if (v['there']) return 'It does not fit on that circuit: give what is added a way of its own. Never raise the fuse of a wire that is there.';
    if (v['what'] === 'drop')
      return v['cure']
        ? 'The thicker cable, a shorter run, or accept it with a reason.'
        : 'A shorter run, a second conductor, a place nearer, a fuse of its own at the bus bars, or accept it with a reason.';
    if (v['what'] === 'small') return 'A bigger fuse, with the cable for it.';
    return v['what'] === 'terminal' ? 'End it in a joint near the terminal, with what the terminal takes from there.' : 'A smaller fuse or a thicker cable.';
  },
};
