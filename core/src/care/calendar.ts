import { addMonths, differenceInMonths, formatISO, parseISO } from 'date-fns';
import type { CareTask } from './tasks.js';

/** One turn of a task: the day on which it falls due. */
export interface CareTurn {
  readonly task: CareTask;
  /** From 1 on. */
  readonly turn: number;
  readonly on: string;
}

/** Id under which a turn is ticked. @example careTick('joints', 2) // 'care-joints-2' */
export const careTick = (task: string, turn: number): string => `care-${task}-${turn}`;

const later = (from: string, months: number): string => formatISO(addMonths(parseISO(from), months), { representation: 'date' });

/** Day of a task's turn, from 1 on, counted from a hand-over. @example dayOfTurn({ firstMonths: 1, everyMonths: 12 }, '2027-01-31', 1) // '2027-02-28' */
export const dayOfTurn = ({ firstMonths, everyMonths }: Pick<CareTask, 'firstMonths' | 'everyMonths'>, from: string, turn: number): string => later(from, firstMonths + (turn - 1) * everyMonths);

/** Whole months from one day to a later one. @example monthsSince('2026-12-01', '2028-03-15') // 15 */
export const monthsSince = (from: string, to: string): number => Math.max(0, differenceInMonths(parseISO(to), parseISO(from)));

/** What falls due in so many months from a hand-over, the earliest first; on one day in the order of the tasks. */
export function careCalendar(tasks: readonly CareTask[], from: string, months: number): readonly CareTurn[] {
  const until = later(from, months);
  const turns = tasks.flatMap((task) =>
    Array.from({ length: Math.max(0, Math.floor((months - task.firstMonths) / task.everyMonths) + 1) }, (_, i): CareTurn => ({ task, turn: i + 1, on: dayOfTurn(task, from, i + 1) })),
  );
  return turns.filter((t) => t.on <= until).sort((a, b) => a.on.localeCompare(b.on));
}

/** Months beyond today in which the next turn of anything is looked for: longer than the longest turn. */
const AHEAD_MONTHS = 60;

/** The earliest turn that nobody ticked, `null` where there is none; days before today are late. */
export const nextCare = (tasks: readonly CareTask[], from: string, today: string, ticked: { has(tick: string): boolean }): CareTurn | null =>
  careCalendar(tasks, from, AHEAD_MONTHS + monthsSince(from, today)).find((t) => !ticked.has(careTick(t.task.id, t.turn))) ?? null;
