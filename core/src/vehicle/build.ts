import type { Axle, Face, Hazard, Opening, Vehicle, Waypoint, Way, Zone } from '../design/index.js';

/** Temperatures for sizing where the workshop has not set its own, °C. */
export const ZONE_C = { engine: 70, exhaust: 85, underFloor: 50, canopy: 55, cab: 45, caravan: 40, frontBox: 50, roof: 65 } as const;

type Six = readonly [x: number, y: number, z: number, l: number, w: number, h: number];
export const boxOf = ([x, y, z, l, w, h]: Six) => ({ x, y, z, l, w, h });

export function zone(id: string, name: string, carrier: string, ambientC: number, box: Six, more: Partial<Zone> = {}): Zone {
  return { id, name, carrier, ambientC, people: false, weather: 'dust', stones: false, reach: 'at hand', surface: 'sheet steel', box: boxOf(box), ...more };
}

const WALLS = ['floor', 'top', 'left', 'right', 'front', 'rear'] as const;
type Wall = (typeof WALLS)[number];
const NAMES: Readonly<Record<Wall, string>> = { floor: 'floor', top: 'ceiling', left: 'left wall', right: 'right wall', front: 'front wall', rear: 'rear wall' };

function wallFace(z: Zone, wall: Wall, limitKg: number): Face {
  const { x, y, z: up, l, w, h } = z.box;
  const flat = wall === 'floor' || wall === 'top';
  const side = wall === 'left' || wall === 'right';
  const at = { x: wall === 'rear' ? x + l : x, y: wall === 'right' ? y + w : y, z: wall === 'top' ? up + h : up };
  const normal = ({ floor: '+z', top: '-z', left: '+y', right: '-y', front: '+x', rear: '-x' } as const)[wall];
  return {
    id: `${z.id}-${wall}`,
    zone: z.id,
    name: `${NAMES[wall]} of the ${z.name}`,
    normal,
    at,
    w: flat || side ? l : w,
    h: flat ? w : h,
    limitKg,
    depthBehindMm: null,
    trim: '',
    protrusions: [],
  };
}

/** Faces of a zone from its walls' load limits, kg. */
export function faces(z: Zone, limits: Partial<Record<Wall, number>>, more: Partial<Record<Wall, Partial<Face>>> = {}): Face[] {
  return WALLS.filter((w) => limits[w] !== undefined).map((w) => ({ ...wallFace(z, w, limits[w]!), ...more[w] }));
}

export function point(id: string, name: string, carrier: string, x: number, y: number, z: number, zoneId: string | null = null): Waypoint {
  return { id, name, at: { x, y, z }, carrier, zone: zoneId };
}

type Near = Partial<Record<Hazard, number>>;
interface WayMore extends Partial<Omit<Way, 'hazards' | 'pass'>> {
  readonly near?: Near;
  /** Behind the sheet, and whether weather is on the other side. */
  readonly through?: string;
  readonly stockMm?: number;
  readonly outside?: boolean;
}

export function way(a: string, b: string, along: string, ambientC: number, more: WayMore = {}): Way {
  const { near = {}, through, stockMm = null, outside = false, ...rest } = more;
  return {
    id: `${a}--${b}`.slice(0, 40),
    a,
    b,
    along,
    moreMm: 0,
    ambientC,
    hazards: Object.entries(near).map(([kind, nearMm]) => ({ kind: kind as Hazard, nearMm })),
    conduit: false,
    pass: through === undefined ? null : { stockMm, behind: through, outside },
    movingMm: 0,
    coupling: false,
    ...rest,
  };
}

export const axle = (id: string, name: string, carrier: string, x: number, emptyKg: number, limitKg: number): Axle => ({ id, name, carrier, x, emptyKg, limitKg });

export function opening(id: string, kind: Opening['kind'], name: string, zoneId: string, sweep: Six, travelMm = 0, holds = 'hinge'): Opening {
  return { id, kind, name, zone: zoneId, sweep: boxOf(sweep), travelMm, holds };
}

export const keep = (id: string, name: string, box: Six) => ({ id, name, box: boxOf(box) });
export const known = (id: string, kind: Vehicle['points'][number]['kind'], name: string, waypoint: string, note = '') => ({ id, kind, name, waypoint, note });
