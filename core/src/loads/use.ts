import type { Load } from '../design/index.js';

export type HourSpan = readonly [fromH: number, toH: number];

/** Hours behind the words of the table; driving starts at nine. */
const WORDS: Readonly<Record<'all day' | 'daytime' | 'evening' | 'night', readonly HourSpan[]>> = {
  'all day': [[0, 24]],
  daytime: [[7, 18]],
  evening: [[18, 22]],
  night: [
    [0, 6],
    [22, 24],
  ],
};
const DRIVING_FROM_H = 9;

/** The hours in which the vehicle is driven on a travel day. */
export function drivingSpans(drivingH: number): readonly HourSpan[] {
  if (drivingH <= 0) return [];
  const from = Math.min(DRIVING_FROM_H, 24 - drivingH);
  return [[from, from + drivingH]];
}

/** The hours of the day in which a load may run. */
export function loadSpans(load: Pick<Load, 'when'>, drivingH: number): readonly HourSpan[] {
  if (load.when.at === 'hours') return load.when.spans.filter(([from, to]) => to > from);
  return load.when.at === 'driving' ? drivingSpans(drivingH) : WORDS[load.when.at];
}

export function spanHours(spans: readonly HourSpan[]): number {
  return spans.reduce((sum, [from, to]) => sum + to - from, 0);
}

/** Share of its hours in which a load runs, 0–1. Hours a day that do not fit its hours count as always on. */
export function dutyOf(load: Pick<Load, 'use' | 'when'>, drivingH: number): number {
  if (load.use.by === 'duty') return load.use.duty;
  const within = spanHours(loadSpans(load, drivingH));
  return within > 0 ? Math.min(1, load.use.hours / within) : 0;
}
