import { addMonths, formatISO, parseISO } from 'date-fns';

/** Months after which an instrument is checked again; a default of ours. */
const CHECKED_EVERY_MONTHS = 12;

/** Whether an instrument’s last check was too long ago; never said is not known, and so not overdue. @example isOverdue('2025-11-30', '2026-12-01') // true */
export const isOverdue = (checkedOn: string | null, today: string): boolean =>
  checkedOn !== null && formatISO(addMonths(parseISO(checkedOn), CHECKED_EVERY_MONTHS), { representation: 'date' }) < today;
