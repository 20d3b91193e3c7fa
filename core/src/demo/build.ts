import { nothingSaid, BLANK_EXISTING, blankDesign, blankLoad, type Design, type Existing, type Load, supplyOf, type UsualSupply } from '../design/index.js';

type Row = readonly [name: string, draw: string, use: string, when: Load['when']['at'] | readonly (readonly [number, number])[], purpose: Load['purpose'], extra?: Partial<Load>];

/** Start over running current by kind, as the library has it. */
const USUAL_SURGE: Partial<Record<Load['purpose'], number>> = { fridge: 3, pump: 2.5, tools: 2.5 };

/** Loads from rows as short as a load list on paper: `['lights', '18 W', '100 %', 'evening', 'lights']`. */
export function loadsFrom(rows: readonly Row[]): Design['loads'] {
  return Object.fromEntries(
    rows.map(([name, draw, use, when, purpose, extra], i): [string, Load] => {
      const [value, unit] = draw.split(' ');
      const [amount, per] = use.split(' ');
      return [
        `l${i + 1}`,
        {
          ...blankLoad(i + 1),
          name,
          purpose,
          draw: { by: 'plate', unit: unit as 'W' | 'A', value: Number(value) },
          use:
            per === 'h'
              ? { by: 'hours', hours: Number(amount) }
              : purpose === 'fridge'
                ? { by: 'fridge', duty25: Number(amount) / 100, insideC: /freezer/.test(name) ? -22 : 4 }
                : { by: 'duty', duty: Number(amount) / 100 },
          when: typeof when === 'string' ? { at: when as 'all day' } : { at: 'hours', spans: when.map(([a, b]): [number, number] => [a, b]) },
          surge: USUAL_SURGE[purpose] ?? 1,
          standbyW: purpose === 'electronics' ? 0.5 : 0,
          ...extra,
        },
      ];
    }),
  );
}

/** Gear that was there before: its own data as far as known. */
export function thereBefore(order: number, name: string, change: Partial<Existing>): Existing {
  return { ...BLANK_EXISTING, order, name, ...change };
}

/** What the made-up workshop says its money by. */
export const DEMO_RULES: Pick<Design['settings'], 'money' | 'quote'> = {
  money: { sign: '$', tax: 'GST', taxPercent: 10 },
  quote: { hourRate: 124, marginPercent: 18, validDays: 30, notIncluded: 'Repairs to what is found worn or unsafe behind the trim: we call you first.' },
};

interface Changes {
  readonly brief: Partial<Omit<Design['brief'], 'trip' | 'alternator'>> & { readonly trip: Partial<Design['brief']['trip']>; readonly alternator: Partial<Design['brief']['alternator']> };
  readonly supply: Partial<Omit<UsualSupply, 'sun'>> & { readonly sun?: Partial<UsualSupply['sun']> };
  readonly loads: readonly Row[];
  readonly places?: Design['places'];
  readonly board?: Design['board'];
  readonly runs?: Design['runs'];
  readonly accepted?: Design['accepted'];
  readonly mains?: Design['mains'];
  readonly settings?: Partial<Design['settings']>;
}

/** A made-up design: a new job with these changes. */
export function designWith(customer: string, c: Changes): Design {
  const blank = blankDesign(customer);
  const { sun, ...supply } = c.supply;
  Object.assign(supplyOf(blank), supply);
  Object.assign(supplyOf(blank).sun, sun);
  return {
    ...blank,
    brief: { ...blank.brief, ...c.brief, trip: { ...blank.brief.trip, ...c.brief.trip }, alternator: { ...blank.brief.alternator, ...c.brief.alternator } },
    loads: loadsFrom(c.loads),
    places: c.places ?? {},
    board: c.board ?? null,
    runs: c.runs ?? {},
    accepted: c.accepted ?? {},
    mains: c.mains ?? nothingSaid(),
    settings: { ...blank.settings, ...DEMO_RULES, ...c.settings },
  };
}

/** Gear on the board of a zone, by its place on it in mm. */
export function onBoard(zone: string, at: Readonly<Record<string, readonly [u: number, v: number]>>): Design['places'] {
  return Object.fromEntries(Object.entries(at).map(([id, [u, v]]) => [id, { zone, on: { face: 'board', u, v, turn: 0 as const }, when: 'now' as const }]));
}
