import type { Design, Load, Settings } from '../design/index.js';
import type { WeakPart } from '../protection/index.js';

/** Drop allowed from the battery's terminals to the load's own, per cent of nominal volts, by purpose. */
const BY_PURPOSE: Readonly<Record<Load['purpose'], number>> = {
  fridge: 3,
  electronics: 3,
  lights: 5,
  sockets: 5,
  pump: 5,
  fan: 5,
  heater: 5,
  cooking: 5,
  medical: 3,
  brakes: 3,
  tools: 5,
  other: 5,
};

export const PATH_LIMIT = { isolatorLink: 3, dcdcInput: 5, chargerOutput: 2, inverter: 3, sun: 3, mains: 2, caravan: 5, everywhere: 5 } as const;

/** Most that a whole path may lose in its cable, per cent; null: only what hangs behind the run is limited. */
export interface Limit {
  readonly percent: number | null;
  readonly why: string;
}

/** A trunk: what hangs behind it says how much it may lose. */
export const TRUNK: Limit = { percent: null, why: 'counted in every path behind it' };

const TRAILERS: readonly string[] = ['caravan'];

/** The limit of a load's whole path, with what set it. */
export function loadLimit(design: Design, purpose: Load['purpose']): Limit {
  if (design.settings.dropSchool === '5 % everywhere') return { percent: PATH_LIMIT.everywhere, why: 'the workshop’s school: 5 % everywhere' };
  const percent = BY_PURPOSE[purpose];
  if (TRAILERS.includes(design.brief.vehicleKind) && percent > PATH_LIMIT.caravan) return { percent: PATH_LIMIT.caravan, why: 'whole path in a caravan' };
  return { percent, why: `limit for ${purpose === 'other' ? 'other loads' : purpose} by purpose` };
}

/** The limit of a run of the supply side. */
export function supplyLimit(design: Design, which: keyof typeof PATH_LIMIT, why: string): Limit {
  const school = design.settings.dropSchool === '5 % everywhere' && (which === 'isolatorLink' || which === 'inverter' || which === 'sun');
  return school ? { percent: PATH_LIMIT.everywhere, why: 'the workshop’s school: 5 % everywhere' } : { percent: PATH_LIMIT[which], why };
}

/** Largest size that a terminal takes, mm². */
export interface Terminal {
  readonly maxAreaMm2: number;
  readonly maxWhy: string;
}

export const TERMINAL = {
  way: { maxAreaMm2: 6, maxWhy: 'a way of a blade block takes 6 mm²' },
  m8: { maxAreaMm2: 95, maxWhy: 'an M8 stud takes 95 mm²' },
  m10: { maxAreaMm2: 120, maxWhy: 'an M10 stud takes 120 mm²' },
} as const satisfies Record<string, Terminal>;

/** From this lasting current on studs of bars, batteries and inverters are M10, A. */
const M10_FROM_A = 200;

export const studFor = (lastingA: number): Terminal => (lastingA >= M10_FROM_A ? TERMINAL.m10 : TERMINAL.m8);

/** The plug or socket that a load is put on by: nothing behind it carries more. */
export const plugOf = ({ plugA }: Pick<Load, 'plugA'>): readonly WeakPart[] =>
  plugA === null ? [] : [{ what: `${plugA} A ${plugA >= 50 ? 'plug' : 'socket'}`, ratingA: plugA, ...(plugA >= 50 ? { kind: 'plug' as const } : {}) }];

/** Smallest wire of a load by custom, mm². */
export const loadLeastMm2 = ({ custom }: Settings, purpose: Load['purpose']): number => (purpose === 'fridge' ? custom.coldMm2 : custom.loadMm2);
