import { outsideDiameterMm } from '../cable/index.js';
import type { Vehicle, Way } from '../design/index.js';
import { bundleMm, clipsFor, holeSawMm, splitTubes, type Tubes } from './holes.js';
import { wayGraph } from './graph.js';
import { multicoresOf } from './multicore.js';
import type { Route } from './route.js';
import type { SizedRun } from './sized.js';
import type { RunSpec } from './spec.js';

/** A hole on the way: what is there or what is to be cut, and for what. */
export interface Hole {
  /** Smallest stock saw, mm; null: the bundle is larger than any. */
  readonly sawMm: number | null;
  /** Bore that is there already, mm. */
  readonly stockMm: number | null;
  readonly stockFits: boolean;
  readonly fitting: 'grommet' | 'gland';
  /** Neutral-cure sealant on both faces, where weather is on the other side. */
  readonly sealed: boolean;
  readonly behind: string;
}

/** One stretch of way with all that lies in it. */
export interface Stretch {
  readonly way: Way;
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
  readonly runs: readonly number[];
  readonly cables: number;
  readonly bundleMm: number;
  /** Split tubes; null: none that hold it; undefined: in the open. */
  readonly tubes: Tubes | null | undefined;
  readonly clips: number;
  readonly hole: Hole | null;
}

/** Outside diameters of a run's own cables, its spare cores included, mm. */
function runDiametersMm(run: SizedRun): number[] {
  const mm = outsideDiameterMm(run.ok ? run.figures.areaMm2 : run.spec.minAreaMm2);
  const poles = run.spec.back === 'chassis' ? 1 : 2;
  return Array<number>(poles * (run.ok ? run.figures.perPole : 1) + (run.spec.edit.spares ?? 0)).fill(mm);
}

function holeOf(way: Way, bundle: number): Hole | null {
  if (!way.pass) return null;
  const saw = holeSawMm(bundle);
  const { stockMm, behind, outside } = way.pass;
  return { sawMm: saw, stockMm, stockFits: stockMm !== null && saw !== null && stockMm >= saw, fitting: outside ? 'gland' : 'grommet', sealed: outside, behind };
}

/** A cable as it goes through a hole, by itself. */
export interface LaidCable {
  readonly name: string;
  readonly mm: number;
}

/** The cables of runs that go the same way: each pole by itself, a multi-core as the one that it is. */
export function laidCables(runs: readonly SizedRun[]): readonly LaidCable[] {
  const multicores = multicoresOf(runs);
  const within = new Set(multicores.flatMap((m) => m.runs.map((r) => r.spec.id)));
  const single = runs.filter((r) => !within.has(r.spec.id)).flatMap((r) => runDiametersMm(r).map((mm, i): LaidCable => ({ name: `${r.spec.number}${i % 2 ? '−' : '+'} ${r.spec.name}`, mm })));
  return [...single, ...multicores.map((m): LaidCable => ({ name: m.name, mm: m.outsideMm }))];
}

/** Every stretch that a cable lies in, with bundle, tube, clips and hole. */
export function stretchesOf(vehicle: Vehicle, runs: readonly SizedRun[], extra: readonly { readonly route: Route | null; readonly number: number; readonly diameterMm: number }[] = []): Stretch[] {
  const graph = wayGraph(vehicle);
  return vehicle.ways.flatMap((way): Stretch[] => {
    const inside = runs.filter((r) => r.spec.route?.ways.some((w) => w.id === way.id));
    const leads = extra.filter((e) => e.route?.ways.some((w) => w.id === way.id));
    if (!inside.length && !leads.length) return [];
    const diameters = [...laidCables(inside).map((c) => c.mm), ...leads.map((l) => l.diameterMm)];
    const bundle = bundleMm(diameters);
    const link = graph.links.get(way.a)!.find((l) => l.way.id === way.id)!;
    return [
      {
        way,
        from: graph.waypoints.get(way.a)!.name,
        to: graph.waypoints.get(way.b)!.name,
        lengthMm: link.lengthMm,
        runs: [...inside.map((r) => r.spec.number), ...leads.map((l) => l.number)],
        cables: diameters.length,
        bundleMm: bundle,
        tubes: way.conduit ? splitTubes(diameters) : undefined,
        clips: way.coupling ? 0 : clipsFor(link.lengthMm, way.conduit),
        hole: holeOf(way, bundle),
      },
    ];
  });
}

/** One leg of what a run passes, in its order. */
export interface Leg {
  readonly what: string;
  readonly lengthMm: number;
  readonly ambientC: number;
  readonly way: Way | null;
}

/** What a run passes from end to end. */
export function legsOf(vehicle: Vehicle, spec: RunSpec): Leg[] {
  const { route } = spec;
  if (!route) return [];
  if (!route.ways.length) return [{ what: `straight along the wall, ${spec.from.name} to ${spec.to.name}`, lengthMm: route.dropsMm, ambientC: spec.ambientC, way: null }];
  const graph = wayGraph(vehicle);
  return route.ways.map((way, i) => {
    const link = graph.links.get(route.waypoints[i]!)!.find((l) => l.way.id === way.id)!;
    return { what: way.along, lengthMm: link.lengthMm, ambientC: way.ambientC, way };
  });
}
