import { addBusinessDays, formatISO, parseISO } from 'date-fns';
import type { OrderLine } from '../order/index.js';

/** The day that comes so many working days after another; suppliers rest on Saturdays and Sundays. @example afterWorkingDays('2026-12-04', 1) // '2026-12-07' */
export const afterWorkingDays = (day: string, days: number): string => formatISO(addBusinessDays(parseISO(day), days), { representation: 'date' });

/** What is ordered for one day. */
export interface DayOrder {
  readonly due: string;
  readonly lines: readonly { readonly key: string; readonly what: string; readonly unit: 'pc' | 'm'; readonly count: number }[];
}

/** What is still to be ordered of some lines, by the day on which a supplier brings it, the earliest first. */
export function ordersByDay(offered: readonly { readonly line: OrderLine; readonly days: number }[], bought: Readonly<Record<string, { readonly count: number }>>, today: string): readonly DayOrder[] {
  const byDay = new Map<string, DayOrder['lines'][number][]>();
  for (const { line, days } of offered) {
    const count = line.quantity - (bought[line.key]?.count ?? 0);
    const due = afterWorkingDays(today, days);
    if (count > 0) byDay.set(due, [...(byDay.get(due) ?? []), { key: line.key, what: line.what, unit: line.unit, count }]);
  }
  return [...byDay].map(([due, lines]) => ({ due, lines })).sort((a, b) => a.due.localeCompare(b.due));
}
