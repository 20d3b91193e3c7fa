import { calendarFile } from './calendar-file';

const block = (job: string, start: number, halfDays: number, fixed = false) => ({ job, bay: 'Bay 1', person: 'p1', start, halfDays, fixed, late: 0 });
const words = { customer: (id: string) => `Customer ${id}`, person: () => 'Sam' };
const days = ['2026-12-03', '2026-12-04', '2026-12-07'];

describe('the week as a calendar file', () => {
  const lines = (blocks: Parameters<typeof calendarFile>[0]['blocks']): string[] => calendarFile({ days, blocks }, words).split('\r\n');

  it('has an event a job and day, from its first half-day to its last, none on the days between', () => {
    const all = lines([block('a', 1, 4)]);
    expect(all.filter((l) => /^DT(START|END)/.test(l))).toEqual([
      'DTSTART:20261203T130000',
      'DTEND:20261203T170000',
      'DTSTART:20261204T080000',
      'DTEND:20261204T170000',
      'DTSTART:20261207T080000',
      'DTEND:20261207T120000',
    ]);
    expect(all.filter((l) => l.startsWith('UID:'))).toEqual(['UID:a-0@meridex', 'UID:a-1@meridex', 'UID:a-2@meridex']);
  });

  it('says whose job it is, in which bay, who does it, and what is promised', () => {
    const all = lines([block('a', 0, 1, true)]);
    expect(all).toContain('SUMMARY:Customer a: Bay 1');
    expect(all).toContain('DESCRIPTION:Sam\\, promised');
    expect(all).toContain('LOCATION:Bay 1');
  });

  it('is a calendar with nothing in it where nothing stands', () => {
    const all = lines([]);
    expect(all[0]).toBe('BEGIN:VCALENDAR');
    expect(all).not.toContain('BEGIN:VEVENT');
  });
});
