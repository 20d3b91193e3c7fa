import { ampacityA, cableSeries } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { canLieInMulticore, MOST_CORE_MM2, type CommonReturn, type RunSpec } from '../routes/index.js';

/** The rating that a run's fuse will have at least, by a first estimate, A: what a core bears, and what it may send back. */
function roughFuseA({ fuseKinds, lastingA, leastFuseA, edit }: RunSpec): number {
  if (edit.fuseA !== undefined) return edit.fuseA;
  const { continuous, sizesA } = FUSE_KINDS[fuseKinds[0]!];
  const wantsA = Math.max(leastFuseA, lastingA / continuous);
  return sizesA.find((a) => a >= wantsA) ?? wantsA;
}

/** The least that a core of these runs bears, A: of the thinnest size that each of them may have, and that bears its fuse. */
function leastCoreA(together: readonly RunSpec[], { insulationC, series }: Design['settings']): number {
  const bears = (areaMm2: number): number => Math.min(...together.map(({ ambientC, grouped, laid }) => ampacityA(areaMm2, { insulationC, ambientC, grouped, laid })));
  const mostFuseA = Math.max(...together.map(roughFuseA));
  const leastMm2 = Math.max(...together.map((s) => s.edit.areaMm2 ?? s.minAreaMm2));
  const thinnest = cableSeries(series).find((s) => s.areaMm2 >= leastMm2 - 1e-9 && bears(s.areaMm2) >= mostFuseA);
  return Math.max(mostFuseA, thinnest ? bears(thinnest.areaMm2) : 0);
}

/** Cores for the return of several runs: all of their fuses together let through no more than these bear. */
const commonCores = (together: readonly RunSpec[], settings: Design['settings']): number => Math.ceil(together.reduce((sum, s) => sum + roughFuseA(s), 0) / leastCoreA(together, settings) - 1e-9);

function commonOf(spec: RunSpec, together: readonly RunSpec[], cores: number): CommonReturn {
  const allA = together.reduce((sum, s) => sum + s.usualA, 0);
  return { cores, share: spec.usualA > 0 ? allA / (cores * spec.usualA) : 1 };
}

/** Runs whose return can be one: from the bar that most of them come from, each to a load by its own cable. */
function withCommonReturn(members: readonly RunSpec[]): readonly RunSpec[] {
  const able = members.filter((s) => s.role === 'load feed' && s.back === 'cable');
  const bars = [...new Set(able.map((s) => s.from.minus))].map((bar) => able.filter((s) => s.from.minus === bar));
  const [most = []] = bars.sort((a, b) => b.length - a.length);
  return most.length > 1 ? most : [];
}

/**
 * Runs with the cables of several cores that they lie in: one size for all of its cores, derated together, and those that
 * go back in common lose their volts in what all of them carry. A run that cannot lie in one stays as it is.
 */
export function inMulticores(specs: readonly RunSpec[], { multicores, settings }: Pick<Design, 'multicores' | 'settings'>): RunSpec[] {
  const found = new Map<string, RunSpec>();
  for (const [id, { name, runs, back, cores, colours }] of Object.entries(multicores).sort(([, a], [, b]) => a.order - b.order)) {
    const able = specs.filter((s) => runs.includes(s.id) && canLieInMulticore(s) && !found.has(s.id));
    if (able.length < 2) continue;
    const typed = able.flatMap((s) => s.edit.areaMm2 ?? []);
    const members = able.map((spec): RunSpec => ({
      ...spec,
      grouped: spec.edit.grouped ?? Math.max(spec.grouped, able.length),
      maxAreaMm2: Math.min(spec.maxAreaMm2 ?? Infinity, MOST_CORE_MM2),
      maxWhy: (spec.maxAreaMm2 ?? Infinity) <= MOST_CORE_MM2 ? spec.maxWhy : `cores of a multi-core come up to ${MOST_CORE_MM2} mm²`,
      ...(typed.length ? { edit: { ...spec.edit, areaMm2: Math.max(...typed) } } : {}),
    }));
    const together = back === 'common' ? withCommonReturn(members) : [];
    const backCores = together.length ? commonCores(together, settings) : 0;
    for (const spec of members)
      found.set(spec.id, { ...spec, multicore: { id, name: name || 'multi-core', cores, colours, common: together.includes(spec) ? commonOf(spec, together, backCores) : null } });
  }
  return found.size ? specs.map((s) => found.get(s.id) ?? s) : [...specs];
}
