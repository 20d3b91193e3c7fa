import type { Box, Face, Point } from '../design/index.js';
import { boxesMeet } from '../vehicle/index.js';

type Normal = Face['normal'];
type Axis = 'x' | 'y' | 'z';

const NORMALS: readonly Normal[] = ['-x', '+x', '-y', '+y', '-z', '+z'];
/** Room before a side that a gland, its nut and a bend out of it want, mm. */
const GLAND_ROOM_MM = 60;
/** Middle of a gland from the edge of its side, mm. */
const GLAND_EDGE_MM = 40;

const axisOf = (n: Normal): Axis => n[1] as Axis;
const outwards = (n: Normal): boolean => n.startsWith('+');
const sizeOf = (b: Box): Readonly<Record<Axis, number>> => ({ x: b.l, y: b.w, z: b.h });

/** The room before a side of a box that stands with its back on a wall; glands stand in the side's middle half: what covers its ends alone is not in their way. */
export function roomBefore(box: Box, lid: Normal, side: Normal): Box {
  const [size, a] = [sizeOf(box), axisOf(side)];
  const along = (['x', 'y', 'z'] as const).find((o) => o !== a && o !== axisOf(lid))!;
  const at = { x: box.x, y: box.y, z: box.z, [along]: box[along] + size[along] / 4, [a]: outwards(side) ? box[a] + size[a] : box[a] - GLAND_ROOM_MM };
  const of = { ...size, [along]: size[along] / 2, [a]: GLAND_ROOM_MM };
  return { ...at, l: of.x, w: of.y, h: of.z };
}

/** Sides of a box that cable and air can come through: neither lid nor back, and with room between them, the walls of the space, and what else stands there. */
export function openSides(box: Box, lid: Normal, room: Box, others: readonly Box[]): readonly Normal[] {
  const [size, roomSize] = [sizeOf(box), sizeOf(room)];
  return NORMALS.filter((n) => {
    const a = axisOf(n);
    if (a === axisOf(lid)) return false;
    const clearMm = outwards(n) ? room[a] + roomSize[a] - box[a] - size[a] : box[a] - room[a];
    return clearMm >= GLAND_ROOM_MM && !others.some((o) => boxesMeet(o, roomBefore(box, lid, n)));
  });
}

/** Of these sides the one that faces a point most, as it is seen from where cables leave the gear. */
export function sideTowards(sides: readonly Normal[], leaves: Point, to: Point): Normal | undefined {
  const ahead = (n: Normal): number => (to[axisOf(n)] - leaves[axisOf(n)]) * (outwards(n) ? 1 : -1);
  return [...sides].sort((a, b) => ahead(b) - ahead(a))[0];
}

/** Where cables go through a side: at the height where they leave the gear, clear of the side's edges. */
export function holeIn(box: Box, side: Normal, leaves: Point): Point {
  const [size, axis] = [sizeOf(box), axisOf(side)];
  const inBox = (a: Axis): number => Math.min(Math.max(leaves[a], box[a] + GLAND_EDGE_MM), box[a] + size[a] - GLAND_EDGE_MM);
  return { x: inBox('x'), y: inBox('y'), z: inBox('z'), [axis]: outwards(side) ? box[axis] + size[axis] : box[axis] };
}
