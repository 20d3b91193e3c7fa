import type { Load } from '../design/index.js';
import { drivingSpans } from '../travel/index.js';
import { coldDuty } from './fridge.js';
import { spanHours, type HourSpan } from './spans.js';

/** Hours behind the words of the table. */
const WORDS: Readonly<Record<'all day' | 'daytime' | 'evening' | 'night', readonly HourSpan[]>> = {
  'all day': [[0, 24]],
  daytime: [[7, 18]],
  evening: [[18, 22]],
  night: [
    [0, 6],
    [22, 24],
  ],
};

/** The hours of the day in which a load may run. */
export function loadSpans(load: Pick<Load, 'when'>, drivingH: number): readonly HourSpan[] {
  if (load.when.at === 'hours') return load.when.spans.filter(([from, to]) => to > from);
  return load.when.at === 'driving' ? drivingSpans(drivingH) : WORDS[load.when.at];
}

/** Share of its hours in which a load runs, 0–1. Hours a day that do not fit its hours count as always on. */
export function dutyOf(load: Pick<Load, 'draw' | 'use' | 'when'>, drivingH: number, ambientC: number): number {
  const { draw, use } = load;
  if (draw.by === 'energy') return 1;
  if (draw.by === 'measured') return draw.onS + draw.offS > 0 ? draw.onS / (draw.onS + draw.offS) : 0;
  if (use.by === 'duty') return use.duty;
  if (use.by === 'fridge') return coldDuty(use.duty25, ambientC, use.insideC);
  const within = spanHours(loadSpans(load, drivingH));
  return within > 0 ? Math.min(1, use.hours / within) : 0;
}
