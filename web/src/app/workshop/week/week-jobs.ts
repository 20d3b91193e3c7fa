import type { ShopJob, ShopWeek } from '@meridex/core';
import { isOut } from '@meridex/core';
import { isoDay } from '../../ui/iso-day';
import type { JobLine } from '../../data/jobs.service';

/** From then on today is too far gone to begin something, o'clock. */
const LATE_H = 15;

/** The day from which a week is planned: today, and in the afternoon tomorrow. */
export function planFrom(now: Date): string {
  const day = new Date(now);
  if (now.getHours() >= LATE_H) day.setDate(day.getDate() + 1);
  return isoDay(day);
}

/** States in which a job stands in the plan unless it is kept out of it. */
const PLANNED = ['accepted', 'parts ordered', 'fitting', 'sign-off'];

/** Jobs that may stand in a bay: what is out or closed does not, nor a template. */
export const mayStand = (lines: readonly JobLine[]): readonly JobLine[] => lines.filter((l) => !isOut(l.state) && l.state !== 'closed' && l.state !== 'template');

export const isPlanned = ({ id, state }: JobLine, week: ShopWeek): boolean => week.jobs[id]?.planned ?? PLANNED.includes(state);

export const shopJobOf = ({ id, customer, minutes, licensed, promisedOn, partsBy }: JobLine): ShopJob => ({ id, name: customer, minutes, licensed, promisedOn, partsBy });
