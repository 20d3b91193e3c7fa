/** A figure as it is printed: fixed decimals, a real minus sign, "never" for infinity, "–" for nothing. */
export function figure(value: number | null | undefined, decimals = 1): string {
  if (value === null || value === undefined || Number.isNaN(value)) return '–';
  if (!Number.isFinite(value)) return value > 0 ? 'never' : '–';
  const text = value.toFixed(decimals);
  const plain = Number(text) === 0 ? text.replace('-', '') : text;
  return plain.replace('-', '−');
}

/** Amps with the decimals a clamp meter shows: 4.86 A, 48.0 A, 171 A. @example amps(48) // '48.0' */
export function amps(valueA: number): string {
  const size = Math.abs(valueA);
  return figure(valueA, size >= 100 ? 0 : size >= 10 ? 1 : 2);
}

/** A fuse rating without needless zeros. @example rating(7.5) // '7.5' */
export function rating(valueA: number): string {
  return String(Math.round(valueA * 10) / 10);
}

/** Kiloamps above a thousand. @example faultCurrent(6140) // '6.1 kA' */
export function faultCurrent(valueA: number): string {
  return valueA >= 1000 ? `${figure(valueA / 1000, 1)} kA` : `${figure(valueA, 0)} A`;
}
