import { blankDesign, type Design, type Load } from '../design/index.js';

type Row = readonly [
  name: string,
  draw: string,
  use: string,
  when: Load['when']['at'] | readonly (readonly [number, number])[],
  purpose: Load['purpose'],
  extra?: Partial<Pick<Load, 'supply' | 'critical'>>,
];

/** Loads from rows as short as a load list on paper: `['lights', '18 W', '100 %', 'evening', 'lights']`. */
export function loadsFrom(rows: readonly Row[]): Design['loads'] {
  return Object.fromEntries(
    rows.map(([name, draw, use, when, purpose, extra], i): [string, Load] => {
      const [value, unit] = draw.split(' ');
      const [amount, per] = use.split(' ');
      return [
        `l${i + 1}`,
        {
          order: i + 1,
          name,
          purpose,
          supply: 'dc',
          draw: { unit: unit as 'W' | 'A', value: Number(value) },
          use: per === 'h' ? { by: 'hours', hours: Number(amount) } : { by: 'duty', duty: Number(amount) / 100 },
          when: typeof when === 'string' ? { at: when as 'all day' } : { at: 'hours', spans: when.map(([a, b]): [number, number] => [a, b]) },
          critical: false,
          ...extra,
        },
      ];
    }),
  );
}

interface Changes {
  readonly brief: Partial<Design['brief']>;
  readonly supply: Partial<Design['supply']>;
  readonly loads: readonly Row[];
  readonly places?: Design['places'];
  readonly runs?: Design['runs'];
  readonly accepted?: Design['accepted'];
  readonly settings?: Partial<Design['settings']>;
}

/** A made-up design: a new job with these changes. */
export function designWith(customer: string, c: Changes): Design {
  const blank = blankDesign(customer);
  return {
    ...blank,
    brief: { ...blank.brief, ...c.brief },
    supply: { ...blank.supply, ...c.supply },
    loads: loadsFrom(c.loads),
    places: c.places ?? {},
    runs: c.runs ?? {},
    accepted: c.accepted ?? {},
    settings: { ...blank.settings, ...c.settings },
  };
}
