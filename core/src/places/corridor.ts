import type { Box, Face } from '../design/index.js';
import { faceBox, facePoint } from '../vehicle/index.js';
import type { Outline } from './spot.js';

/** Gear as far as its cables' way out is concerned. */
interface Cabled {
  readonly u: number;
  readonly v: number;
  readonly outline: Outline;
}

const OUTWARD: Readonly<Record<string, readonly [number, number]>> = { down: [0, -1], up: [0, 1], left: [-1, 0], right: [1, 0] };

/** The corridor in front of a terminal, as a box of the vehicle. */
export function corridor(g: Cabled, face: Face, lengthMm: number): Box {
  const { u, v, outline: o } = g;
  const dir = OUTWARD[o.exit];
  if (!dir) {
    const at = facePoint(face, u, v, o.outMm);
    const far = facePoint(face, u + o.w, v + o.h, o.outMm + lengthMm);
    const low = { x: Math.min(at.x, far.x), y: Math.min(at.y, far.y), z: Math.min(at.z, far.z) };
    return { ...low, l: Math.abs(far.x - at.x), w: Math.abs(far.y - at.y), h: Math.abs(far.z - at.z) };
  }
  const [du, dv] = dir;
  // Field by field: asked of everything at every move of a drag, and a spread object costs more than all of it.
  const uMm = du > 0 ? u + o.w : du < 0 ? u - lengthMm : u;
  const vMm = dv > 0 ? v + o.h : dv < 0 ? v - lengthMm : v;
  return faceBox(face, { u: uMm, v: vMm, w: du ? lengthMm : o.w, h: dv ? lengthMm : o.h, outMm: o.outMm });
}
