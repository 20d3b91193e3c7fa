import { ASKED_FIRST, CHEMISTRIES, CHEMISTRY, figure, type Part } from '@meridex/core';

/** Figures of data sheets in the trade's words, with their unit and the most that is accepted. */
const FIGURES: Readonly<Record<string, readonly [words: string, unit: string, most: number]>> = {
  capacityAh: ['Capacity', 'Ah', 2000],
  outputA: ['Output', 'A', 200],
  outputV: ['Output', 'V', 48],
  inputV: ['Input', 'V', 48],
  ratedA: ['Rated', 'A', 2000],
  ratedW: ['Rated', 'W', 10000],
  vocV: ['Open-circuit', 'V', 150],
  vmpV: ['Volts at its best', 'V', 150],
  impA: ['Amps at its best', 'A', 50],
  iscA: ['Short-circuit', 'A', 50],
  maxA: ['Largest current', 'A', 200],
  maxV: ['Largest panel volts', 'V', 250],
  maxFuseA: ['Largest fuse', 'A', 500],
  continuousA: ['Gives steadily', 'A', 2000],
  peakA: ['Gives for seconds', 'A', 10000],
  surgeW: ['Surge', 'W', 20000],
  acW: ['Takes from mains', 'W', 5000],
  efficiency: ['Efficiency, 0 to 1', '', 1],
  cutOutV: ['Cuts out below', 'V', 48],
  standbyMa: ['Standby', 'mA', 1000],
  closeV: ['Closes at', 'V', 48],
  closeAfterS: ['Closes after', 's', 600],
  openV: ['Opens at', 'V', 48],
  openAfterS: ['Opens after', 's', 600],
  wayA: ['Each way', 'A', 200],
  totalA: ['All ways', 'A', 1000],
  milliohm: ['Resistance', 'mΩ', 100],
  dropMv: ['Drop at rated', 'mV', 200],
  ownMa: ['Own draw', 'mA', 1000],
  ways: ['Ways', '', 60],
  barsA: ['Bars', 'A', 1000],
  kg: ['Weight', 'kg', 500],
  outletA: ['Its own output', 'A', 500],
  price: ['Price', '', 100000],
};
export const WORDS: Readonly<Record<string, readonly string[]>> = { chemistry: CHEMISTRIES, way: ['mppt', 'pwm'] };

/** A figure of a data sheet: its words, its unit, and the most that is accepted. */
export const figureOf = (key: string): readonly [words: string, unit: string, most: number] => FIGURES[key] ?? [SAID[key] ?? key, '', 100000];

/** What of a data sheet is no number. */
const SAID: Readonly<Record<string, string>> = {
  chemistry: 'Chemistry',
  way: 'Way',
  profiles: 'Charges',
  trigger: 'Switched on by',
  halfPower: 'Half power',
  coldLock: 'Stops below freezing',
  waveform: 'Waveform',
  holds: 'Holds',
  sunInput: 'Sun input',
  mainsInput: 'Mains input',
  charger: 'Its charger',
  mainSwitch: 'Its main switch',
  shunt: 'Its shunt',
  disconnect: 'Its disconnect',
  inside: 'Built into',
  mm: 'Outside',
};

/** What is told apart before any figure of a part. */
const BESIDE: ReadonlySet<string> = new Set(['id', 'kind', 'name', 'special', 'assumed']);

const decimals = (v: number): number => [0, 1].find((n) => Math.abs(v - Number(v.toFixed(n))) < 1e-9) ?? 2;

function inWords(key: string, value: unknown): string {
  if (value === null) return key === 'maxFuseA' ? 'not stated' : 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (key === 'mm') return `${(value as number[]).join(' × ')} mm`;
  if (key === 'chemistry') return CHEMISTRY[value as keyof typeof CHEMISTRY].name;
  if (Array.isArray(value)) return value.map((v) => (v in CHEMISTRY ? CHEMISTRY[v as keyof typeof CHEMISTRY].name : String(v))).join(', ');
  if (typeof value === 'number') {
    const [, unit] = figureOf(key);
    return `${figure(value, decimals(value))}${unit ? ` ${unit}` : ''}`;
  }
  if (typeof value === 'object')
    return Object.entries(value as object)
      .map(([k, v]) => (typeof v === 'number' ? inWords(k, v) : String(v)))
      .join(', ');
  return String(value);
}

/** A figure of a part as it is shown. */
export interface PlateFigure {
  readonly key: string;
  readonly words: string;
  readonly value: string;
  /** Its plate did not say it: usual for its size. */
  readonly assumed: boolean;
}

/** Every figure of a data sheet, in words. */
export const plateOf = (part: Part): readonly PlateFigure[] =>
  Object.entries(part).flatMap(([key, value]) =>
    BESIDE.has(key) || value === undefined ? [] : [{ key, words: figureOf(key)[0], value: inWords(key, value), assumed: part.assumed?.includes(key) ?? false }],
  );

/** A part in one line: what one asks first of its kind. */
export function inShort(part: Part): string {
  const all = new Map(plateOf(part).map((f) => [f.key, f]));
  const said = ASKED_FIRST[part.kind].flatMap((key) => {
    const f = all.get(key);
    if (!f || f.value === 'none') return [];
    return key === 'ways' ? [`${f.value} ways`] : [SHORT[key] ? `${SHORT[key]} ${f.value}` : f.value];
  });
  return said.join(' · ');
}

/** Figures of which more than one has the same unit say which they are. */
const SHORT: Readonly<Record<string, string>> = {
  continuousA: 'gives',
  inputV: 'from',
  outputV: 'to',
  sunInput: 'sun',
  closeV: 'closes',
  openV: 'opens',
  vocV: 'open',
  iscA: 'short',
  maxV: 'panels up to',
  acW: 'takes',
  surgeW: 'surge',
  wayA: 'each',
  totalA: 'all',
  peakA: 'peak',
  dropMv: 'drops',
  ownMa: 'draws',
  barsA: 'bars',
};
