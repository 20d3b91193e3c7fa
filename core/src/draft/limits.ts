import type { Design, Load } from '../design/index.js';

/** Drop allowed from the battery's terminals to the load's own, per cent of nominal volts, by purpose. */
const BY_PURPOSE: Readonly<Record<Load['purpose'], number>> = {
  fridge: 3,
  electronics: 3,
  lights: 5,
  sockets: 5,
  pump: 5,
  heater: 5,
  cooking: 5,
  medical: 3,
  tools: 5,
  other: 5,
};

export const PATH_LIMIT = { isolatorLink: 3, dcdcInput: 5, chargerOutput: 2, inverter: 3, houseMain: 1.3, heavyMain: 1.6, blockFeed: 2.2, sun: 3, mains: 2, caravan: 5, everywhere: 5 } as const;

export interface Limit {
  readonly percent: number;
  readonly why: string;
}

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
