import { assess, type Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design, type Placement } from '../design/index.js';
import { facesOf, spotOn, WEATHER_ORDER } from '../places/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { Session } from '../quantity/index.js';

/** What a finding and a kilogram out of balance count for, in units of the price. */
export const SCORE = { stop: 400, look: 60, lopsidedPerKg: 1.5 } as const;
/** The score in words, for the screen. */
export const SCORE_WORDS = `lowest of: price of all parts + ${SCORE.stop} a stop + ${SCORE.look} a look + ${SCORE.lopsidedPerKg} a kg that one side bears more`;

/** A place that gear could have, with what it costs there. */
export interface PlaceOffer {
  readonly on: NonNullable<Placement['on']>;
  readonly zone: string;
  readonly zoneName: string;
  readonly faceName: string;
  readonly score: number;
  /** Price of the cable that joins it, both ways. */
  readonly copperPrice: number;
  /** Metres of cable that join it. */
  readonly cableM: number;
  /** Largest drop of its own runs, V. */
  readonly dropV: number;
  readonly airC: number;
  readonly leftOverRightKg: number;
  readonly stops: number;
  readonly looks: number;
}

const unbalanced = (a: Assessment): number => Math.max(0, ...a.layout.weights.map((w) => Math.abs(w.leftOverRightKg)));

/** Price of the cable of the runs that touch a piece of gear. */
function cableOf(a: Assessment, gear: string): { readonly price: number; readonly m: number; readonly dropV: number } {
  const mine = a.runs.filter((r) => r.spec.from.gear === gear || r.spec.to.gear === gear);
  let [price, m, dropV] = [0, 0, 0];
  for (const r of mine) {
    m += r.spec.outM + r.spec.backM;
    if (!r.ok) continue;
    const perM = (colour: string): number => a.order.lines.find((l) => l.key === `cable-${r.figures.size}-${colour}`)?.priceEach ?? 0;
    price += r.spec.outM * perM('red') + r.spec.backM * perM('black');
    dropV = Math.max(dropV, r.figures.dropV);
  }
  return { price, m, dropV };
}

/** True where every run of a piece of gear finds its way: a place that no cable reaches is none. */
const cabled = (a: Assessment, gear: string): boolean => a.runs.every((r) => (r.spec.from.gear !== gear && r.spec.to.gear !== gear) || r.spec.noWay === null);

function offer(a: Assessment, gearId: string, on: NonNullable<Placement['on']>): PlaceOffer {
  const g = a.gear.find((x) => x.id === gearId)!;
  const cable = cableOf(a, gearId);
  const [stops, looks] = [a.tellTales.stops, a.tellTales.looks];
  return {
    on,
    zone: g.zone,
    zoneName: g.zoneName,
    faceName: g.faceName,
    score: a.order.total + SCORE.stop * stops + SCORE.look * looks + SCORE.lopsidedPerKg * unbalanced(a),
    copperPrice: cable.price,
    cableM: cable.m,
    dropV: cable.dropV,
    airC: g.ambientC,
    leftOverRightKg: a.layout.weights.reduce((most, w) => (Math.abs(w.leftOverRightKg) > Math.abs(most) ? w.leftOverRightKg : most), 0),
    stops,
    looks,
  };
}

/** A design with one piece of gear at another place. */
export function placedAt(design: Design, gear: string, zone: string, on: NonNullable<Placement['on']>): Design {
  const copy = copyDesign(design);
  copy.places[gear] = { when: 'now', ...copy.places[gear], zone, on };
  return copy;
}

/**
 * The best places for a piece of gear, one a face (what stands goes on floors only), each tried by assessing the whole design with it there. Typed lengths
 * of its runs are set aside while comparing, since they belong to the place it has now.
 */
export function suggestPlaces(design: Design, catalogue: Catalogue, gearId: string, most = 3): PlaceOffer[] {
  const session = new Session();
  const now = assess(design, catalogue, { session });
  const g = now.gear.find((x) => x.id === gearId);
  if (!g) return [];
  const vehicle = vehicleOf(design);
  const untyped = copyDesign(design);
  for (const r of now.runs) {
    const edit = untyped.runs[r.spec.id];
    if (edit && (r.spec.from.gear === gearId || r.spec.to.gear === gearId)) delete edit.outM;
  }
  const offers = facesOf(design).flatMap((face): PlaceOffer[] => {
    const zone = vehicle.zones.find((z) => z.id === face.zone)!;
    if (g.fixing.stands && face.normal !== '+z') return [];
    if (WEATHER_ORDER.indexOf(zone.weather) > WEATHER_ORDER.indexOf(g.fixing.weather)) return [];
    const spot = spotOn(design, now.gear, g, face);
    if (!spot) return [];
    const on = { face: face.id, ...spot };
    const there = assess(placedAt(untyped, gearId, zone.id, on), catalogue, { session });
    return cabled(there, gearId) ? [offer(there, gearId, on)] : [];
  });
  return offers.sort((a, b) => a.score - b.score).slice(0, most);
}
