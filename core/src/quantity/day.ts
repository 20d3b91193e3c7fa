import { format, parseISO } from 'date-fns';

/** A day as people say it. @example dayInWords('2026-12-03') // '3 Dec 2026' */
export const dayInWords = (day: string): string => format(parseISO(day), 'd MMM yyyy');
