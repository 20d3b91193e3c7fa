import { kept } from '../quantity/index.js';
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
  const choices = [asMetric ?? metric(value), ...(asAuto ? [asAuto] : [])];
  return { kind: 'ambiguous', choices, message: `“${value} mm” may be copper area or outside diameter. Which one?` };
}

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
  const mm = /^(\d+(?:\.\d+)?) ?mm$/.exec(text);
  if (mm) return Number(mm[1]) > 0 ? millimetres(Number(mm[1])) : unknown;
  return unknown;
}

/** The nearest stocked gauge to an area, for people who buy by gauge. @example nearestGauge(35) // '2' */
export const nearestGauge: (areaMm2: number) => string = kept(200, String, (areaMm2: number) => {
  const distance = (name: string): number => Math.abs(Math.log(gaugeAreaMm2(name)! / areaMm2));
  return GAUGES.reduce((best, name) => (distance(name) < distance(best) ? name : best), GAUGES[0] as string);
});

/** An area in the words of both counters. @example areaInWords(35) // '35 mm² (about 2 B&S)' */
export function areaInWords(areaMm2: number): string {
  return `${Math.round(areaMm2 * 100) / 100} mm² (about ${nearestGauge(areaMm2)} B&S)`;
}

/** A size as it is asked for over the counter; a gauge with its copper. @example sizeInWords('12') // '12 B&S (3.31 mm²)' */
export function sizeInWords(size: string): string {
  const areaMm2 = /^\d+(\/0)?$/.test(size) ? gaugeAreaMm2(size) : null;
  return areaMm2 === null ? size : `${size} B&S (${Math.round(areaMm2 * 100) / 100} mm²)`;
}
