import { type CareTask, careTick, dayOfTurn } from '@meridex/core';
import { isoDay } from '../../ui/iso-day';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const dayOf = (iso: string): [y: number, m: number, d: number] => iso.split('-').map(Number) as [number, number, number];
const dayAfter = (iso: string): DateArray => {
  const [y, m, d] = dayOf(iso);
  return dayOf(isoDay(new Date(y, m - 1, d + 1, 12)));
};
/** A week before, in hours: the form that every reader of calendars takes. */
const TOLD_BEFORE_H = 168;

/** Care of a rig as an iCalendar file (RFC 5545): each task a day that comes again, told of a week before, and known again when it is read a second time. */
export function careFile(tasks: readonly CareTask[], from: string, job: { readonly id: string; readonly customer: string }): string {
  const events = tasks.map((t): EventAttributes => ({
    uid: `${job.id}-${careTick(t.id, 1)}@meridex`,
    title: `${job.customer}: ${t.what}`,
    description: `${t.why}. ${t.by}, about ${t.minutes} min. A default of the workshop’s: the maker’s instructions and local rules come first.`,
    start: dayOf(dayOfTurn(t, from, 1)),
    end: dayAfter(dayOfTurn(t, from, 1)),
    recurrenceRule: `FREQ=MONTHLY;INTERVAL=${t.everyMonths}`,
    alarms: [{ action: 'display', description: t.what, trigger: { before: true, hours: TOLD_BEFORE_H } }],
    productId: 'meridex/care',
  }));
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}
