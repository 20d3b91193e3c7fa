import type { Board, Design, Face, Vehicle, Zone } from '../design/index.js';
import {
  BOARD_FACE,
  boxesOf,
  compartmentHeat,
  faceLoads,
  facesOf,
  placeTroubles,
  weights,
  type CarrierWeight,
  type CompartmentHeat,
  type FaceLoad,
  type Gear,
  type PlaceTrouble,
} from '../places/index.js';
import { outsideDiameterMm } from '../cable/index.js';
import { bendSpaceMm, bundleMm, holeSawMm } from './holes.js';
import type { Lead } from './leads.js';
import { laidCables, stretchesOf, type Stretch } from './passing.js';
import { matings, plugPairs, type Mating, type PlugPair } from './plugs.js';
import type { SizedRun } from './sized.js';

/** How gear and cable lie in the vehicle. */
export interface LayoutFigures {
  readonly faces: readonly Face[];
  readonly troubles: readonly PlaceTrouble[];
  readonly faceLoads: readonly FaceLoad[];
  readonly heat: readonly CompartmentHeat[];
  readonly weights: readonly CarrierWeight[];
  readonly leads: readonly Lead[];
  /** Boxes built round gear. */
  readonly boxes: readonly Zone[];
  readonly stretches: readonly Stretch[];
  readonly pairs: readonly PlugPair[];
  readonly matings: readonly Mating[];
  /** Free length wanted in front of each terminal, mm. */
  readonly bendMm: ReadonlyMap<string, number>;
}

/** Height of a post with its lug and boot over a battery's case, mm. */
const POST_MM = 30;

/** Free length wanted in front of each piece of gear by its thickest cable, mm; a battery's leads lie flat over its case and bend beyond it. */
export function bendWanted(design: Design, runs: readonly SizedRun[], gear: readonly Gear[]): Map<string, number> {
  const posts = new Set(gear.flatMap((g) => (g.role === 'house' || g.role === 'starting' ? [g.id] : [])));
  const out = new Map<string, number>();
  for (const r of runs) {
    if (!r.ok) continue;
    const across = outsideDiameterMm(r.figures.areaMm2);
    const bend = bendSpaceMm(r.figures.areaMm2, across, design.settings.bending);
    for (const id of [r.spec.from.gear, r.spec.to.gear]) out.set(id, Math.max(out.get(id) ?? 0, posts.has(id) ? Math.min(bend, POST_MM + across) : bend));
  }
  return out;
}

/** Everything about places and ways that follows once the runs have their sizes. */
export function layoutFigures(design: Design, vehicle: Vehicle, gear: readonly Gear[], runs: readonly SizedRun[], leads: readonly Lead[]): LayoutFigures {
  const faces = facesOf(design);
  const bendMm = bendWanted(design, runs, gear);
  const socket = vehicle.points.find((p) => p.kind === 'trailer socket' && p.feedsFridge);
  const pairs = plugPairs(design, runs, socket ? `${socket.name}, ${socket.note}` : null);
  return {
    faces,
    troubles: placeTroubles(vehicle, faces, gear, bendMm),
    faceLoads: faceLoads(faces, gear, design.board?.face ?? null),
    heat: compartmentHeat(vehicle, gear, design.air),
    boxes: boxesOf(vehicle),
    weights: weights(vehicle, gear),
    leads,
    stretches: stretchesOf(vehicle, runs, leads),
    pairs,
    matings: matings(pairs),
    bendMm,
  };
}

/** What leaves the board together through one gland: a run, or the runs of a multi-core. */
export interface Leaving {
  readonly runs: readonly SizedRun[];
  /** Hole saw of its gland, mm. */
  readonly sawMm: number;
}

/** What leaves the board, in the order of its things along the side where cables enter. A cable larger than any saw is left out. */
export function leavingBoard(gear: readonly Gear[], runs: readonly SizedRun[], entry: Board['entry']): readonly Leaving[] {
  const on = new Map(gear.filter((g) => g.face === BOARD_FACE).map((g) => [g.id, g]));
  const along = (r: SizedRun): number => {
    const g = (on.get(r.spec.from.gear) ?? on.get(r.spec.to.gear))!;
    return entry === 'left' || entry === 'right' ? g.v + g.outline.h / 2 : g.u + g.outline.w / 2;
  };
  const leaving = runs.filter((r) => on.has(r.spec.from.gear) !== on.has(r.spec.to.gear)).sort((a, b) => along(a) - along(b));
  const together = new Map<string, SizedRun[]>();
  for (const r of leaving) together.set(r.spec.multicore?.id ?? `run ${r.spec.id}`, [...(together.get(r.spec.multicore?.id ?? `run ${r.spec.id}`) ?? []), r]);
  return [...together.values()].flatMap((all) => {
    const sawMm = holeSawMm(bundleMm(laidCables(all).map((c) => c.mm)));
    return sawMm === null ? [] : [{ runs: all, sawMm }];
  });
}

/** Hole saws for the glands of everything that leaves a board, in their order along it, mm; none without a board. */
export const glandSaws = (board: Board | null, gear: readonly Gear[], runs: readonly SizedRun[]): number[] => (board ? leavingBoard(gear, runs, board.entry).map((l) => l.sawMm) : []);
