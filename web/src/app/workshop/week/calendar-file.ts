import type { Block, CalendarPlan } from '@meridex/core';
import { createEvents, type DateTime, type EventAttributes } from 'ics';

/** Hours of the half-days, as a workshop keeps them: a default until one says its own. */
const HALVES = [
  { from: 8, to: 12 },
  { from: 13, to: 17 },
] as const;

/** What stands in the calendar’s words beside the plan’s own ids. */
export interface CalendarWords {
  readonly customer: (job: string) => string;
  readonly person: (id: string) => string;
}

/** Half-days of a block, day by day: a job over a weekend is none on the days between. */
function daysOf({ start, halfDays }: Block): { readonly day: number; readonly first: 0 | 1; readonly last: 0 | 1 }[] {
  const end = start + halfDays - 1;
  const days = Array.from({ length: Math.floor(end / 2) - Math.floor(start / 2) + 1 }, (_, i) => Math.floor(start / 2) + i);
  return days.map((day) => ({ day, first: day * 2 < start ? 1 : 0, last: day * 2 + 1 > end ? 0 : 1 }));
}

const at = (iso: string, hour: number): DateTime => {
  const [y, m, d] = iso.split('-').map(Number) as [number, number, number];
  return [y, m, d, hour, 0];
};

/** A week’s plan as an iCalendar file (RFC 5545): an event a job and day, in the place’s own time, known again when it is read a second time. */
export function calendarFile({ days, blocks }: Pick<CalendarPlan, 'days' | 'blocks'>, words: CalendarWords): string {
  const events = blocks.flatMap((b) =>
    daysOf(b).map(({ day, first, last }, i): EventAttributes => {
      const on = days[day]!;
      return {
        uid: `${b.job}-${i}@meridex`,
        title: `${words.customer(b.job)}: ${b.bay}`,
        description: `${words.person(b.person)}${b.fixed ? ', promised' : ''}${b.late ? `, ${b.late / 2} days late` : ''}`,
        location: b.bay,
        start: at(on, HALVES[first].from),
        end: at(on, HALVES[last].to),
        startInputType: 'local',
        startOutputType: 'local',
        endInputType: 'local',
        endOutputType: 'local',
        productId: 'meridex/week',
      };
    }),
  );
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}
