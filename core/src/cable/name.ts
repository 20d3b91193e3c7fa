import { memoize } from '../quantity/index.js';
import { OUTSIDE_DIAMETERS_MM } from './diameters.js';
import { AUTO_MM_AREAS, GAUGES, METRIC_AREAS_MM2, gaugeAreaMm2, gaugeNumber } from './sizes.js';

export type CableName =
  | { readonly kind: 'metric' | 'gauge' | 'auto'; readonly areaMm2: number; readonly text: string }
  | { readonly kind: 'ambiguous'; readonly choices: readonly CableName[]; readonly message: string }
  | { readonly kind: 'unknown'; readonly message: string };

const ACCEPTED = 'a size like 16 mm², 6 B&S, 6 AWG, 2/0 or 5 mm auto';

function metric(areaMm2: number): CableName {
  return { kind: 'metric', areaMm2, text: `${areaMm2} mm²` };
}

function auto(diameterMm: number): CableName | null {
  const row = AUTO_MM_AREAS.find(([d]) => d === diameterMm);
  return row ? { kind: 'auto', areaMm2: row[1], text: `${diameterMm} mm auto (about ${row[1]} mm²)` } : null;
}

function gauge(name: string): CableName | null {
  const areaMm2 = gaugeAreaMm2(name);
  const n = gaugeNumber(name);
  if (areaMm2 === null || n === null) return null;
  const text = n > 0 ? String(n) : `${1 - n}/0`;
  return { kind: 'gauge', areaMm2, text: `${text} B&S` };
}

function millimetres(value: number): CableName {
  const asAuto = auto(value);
  const asMetric = METRIC_AREAS_MM2.some((a) => a === value) ? metric(value) : null;
  if (asAuto && asMetric) {
    return {
      kind: 'ambiguous',
      choices: [asMetric, asAuto],
      message: `“${value} mm” may be ${value} mm² of copper or ${asAuto.kind === 'auto' ? asAuto.text : ''}. Which one?`,
    };
  }
  const outside = byOutside(value);
  return { kind: 'ambiguous', choices: [metric(value), outside], message: `“${value} mm” may be ${value} mm² of copper or ${outside.text}. Which one?` };
}

/** A cable by its outside diameter where no auto wire has that one: about the copper of the usual cable as thick. */
function byOutside(diameterMm: number): Extract<CableName, { readonly areaMm2: number }> {
  const rows = OUTSIDE_DIAMETERS_MM;
  const i = Math.max(0, rows.findIndex(([, d]) => d >= diameterMm) - 1);
  const [[a0, d0], [a1, d1]] = rows.some(([, d]) => d >= diameterMm) ? [rows[i]!, rows[i + 1]!] : [rows[rows.length - 2]!, rows[rows.length - 1]!];
  // Copper grows with the square of the diameter between two rows, and beyond them.
  const share = (diameterMm ** 2 - d0 ** 2) / (d1 ** 2 - d0 ** 2);
  const areaMm2 = Math.max(0.5, Math.round(10 * (a0 + share * (a1 - a0))) / 10);
  return { kind: 'auto', areaMm2, text: `${diameterMm} mm outside (about ${areaMm2} mm²)` };
}

/** A bare number: square millimetres or a gauge. */
function bare(text: string): CableName {
  const value = Number(text);
  const asGauge = gauge(text);
  const choices = [metric(value), ...(asGauge ? [asGauge] : [])];
  const gaugeWords = asGauge && 'areaMm2' in asGauge ? `${asGauge.text} (${Math.round(asGauge.areaMm2 * 100) / 100} mm²)` : `a gauge, though there is no ${text} B&S`;
  return { kind: 'ambiguous', choices, message: `“${text}” may be ${value} mm² or ${gaugeWords}. Which one?` };
}

/** Two sizes in one: the same one in two names, or two that differ. */
function both(typed: string, a: CableName, b: CableName): CableName {
  if (!('areaMm2' in a) || !('areaMm2' in b)) return { kind: 'unknown', message: `“${typed}” is not a cable size; type ${ACCEPTED}.` };
  if (Math.abs(Math.log(a.areaMm2 / b.areaMm2)) <= SAME) return a.kind === 'gauge' ? a : b;
  const words = (n: typeof a): string => (n.kind === 'gauge' ? `${n.text} is ${Math.round(n.areaMm2 * 10) / 10} mm²` : `${n.text} is near ${nearestGauge(n.areaMm2)} B&S`);
  return { kind: 'ambiguous', choices: [a, b], message: `“${typed}” names two sizes that differ: ${words(a)}, ${words(b)}. Which one?` };
}

/** Two names of one size may differ by so much, as natural logarithm: a shop's 16 mm² is its 6 B&S, hardly. */
const SAME = 0.1;
const SIZE = '(?:\\d+(?:\\.\\d+)? ?(?:mm2|mm²|mm\\^2|sqmm|sq mm|(?:mm )?auto|mm auto)|(?:\\d{1,2}|[1-4]/0|0{1,4}) ?(?:b&s|b & s|bs|awg|ga|gauge|g))';
const TWO = new RegExp(`^(${SIZE})[ ,/(=]+(${SIZE})\\)?$`);

/**
 * Reads a cable size in any of the four ways the trade names it. Plain millimetres are asked about, never guessed.
 * @example readCableName('6 B&S') // { kind: 'gauge', areaMm2: 13.302…, text: '6 B&S' }
 * @example readCableName('6mm').kind // 'ambiguous'
 */
export function readCableName(typed: string): CableName {
  const text = typed.trim().toLowerCase().replace(',', '.').replace(/\s+/g, ' ');
  const unknown: CableName = { kind: 'unknown', message: `“${typed.trim() || 'nothing'}” is not a cable size; type ${ACCEPTED}.` };
  const square = /^(\d+(?:\.\d+)?) ?(?:mm2|mm²|mm\^2|sqmm|sq mm)$/.exec(text);
  if (square) return Number(square[1]) > 0 ? metric(Number(square[1])) : unknown;
  const autoMm = /^(\d+(?:\.\d+)?) ?(?:mm)? ?auto$/.exec(text);
  if (autoMm) return auto(Number(autoMm[1])) ?? unknown;
  const named = /^(\d{1,2}|[1-4]\/0|0{1,4}) ?(?:b&s|b & s|bs|awg|ga|gauge|g)$/.exec(text);
  if (named) return gauge(named[1]!) ?? unknown;
  if (/^([1-4]\/0|0{1,4})$/.test(text)) return gauge(text) ?? unknown;
  if (/^\d+(\.\d+)?$/.test(text) && Number(text) > 0) return bare(text);
  const two = TWO.exec(text);
  if (two) return both(typed.trim(), readCableName(two[1]!), readCableName(two[2]!));
  const mm = /^(\d+(?:\.\d+)?) ?mm$/.exec(text);
  if (mm) return Number(mm[1]) > 0 ? millimetres(Number(mm[1])) : unknown;
  return unknown;
}

/** The nearest stocked gauge to an area, for people who buy by gauge. @example nearestGauge(35) // '2' */
export const nearestGauge: (areaMm2: number) => string = memoize(200, String, (areaMm2: number) => {
  const distance = (name: string): number => Math.abs(Math.log(gaugeAreaMm2(name)! / areaMm2));
  return GAUGES.reduce((best, name) => (distance(name) < distance(best) ? name : best), GAUGES[0] as string);
});

/** The gauge that has exactly this area; null: none. */
export const gaugeOf = (areaMm2: number): string | null => GAUGES.find((g) => Math.abs(gaugeAreaMm2(g)! - areaMm2) < 0.005) ?? null;

/** An area by its own name. @example nameOfArea(3.31) // '12 B&S (3.31 mm²)' */
export function nameOfArea(areaMm2: number): string {
  const own = METRIC_AREAS_MM2.some((a) => a === areaMm2) ? null : gaugeOf(areaMm2);
  return own ? sizeInWords(own) : `${Math.round(areaMm2 * 100) / 100} mm²`;
}

/** An area in the words of both counters. @example areaInWords(35) // '35 mm² (about 2 B&S)' */
export function areaInWords(areaMm2: number): string {
  if (!METRIC_AREAS_MM2.some((a) => a === areaMm2) && gaugeOf(areaMm2)) return nameOfArea(areaMm2);
  return `${Math.round(areaMm2 * 100) / 100} mm² (about ${nearestGauge(areaMm2)} B&S)`;
}

/** A size as it is asked for over the counter; a gauge with its copper. @example sizeInWords('12') // '12 B&S (3.31 mm²)' */
export function sizeInWords(size: string): string {
  const areaMm2 = /^\d+(\/0)?$/.test(size) ? gaugeAreaMm2(size) : null;
  return areaMm2 === null ? size : `${size} B&S (${Math.round(areaMm2 * 100) / 100} mm²)`;
}
