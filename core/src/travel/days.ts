import type { Trip } from '../design/index.js';

/** One day of a trip. */
export interface TripDay {
  readonly drivingH: number;
  readonly mainsH: number;
  /** Differs from the pattern by a person's hand. */
  readonly edited: boolean;
}

type HourSpan = readonly [fromH: number, toH: number];

/** Driving starts at nine, or as late as still fits the day. */
const DRIVING_FROM_H = 9;
/** The vehicle is plugged in from six in the evening. */
const MAINS_FROM_H = 18;

/** The hours in which the vehicle is driven on a day with so many. @example drivingSpans(3) // [[9, 12]] */
export function drivingSpans(drivingH: number): readonly HourSpan[] {
  if (drivingH <= 0) return [];
  const from = Math.min(DRIVING_FROM_H, 24 - drivingH);
  return [[from, from + drivingH]];
}

/** The hours on mains: the evening to midnight, and what is left in the small hours. @example mainsSpans(9) // [[0, 3], [18, 24]] */
export function mainsSpans(mainsH: number): readonly HourSpan[] {
  if (mainsH <= 0) return [];
  const evening = 24 - MAINS_FROM_H;
  return mainsH <= evening
    ? [[24 - mainsH, 24]]
    : [
        [0, Math.min(MAINS_FROM_H, mainsH - evening)],
        [MAINS_FROM_H, 24],
      ];
}

/** Every day of a trip: one travelled, so many parked, and again; a day's own edit wins. */
export function tripDays(trip: Trip): readonly TripDay[] {
  return Array.from({ length: trip.days }, (_, i): TripDay => {
    const travels = i % (1 + trip.parkedDays) === 0;
    const edit = trip.dayEdits[String(i + 1)];
    const plugged = trip.mainsNights === 'every night' || (trip.mainsNights === 'travel days' && travels) || (trip.mainsNights === 'parked days' && !travels);
    return {
      drivingH: edit?.drivingH ?? (travels ? trip.drivingH : 0),
      mainsH: edit?.mainsH ?? (plugged ? trip.mainsH : 0),
      edited: edit !== undefined,
    };
  });
}
