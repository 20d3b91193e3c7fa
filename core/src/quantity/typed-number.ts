/** What a field accepts; `unit` is shown in messages, `aliases` are the ways people write it. */
export interface NumberField {
  readonly name: string;
  readonly unit: string;
  readonly aliases?: readonly string[];
  readonly min?: number;
  readonly max?: number;
  readonly integer?: boolean;
}

export type TypedNumber = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

const NUMBER_AND_UNIT = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?)\s*(.*)$/i;

/** Units a person may type instead of the field's own, with the factor to it. */
const SCALES: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  m: { m: 1, metre: 1, metres: 1, meter: 1, mm: 0.001, cm: 0.01 },
  W: { w: 1, watt: 1, watts: 1, kw: 1000 },
  A: { a: 1, amp: 1, amps: 1, ma: 0.001 },
  V: { v: 1, volt: 1, volts: 1, mv: 0.001 },
  Ah: { ah: 1 },
  '°C': { '°c': 1, c: 1, deg: 1 },
  h: { h: 1, hr: 1, hrs: 1, hour: 1, hours: 1, min: 1 / 60, mins: 1 / 60, minutes: 1 / 60 },
  '%': { '%': 1, percent: 1 },
  kg: { kg: 1, g: 0.001 },
  days: { day: 1, days: 1, d: 1 },
};

function accepted(field: NumberField): string {
  const unit = field.unit ? ` in ${field.unit}` : '';
  const kind = field.integer ? 'a whole number' : 'a number';
  if (field.min !== undefined && field.max !== undefined) return `${kind}${unit} from ${field.min} to ${field.max}`;
  if (field.min !== undefined) return `${kind}${unit}, ${field.min} or more`;
  if (field.max !== undefined) return `${kind}${unit}, ${field.max} or less`;
  return `${kind}${unit}`;
}

/**
 * Reads what a person typed into a number field: a comma or a point, and a unit where it is clear.
 * A unit that belongs to another quantity ("12V" in a length) is refused, never dropped.
 * @example readTypedNumber('3,5 m', { name: 'Length', unit: 'm' }) // { ok: true, value: 3.5 }
 */
export function readTypedNumber(text: string | number | null | undefined, field: NumberField): TypedNumber {
  const came = String(text ?? '').trim();
  const refuse = (): TypedNumber => ({
    ok: false,
    message: `${field.name}: “${came || 'nothing'}” is not taken; type ${accepted(field)}.`,
  });
  const match = NUMBER_AND_UNIT.exec(came);
  if (!match) return refuse();
  const suffix = match[2]!.trim().toLowerCase();
  const scales: Readonly<Record<string, number>> = SCALES[field.unit] ?? { [field.unit.toLowerCase()]: 1 };
  const own = suffix === '' || field.aliases?.some((a) => a.toLowerCase() === suffix);
  const scale = own ? 1 : scales[suffix];
  if (scale === undefined) return refuse();
  const value = Number(match[1]!.replace(',', '.')) * scale;
  if (!Number.isFinite(value)) return refuse();
  if (field.integer && !Number.isInteger(value)) return refuse();
  if (field.min !== undefined && value < field.min) return refuse();
  if (field.max !== undefined && value > field.max) return refuse();
  return { ok: true, value };
}
