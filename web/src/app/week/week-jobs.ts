import type { ShopJob, ShopWeek } from '@meridex/core';
import { isOut } from '@meridex/core';
import type { JobLine } from '../services/jobs.service';

/** States in which a job stands in the plan unless it is kept out of it. */
const PLANNED = ['accepted', 'parts ordered', 'fitting', 'sign-off'];

/** Jobs that may stand in a bay: what is out or closed does not. */
export const mayStand = (lines: readonly JobLine[]): readonly JobLine[] => lines.filter((l) => !isOut(l.state) && l.state !== 'closed');

export const isPlanned = ({ id, state }: JobLine, week: ShopWeek): boolean => week.jobs[id]?.planned ?? PLANNED.includes(state);

export const shopJobOf = ({ id, customer, minutes, licensed, promisedOn }: JobLine): ShopJob => ({ id, name: customer, minutes, licensed, promisedOn });
