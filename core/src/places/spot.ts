import type { Box, Face, Vehicle } from '../design/index.js';
import { faceBox } from '../vehicle/index.js';
import type { Exit } from './bodies.js';

export type Turn = 0 | 90 | 180 | 270;

/** Outline on a face, as turned: sides along u and v, out of it, and the side where its cables leave. */
export interface Outline {
  readonly w: number;
  readonly h: number;
  readonly outMm: number;
  readonly exit: Exit;
}

const ROUND: readonly Exit[] = ['down', 'right', 'up', 'left'];

/** What of a body shows on a face: on floors standing gear shows its foot, elsewhere everything its front. */
export function outlineOn(face: Face, mm: readonly [number, number, number], stands: boolean, exit: Exit, turn: Turn): Outline {
  const [across, up, out] = mm;
  const foot = stands && face.normal === '+z';
  const [w, h, outMm] = foot ? [across, out, up] : [across, up, out];
  const quarter = turn / 90;
  const turned = exit === 'out' ? exit : ROUND[(ROUND.indexOf(exit) + quarter) % 4]!;
  return quarter % 2 ? { w: h, h: w, outMm, exit: turned } : { w, h, outMm, exit: turned };
}

/** Room kept in front of the side where cables leave, while drafting, mm: lug and bend of a thick cable. */
export const EXIT_MM = 165;

/** Boxes that nothing may take up in a zone: factory protrusions, what must stay reachable, gear of another rig, boxes round gear, and what moves there. */
export function keptClear(vehicle: Vehicle): readonly { readonly name: string; readonly box: Box; readonly why: 'protrusion' | 'reach' | 'sweep' | 'clash'; readonly round?: string | undefined }[] {
  return [
    ...vehicle.faces.flatMap((f) => f.protrusions.map((p) => ({ name: p.name, box: faceBox(f, p), why: 'protrusion' as const }))),
    ...vehicle.keep.map((k) => ({ name: k.name, box: k.box, why: k.gear || k.round ? ('clash' as const) : ('reach' as const), round: k.round })),
    ...vehicle.openings.map((o) => ({ name: o.name, box: o.sweep, why: 'sweep' as const })),
  ];
}

/** What stands somewhere already, and the least distance from it, mm. */
export interface Taken {
  readonly box: Box;
  readonly gapMm: number;
}

/** A rectangle on a face that is taken, its distance included. */
interface Shade {
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
}

/**
 * What is taken of each face for things that stick out alike, by where it starts. Only what was set down since the last
 * look is added: one draft asks the same faces again and again, and nothing is ever taken away.
 */
export class Shades {
  private readonly known = new Map<string, { readonly byStart: Shade[]; seen: number }>();

  constructor(private readonly taken: readonly Taken[]) {}

  /** Shades of a face for something that sticks out so far and wants so much air. */
  of(face: Face, outMm: number, airMm: number): readonly Shade[] {
    const key = `${face.id} ${outMm} ${airMm}`;
    let there = this.known.get(key);
    if (!there) this.known.set(key, (there = { byStart: [], seen: 0 }));
    const { taken } = this;
    if (there.seen < taken.length) {
      const more = shades(face, taken, there.seen, outMm, airMm);
      there.seen = taken.length;
      if (more.length) {
        there.byStart.push(...more);
        there.byStart.sort((a, b) => a.u0 - b.u0);
      }
    }
    return there.byStart;
  }
}

/** What is taken of a face from one entry on, as far as something that sticks out so far would meet it. */
function shades(face: Face, taken: readonly Taken[], from: number, outMm: number, airMm: number): Shade[] {
  const alongX = face.normal[1] !== 'x';
  const upZ = face.normal[1] !== 'z';
  const f = faceBox(face, { u: 0, v: 0, w: face.w, h: face.h, outMm });
  const dark: Shade[] = [];
  for (let i = from; i < taken.length; i++) {
    const { box: t, gapMm } = taken[i]!;
    const gap = Math.min(gapMm, airMm) === 0 ? gapMm : Math.max(gapMm, airMm);
    // Asked of everything for every face: written out, since a box grown each time is most of a draft's time.
    const apart =
      t.x >= f.x + f.l + gap - 0.5 || t.x + t.l <= f.x - gap + 0.5 || t.y >= f.y + f.w + gap - 0.5 || t.y + t.w <= f.y - gap + 0.5 || t.z >= f.z + f.h + gap - 0.5 || t.z + t.h <= f.z - gap + 0.5;
    if (apart) continue;
    const [u, w] = alongX ? [t.x - face.at.x, t.l] : [t.y - face.at.y, t.w];
    const [v, h] = upZ ? [t.z - face.at.z, t.h] : [t.y - face.at.y, t.w];
    dark.push({ u0: u - gap, u1: u + w + gap, v0: v - gap, v1: v + h + gap });
  }
  return dark;
}

/** Where a thing should be near to: a point on the face, mm; null: low and forward. */
export type Near = { readonly u: number; readonly v: number } | null;

/** The outline with the room that its cables want, as a rectangle that must be free. */
function withExit(o: Outline, exitMm: number): { readonly left: number; readonly down: number; readonly w: number; readonly h: number } {
  const at = (side: Exit): number => (o.exit === side ? exitMm : 0);
  return { left: at('left'), down: at('down'), w: o.w + at('left') + at('right'), h: o.h + at('down') + at('up') };
}

const STEP_MM = 20;

/** Lower edges of the rows that are tried: every 20 mm from one on, and the highest. */
function rowsFrom(lowMm: number, highMm: number): number[] {
  const rows: number[] = [];
  for (let v = lowMm; v < highMm; v += STEP_MM) rows.push(v);
  if (lowMm <= highMm) rows.push(highMm);
  return rows;
}

/** What a thing is set down among: air it wants, what is there, and how far the face lets it stick out, mm. */
interface Among {
  readonly airMm: number;
  readonly taken: Shades;
  readonly depthMm: number;
}

/** Where it should be, the room its cables want, mm, and the row before which none is free. */
interface Wished {
  readonly near?: Near;
  readonly exitMm?: number;
  readonly fromMm?: number;
}

/**
 * The free place of an outline on a face that is nearest to where it should be; null when it fits nowhere. Row by row,
 * what is in the way is stepped over to either side of what is wanted. Where nothing draws
 * it, the lowest row with room is as good as any; `fromMm` skips the rows that are known to have none.
 */
export function freeSpot(face: Face, o: Outline, { airMm, taken, depthMm }: Among, { near = null, exitMm = EXIT_MM, fromMm = 0 }: Wished = {}): Spot | null {
  const room = withExit(o, exitMm);
  const [most, high] = [face.w - room.w, face.h - room.h];
  if (most < 0 || high < 0 || o.outMm > depthMm) return null;
  const byStart = taken.of(face, o.outMm, airMm);
  const byEnd = near ? [...byStart].sort((a, b) => b.u1 - a.u1) : [];
  const [wantU, wantV] = [Math.min(most, Math.max(0, (near?.u ?? 0) - o.w / 2 - room.left)), near ? Math.min(high, Math.max(0, near.v - o.h / 2 - room.down)) : 0];
  const rows = rowsFrom(fromMm, high);
  if (near) rows.sort((a, b) => Math.abs(a - wantV) - Math.abs(b - wantV));
  let [bestU, bestV, far] = [0, 0, Infinity];
  for (const v of rows) {
    const up = Math.abs(v - wantV);
    // Rows come nearest first: no later one can be nearer than what is found.
    if (up >= far || (far < Infinity && !near)) break;
    const right = nextFree(byStart, wantU, v, room);
    const left = near ? lastFree(byEnd, wantU, v, room) : -1;
    for (const u of [right, left]) {
      const away = Math.abs(u - wantU) + up;
      if (u >= 0 && u <= most && away < far) [bestU, bestV, far] = [u, v, away];
    }
  }
  return far === Infinity ? null : { u: Math.round(bestU + room.left), v: Math.round(bestV + room.down), rowMm: bestV };
}

type Room = ReturnType<typeof withExit>;

const inRow = (d: Shade, v: number, room: Room): boolean => d.v0 < v + room.h - 0.5 && d.v1 > v + 0.5;

/** The first free place from u on in a row, by shades in order of their starts. */
function nextFree(byStart: readonly Shade[], from: number, v: number, room: Room): number {
  let u = from;
  for (const d of byStart) {
    if (d.u0 >= u + room.w - 0.5) break;
    if (d.u1 > u + 0.5 && inRow(d, v, room)) u = d.u1;
  }
  return u;
}

/** The last free place up to u in a row, by shades in order of their ends backwards. */
function lastFree(byEnd: readonly Shade[], from: number, v: number, room: Room): number {
  let u = from;
  for (const d of byEnd) {
    if (d.u1 <= u + 0.5) break;
    if (d.u0 < u + room.w - 0.5 && inRow(d, v, room)) u = d.u0 - room.w;
  }
  return u;
}

/** A free place, and the row that it was found in. */
export interface Spot {
  readonly u: number;
  readonly v: number;
  readonly rowMm: number;
}
