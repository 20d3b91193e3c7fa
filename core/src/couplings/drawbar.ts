import type { Catalogue } from '../catalogue/index.js';
import { bodyOf, couplingsOf, rigsIn, vehicleIn, type Design, type Vehicle } from '../design/index.js';
import { draftGear, weights } from '../places/index.js';
import { inSession, memoizeFor, type Session } from '../quantity/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { besideInBody } from './in-body.js';
import { reached } from './views.js';

type Kept = Vehicle['keep'][number];

/** Height of a ball above the ground, and how far behind the body it stands, mm. */
const BALL_MM = { up: 420, behind: 60, size: 100 } as const;

/** Weight on a trailer's drawbar with all that is built into it, kg; null: it has none. */
const onDrawbar = inSession(() =>
  memoizeFor(
    6,
    (trailer: Design) => JSON.stringify([trailer, 'drawbar']),
    (catalogue: Catalogue, trailer): number | null => {
      const vehicle = vehicleOf(trailer);
      const supports = weights(vehicle, draftGear(trailer, catalogue)).flatMap((c) => c.supports);
      return supports.find((s) => s.kind === 'drawbar')?.loadKg ?? vehicle.carriers.find((c) => c.drawbar)?.drawbar?.emptyKg ?? null;
    },
  ),
);

/** The rearmost space of what a vehicle's own wheels carry. */
function rearZone(vehicle: Vehicle): string | null {
  const zones = vehicle.zones.filter((z) => vehicle.axles.some((a) => a.carrier === z.carrier));
  return [...zones].sort((a, b) => b.box.x + b.box.l - (a.box.x + a.box.l))[0]?.id ?? null;
}

/** What a vehicle that tows keeps clear at its ball: the drawbar of the heaviest that may hang there, with its weight. */
export function onTheBall(job: Design, id: string, catalogue: Catalogue, session: Session): Kept[] {
  const body = bodyOf(job, id);
  const vehicle = vehicleOf(vehicleIn(job, body));
  const zone = rearZone(vehicle);
  const trailers = couplingsOf(job).flatMap(([, c]) => (c.carries === 'charge' && c.from === body ? [c.to] : []));
  const loads = trailers.flatMap((trailer) => {
    const last = rigsIn(job, trailer).at(-1) ?? trailer;
    const kg = onDrawbar(session)(catalogue, besideInBody(reached(job, last, catalogue), job, last, catalogue));
    return kg === null || kg <= 0 ? [] : [kg];
  });
  if (zone === null || !loads.length) return [];
  const { up, behind, size } = BALL_MM;
  const box = { x: vehicle.lengthMm + behind, y: vehicle.widthMm / 2 - size / 2, z: up, l: size, w: size, h: size };
  return [{ id: 'ball', name: 'drawbar of what it tows', box, gear: { zone, kg: Math.max(...loads), heatW: 0 } }];
}
