/** What was typed, as quantities and words: “16 mm2 6 m 25A” is three quantities and no word. */
export interface Question {
  readonly text: string;
  /** The first of each unit; null where there is none. */
  readonly amp: number | null;
  readonly metre: number | null;
  readonly areaMm2: number | null;
  /** A gauge as it was typed, without its unit. */
  readonly gauge: string | null;
  readonly volt: number | null;
  readonly watt: number | null;
  readonly litre: number | null;
  readonly percent: number | null;
  readonly celsius: number | null;
  /** Several alike: “3x16mm2”. */
  readonly times: number;
  readonly words: ReadonlySet<string>;
}

const NUMBER = '(\\d+(?:[.,]\\d+)?)';
const UNITS = {
  areaMm2: new RegExp(`${NUMBER} ?(?:mm2|mm²|mm\\^2|sqmm|sq mm)(?![a-z])`),
  gauge: /(\d{1,2}|[1-4]\/0|0{2,4}) ?(?:b&s|bs|awg|gauge|ga)(?![a-z])/,
  watt: new RegExp(`${NUMBER} ?(kw|w|watts?)(?![a-z])`),
  amp: new RegExp(`${NUMBER} ?(?:a|amps?)(?![a-z])`),
  volt: new RegExp(`${NUMBER} ?(?:v|volts?)(?![a-z])`),
  metre: new RegExp(`${NUMBER} ?(?:m|metres?|meters?)(?![a-z0-9²^])`),
  litre: new RegExp(`${NUMBER} ?(?:l|litres?|liters?)(?![a-z])`),
  percent: new RegExp(`${NUMBER} ?%`),
  celsius: new RegExp(`${NUMBER} ?(?:°c|°|c)(?![a-z])`),
} as const;

const number = (text: string): number => Number(text.replace(',', '.'));

/** Reads a question; each quantity is taken out as it is read, so that the metres of “6 m” are not those of “mm”. */
export function readQuestion(typed: string): Question {
  let rest = ` ${typed.trim().toLowerCase().replace(/\s+/g, ' ')} `;
  const times = /(\d{1,2}) ?[x×] ?(?=\d)/.exec(rest);
  if (times) rest = rest.replace(times[0], ' ');
  const take = (unit: keyof typeof UNITS): RegExpExecArray | null => {
    const found = UNITS[unit].exec(rest);
    if (found) rest = rest.replace(found[0], ' ');
    return found;
  };
  const value = (found: RegExpExecArray | null): number | null => (found ? number(found[1]!) : null);
  const areaMm2 = value(take('areaMm2'));
  const gauge = take('gauge')?.[1] ?? null;
  const watts = take('watt');
  return {
    text: typed.trim(),
    areaMm2,
    gauge,
    watt: watts ? number(watts[1]!) * (watts[2] === 'kw' ? 1000 : 1) : null,
    amp: value(take('amp')),
    volt: value(take('volt')),
    metre: value(take('metre')),
    litre: value(take('litre')),
    percent: value(take('percent')),
    celsius: value(take('celsius')),
    times: times ? Number(times[1]) : 1,
    words: new Set(rest.split(/[^a-z-]+/).filter(Boolean)),
  };
}
