import { isoDay } from '../../ui/iso-day';

/** The day that comes so many working days after another; suppliers rest on Saturdays and Sundays. @example afterWorkingDays('2026-12-04', 1) // '2026-12-07' */
export function afterWorkingDays(day: string, days: number): string {
  const at = new Date(`${day}T12:00:00`);
  for (let left = days; left > 0;) {
    at.setDate(at.getDate() + 1);
    if (at.getDay() % 6) left -= 1;
  }
  return isoDay(at);
}
