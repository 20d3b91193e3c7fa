import { FUSE_KINDS, type WeakKind } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import type { SizedRun } from '../routes/index.js';
import { press, strongerPart } from './press.js';
import type { Facts, Found, Rule } from './rule.js';

type Unsized = Extract<SizedRun, { ok: false }>;

/** The smallest rating of any kind that carries the load of a run whose window is closed, A. */
function wantedA({ spec, window, fuseType }: Unsized): number | null {
  const kinds = [fuseType, ...spec.fuseKinds];
  const fits = kinds.flatMap((k) => FUSE_KINDS[k].sizesA.filter((a) => a >= window.fromA - 1e-9));
  return fits.length ? Math.min(...fits) : null;
}

function found(run: Unsized, { design, catalogue }: Facts): Found {
  const { spec, error, window, tried } = run;
  const wants = wantedA(run);
  const per = Number.isFinite(window.to.ratingA) ? window.to.ratingA : 0;
  const opens = wants === null || !per ? null : strongerPart(design, catalogue, window.to.kind, Math.max(wants, window.fromA));
  return {
    at: { stage: 'runs', about: spec.id },
    values: {
      run: spec.name,
      error,
      amps: figure(window.loadA, 0),
      limitingParts: window.to.what,
      kind: window.to.kind ?? '',
      weakA: figure(per, 0),
      wants: wants === null ? 0 : rating(wants),
      opens: opens?.part.name ?? '',
      air: figure(spec.ambientC, 0),
      thickest: tried.at(-1)?.size ?? '',
      carries: figure(tried.at(-1)?.ampacityA ?? 0, 0),
    },
  };
}

export const runUnsized: Rule = {
  id: 'run-unsized',
  severity: 'stop',
  harm: 'fire',
  basis: 'cable ampacity and fuse window taken together',
  why: 'A run without a size cannot be built. The others stand as they are.',
  test: (facts) => facts.runs.flatMap((r) => (r.ok ? [] : [found(r, facts)])),
  presses: (f, { design, catalogue, runs }) => {
    const opens = f.values['opens'] ? strongerPart(design, catalogue, (f.values['kind'] || undefined) as WeakKind | undefined, Number(f.values['wants'])) : null;
    const serves = runs.find((r) => r.spec.id === f.at.about)?.spec.serves;
    return opens && serves ? [press(design, `Take the ${opens.part.name}`, (d) => opens.set(d, serves))] : [];
  },
  say: (v) => {
    if (v['error'] === 'too-hot') return `${v['run']}: in ${v['air']} °C no size that its terminals take carries its fuse; ${v['thickest']} carries ${v['carries']} A there.`;
    if (v['weakA'] === '0') return `${v['run']}: ${v['amps']} A is more than any fuse of a kind that suits the place carries.`;
    return `${v['run']}: no fuse lies between its ${v['amps']} A and its ${v['limitingParts']} of ${v['weakA']} A${Number(v['wants']) ? `; it wants ${v['wants']} A` : ''}${v['opens'] ? `. The ${v['opens']} opens it` : ''}.`;
  },
  fix: (v) => {
    if (v['error'] === 'too-hot') return 'Another way round the heat, fewer circuits bunched with it, or a better insulation.';
    return v['opens'] ? `A ${v['opens']} in its place.` : 'Share the load between two runs, give the heaviest a fuse of its own at the bus bars, or go to 24 V.';
  },
};
