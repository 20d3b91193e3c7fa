import type { Gear, Vehicle } from '@meridex/core';
import { flatBox } from './vehicle-view';

/** A stretch of the vehicle: along it, from the side up and down, and from above across. */
export interface CloseUp {
  readonly x: number;
  readonly w: number;
  readonly side: { readonly y: number; readonly h: number };
  readonly plan: { readonly y: number; readonly h: number };
}

/** Least length and height that is shown, mm: a thing among its neighbours. */
const LEAST = { long: 2200, high: 1200 } as const;
const AROUND_MM = 260;

/** As much as is asked for around a middle, without leaving the sheet on one side while there is more on the other. */
function span(middle: number, long: number, from: number, to: number): readonly [number, number] {
  const room = to - from;
  if (long >= room) return [from, room];
  return [Math.min(Math.max(from, middle - long / 2), to - long), long];
}

/** What is around a piece of gear, from the side and from above. */
export function closeUp(v: Vehicle, gear: Gear): CloseUp {
  const [side, plan] = [flatBox(v, 'side', gear.box), flatBox(v, 'plan', gear.box)];
  const [x, w] = span(side.x + side.w / 2, Math.max(LEAST.long, side.w + 2 * AROUND_MM), -60, v.lengthMm + 60);
  const [sy, sh] = span(side.y + side.h / 2, Math.max(LEAST.high, side.h + 2 * AROUND_MM), -100, v.heightMm + 60);
  const [py, ph] = span(plan.y + plan.h / 2, Math.max(LEAST.high, plan.h + 2 * AROUND_MM), -60, v.widthMm + 60);
  return { x, w, side: { y: sy, h: sh }, plan: { y: py, h: ph } };
}
