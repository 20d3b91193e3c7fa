import type { Trip } from '../design/index.js';
import { REGIONS, type Region } from './regions.js';

/** Share of the clear sky that an ordinary day gives where no region says better. */
export const PLANNING_CLEARNESS = 0.75;
/** Kelvin by which the coldest morning lies below the mean where no region says better. */
export const COLDEST_BELOW_K = 15;
/** The coldest morning of a year is no warmer than this where no region says better, °C. */
export const COLDEST_OF_YEAR_C = -5;

/** What sky and air a trip meets. */
export interface Climate {
  readonly region: Region | null;
  readonly latitudeDeg: number;
  readonly month: number;
  readonly clearness: number;
  readonly ambientC: number;
  readonly coldestC: number;
  /** The coldest morning of its year, whenever the trip is: a string of panels stays on the roof. */
  readonly coldestOfYearC: number;
}

/** Climate of a trip: its region's in its month, else the typed latitude and temperature with planning defaults. */
export function climateOf(trip: Trip, month = trip.month): Climate {
  const region = REGIONS.find((r) => r.id === trip.region) ?? null;
  const m = month - 1;
  if (region)
    return { region, latitudeDeg: region.latitudeDeg, month, clearness: region.clearness[m]!, ambientC: region.dayC[m]!, coldestC: region.coldestC[m]!, coldestOfYearC: Math.min(...region.coldestC) };
  const coldestC = trip.ambientC - COLDEST_BELOW_K;
  return { region, latitudeDeg: trip.latitudeDeg, month, clearness: PLANNING_CLEARNESS, ambientC: trip.ambientC, coldestC, coldestOfYearC: Math.min(coldestC, COLDEST_OF_YEAR_C) };
}

/** A battery's mass lags the air: it sees about this share of the day's swing. */
const BATTERY_SWING = 0.5;
/** The warmest hour of the day. */
const WARMEST_H = 15;
/** Mean of the daytime hours on the day's curve, as a share of its swing above the middle. */
const DAYTIME_SHARE = 0.45;

/**
 * Temperature around a battery by the hour of an ordinary day, °C, where the region tells it; null where only one
 * temperature was typed. The ordinary morning lies halfway between the day and the month's coldest morning.
 */
export function airByHour(c: Climate): readonly number[] | null {
  if (!c.region) return null;
  const morningC = (c.ambientC + c.coldestC) / 2;
  const swingK = (c.ambientC - morningC) / (1 + DAYTIME_SHARE);
  const middleC = morningC + swingK;
  return Array.from({ length: 24 }, (_, h) => middleC + BATTERY_SWING * swingK * Math.cos((2 * Math.PI * (h + 0.5 - WARMEST_H)) / 24));
}
