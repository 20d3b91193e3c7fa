import type { Gear, Purpose } from '@meridex/core';

/** Own line marks in a 24 × 24 field, one for each sort of gear. */
const MARKS: Readonly<Record<string, string>> = {
  starting: 'M4 8h16v11H4z M7 8V5.5h3V8 M14 8V5.5h3V8 M7.5 13.5h4 M14 13.5h3 M15.5 12v3',
  house: 'M4 8h16v11H4z M7 8V5.5h3V8 M14 8V5.5h3V8 M12.6 10 10 14h4l-2.6 4',
  charger: 'M4 6h16v12H4z M7 14l3.2-4 3.2 4 3.6-4',
  bus: 'M3 9h18 M3 15h18 M6 6.5v5 M12 6.5v5 M18 6.5v5 M8 12.5v5 M16 12.5v5',
  block: 'M5 4h14v16H5z M8 8h8 M8 12h8 M8 16h8',
  inverter: 'M4 5h16v14H4z M7 12c1.6-5 3.4-5 5 0s3.4 5 5 0',
  panel: 'M3 7h18v10H3z M9 7v10 M15 7v10 M3 12h18',
  controller: 'M5 5h14v14H5z M12 8.5v2 M12 13.5v2 M8.5 12h2 M13.5 12h2',
  mains: 'M7 4v6 M17 4v6 M5 10h14v3a7 7 0 0 1-14 0z M12 20v2',
  control: 'M4 6h16v12H4z M8 15l3.5-5 M16 10.5v.5 M16 14v.5',
  fridge: 'M6 3h12v18H6z M6 9h12 M9 5v2 M9 11.5v3',
  light: 'M8 14a5.5 5.5 0 1 1 8 0c-.8 1-1 1.6-1 3H9c0-1.4-.2-2-1-3z M10 20.5h4',
  pump: 'M12 4c4 5 5.5 7.5 5.5 10a5.5 5.5 0 0 1-11 0C6.5 11.500 8 9 12 4z',
  socket: 'M4 4h16v16H4z M9 9v4 M15 9v4 M12 15.500v1.500',
  screen: 'M3 5h18v12H3z M9 21h6 M12 17v4',
  there: 'M4 6h16v12H4z M4 6l16 12 M20 6 4 18',
  other: 'M12 3.500a8.500 8.500 0 1 0 0 17a8.500 8.500 0 0 0 0-17z M12 8v4l3 2',
};

const BY_PURPOSE: Readonly<Partial<Record<Purpose, string>>> = { fridge: 'fridge', lights: 'light', pump: 'pump', sockets: 'socket', electronics: 'screen' };

/** The line mark of a piece of gear; of a load by what it is for. */
export const gearMark = ({ role, purpose }: Pick<Gear, 'role' | 'purpose'>): string => MARKS[purpose ? (BY_PURPOSE[purpose] ?? 'other') : role] ?? MARKS['other']!;

/** A name without the figures that follow it, for where there is little room. @example shortName({ name: 'inverter 1600 W' }) // 'inverter' */
export function shortName({ name }: Pick<Gear, 'name'>): string {
  const words = name.split(' ');
  const figures = words.findIndex((w) => /^\d/.test(w));
  return (figures > 0 ? words.slice(0, figures) : words).join(' ');
}
