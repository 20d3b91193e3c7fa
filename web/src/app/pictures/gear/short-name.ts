import type { Gear } from '@meridex/core';

/** A name without the figures that follow it, for where there is little room. @example shortName({ name: 'inverter 1600 W' }) // 'inverter' */
export function shortName({ name }: Pick<Gear, 'name'>): string {
  const words = name.split(' ');
  const figures = words.findIndex((w) => /^\d/.test(w));
  return (figures > 0 ? words.slice(0, figures) : words).join(' ');
}
