import type { Box, Face, Point } from '../design/index.js';

/** A footprint on a face, mm: its lower, forward corner, its sides along u and v, and how far it sticks out. */
export interface OnFace {
  readonly u: number;
  readonly v: number;
  readonly w: number;
  readonly h: number;
  readonly outMm: number;
}

/** The box that a footprint on a face takes up in the vehicle, mm. */
export function faceBox(face: Face, f: OnFace): Box {
  const { x, y, z } = face.at;
  switch (face.normal) {
    case '+z':
      return { x: x + f.u, y: y + f.v, z, l: f.w, w: f.h, h: f.outMm };
    case '-z':
      return { x: x + f.u, y: y + f.v, z: z - f.outMm, l: f.w, w: f.h, h: f.outMm };
    case '+y':
      return { x: x + f.u, y, z: z + f.v, l: f.w, w: f.outMm, h: f.h };
    case '-y':
      return { x: x + f.u, y: y - f.outMm, z: z + f.v, l: f.w, w: f.outMm, h: f.h };
    case '+x':
      return { x, y: y + f.u, z: z + f.v, l: f.outMm, w: f.w, h: f.h };
    case '-x':
      return { x: x - f.outMm, y: y + f.u, z: z + f.v, l: f.outMm, w: f.w, h: f.h };
  }
}

/** What a box in the vehicle takes up of a face that it stands on, mm; null: it does not touch it. The way back of {@link faceBox}. */
export function onFace(face: Face, box: Box): OnFace | null {
  if (!boxesMeet(box, faceBox(face, { u: 0, v: 0, w: face.w, h: face.h, outMm: 2 }))) return null;
  const [u, w] = face.normal.endsWith('x') ? [box.y - face.at.y, box.w] : [box.x - face.at.x, box.l];
  const [v, h] = face.normal.endsWith('z') ? [box.y - face.at.y, box.w] : [box.z - face.at.z, box.h];
  const outMm = { x: box.l, y: box.w, z: box.h }[face.normal.endsWith('x') ? 'x' : face.normal.endsWith('y') ? 'y' : 'z'];
  return { u, v, w, h, outMm };
}

/** A place on a face, so many mm out of it, as a point of the vehicle. */
export function facePoint(face: Face, u: number, v: number, outMm: number): Point {
  const b = faceBox(face, { u, v, w: 0, h: 0, outMm });
  return face.normal.startsWith('-') ? { x: b.x, y: b.y, z: b.z } : { x: b.x + b.l, y: b.y + b.w, z: b.z + b.h };
}

/** Whether two boxes share space, with a hair of tolerance, mm. */
export function boxesMeet(a: Box, b: Box, hairMm = 0.5): boolean {
  // Asked of every two things in a vehicle: written out, since a helper for each axis is most of its time.
  return !(a.x + a.l <= b.x + hairMm || b.x + b.l <= a.x + hairMm || a.y + a.w <= b.y + hairMm || b.y + b.w <= a.y + hairMm || a.z + a.h <= b.z + hairMm || b.z + b.h <= a.z + hairMm);
}

export const boxMiddle = (b: Box): Point => ({ x: b.x + b.l / 2, y: b.y + b.w / 2, z: b.z + b.h / 2 });

/** A box made larger on all sides, mm. */
export const grown = (b: Box, mm: number): Box => ({ x: b.x - mm, y: b.y - mm, z: b.z - mm, l: b.l + 2 * mm, w: b.w + 2 * mm, h: b.h + 2 * mm });

/** Straight distance of two points, mm. @example straightMm({ x: 0, y: 0, z: 0 }, { x: 300, y: 0, z: 400 }) // 500 */
export function straightMm(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
}

/** Distance along the walls, square to the vehicle, mm: what cable on a surface needs. @example squareMm({ x: 0, y: 0, z: 0 }, { x: 300, y: 0, z: 400 }) // 700 */
export function squareMm(a: Point, b: Point): number {
  return Math.abs(a.x - b.x) + Math.abs(a.y - b.y) + Math.abs(a.z - b.z);
}

const MIRRORED: ReadonlySet<Face['normal']> = new Set(['+y', '-x', '-z']);

/** Whether u runs to the left for one who stands before the face and looks at it. */
export const mirroredFromFront = (face: Pick<Face, 'normal'>): boolean => MIRRORED.has(face.normal);
