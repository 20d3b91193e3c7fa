/** Units that a figure carries at the end of its name. */
const UNITS: Readonly<Record<string, string>> = {
  Ah: 'Ah',
  Wh: 'Wh',
  Mm2: 'mm²',
  Mm: 'mm',
  Kg: 'kg',
  Percent: '%',
  Mv: 'mV',
  Ma: 'mA',
  Nm: 'Nm',
  Hz: 'Hz',
  A: 'A',
  V: 'V',
  W: 'W',
  M: 'm',
  H: 'h',
  C: '°C',
  S: 's',
};
/** Names of fields that say little when they are spelt out. */
const FIELDS: Readonly<Record<string, string>> = {
  outM: 'length',
  backM: 'length of the return',
  state: 'in the vehicle',
  when: 'to be fitted',
  here: 'here',
  due: 'due',
  from: 'from',
  acc: 'accepted',
  u: 'place along',
  v: 'place up',
  turn: 'turned',
};

/** A field's name as its words and its unit: `inputLimitA` is “input limit”, A. */
export function fieldWords(field: string): { readonly words: string; readonly unit: string } {
  const unit = Object.keys(UNITS).find((u) => field.length > u.length && field.endsWith(u)) ?? '';
  const bare = field.slice(0, field.length - unit.length);
  const words = FIELDS[field] ?? bare.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();
  return { words, unit: UNITS[unit] ?? '' };
}

/** A value as a person reads it; `name` gives the name of what an id stands for. */
export function valueWords(value: unknown, unit: string, name: (id: string) => string | null): string {
  if (value === undefined || value === null) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return `${Number(value.toFixed(2))}${unit ? ` ${unit}` : ''}`;
  if (typeof value === 'string') return value === '' ? 'empty' : (name(value) ?? value);
  return Array.isArray(value) ? `${value.length} entries` : 'set';
}
