import { z } from 'zod';
import type { InlinePart } from './inline.js';

/** What everything in the circuit is doing: any combination may be asked for. */
export const circuitStateSchema = z.object({
  engine: z.enum(['off', 'idle', 'cruise']),
  /** Chargers switched off, into a bank that takes all they give, or into a nearly full one. */
  charging: z.enum(['off', 'bulk', 'absorption']),
  isolator: z.enum(['by itself', 'open', 'closed']),
  /** Loads off, all on, or all on while the one that starts hardest starts; or these alone, by their ids. */
  loads: z.union([z.enum(['off', 'on', 'surge']), z.object({ only: z.array(z.string().max(60)).max(200) })]),
  sun: z.enum(['none', 'dull', 'full']),
  /** What plugs in is plugged in and live: mains at their inlet, leads from other banks. */
  mains: z.boolean(),
  /** Air around the chargers: a mild day's, in which they give all, or that of a hot one in their zone, in which they give less. */
  air: z.enum(['mild', 'hot']),
  mainSwitch: z.enum(['closed', 'open']),
  disconnect: z.enum(['closed', 'open']),
  /** The bank in use, where a selector chooses. */
  bank: z.enum(['first', 'second']),
  /** Where the chargers’ own selector stands, where there is one: on the bank in use, or on the other. */
  charges: z.enum(['the bank in use', 'the other bank']).default('the bank in use'),
  /** Volts at the posts of each house battery; null: what its charge gives. */
  postsV: z.number().min(1).max(70).nullable(),
});

export type CircuitState = z.infer<typeof circuitStateSchema>;

/** Parked at night, everything on: what the battery alone has to give. */
export const PARKED: CircuitState = {
  engine: 'off',
  charging: 'bulk',
  isolator: 'by itself',
  loads: 'on',
  sun: 'none',
  mains: false,
  air: 'mild',
  mainSwitch: 'closed',
  disconnect: 'closed',
  bank: 'first',
  charges: 'the bank in use',
  postsV: null,
};

/** States that people ask about by name. */
export const NAMED_STATES: Readonly<Record<string, CircuitState>> = {
  'parked, everything on': PARKED,
  'parked, the hardest start': { ...PARKED, loads: 'surge' },
  'parked, everything off': { ...PARKED, loads: 'off' },
  'driving, loads on': { ...PARKED, engine: 'cruise', sun: 'full' },
  'driving on a hot day, loads on': { ...PARKED, engine: 'cruise', sun: 'full', air: 'hot' },
  'at idle, loads on': { ...PARKED, engine: 'idle' },
  'driving, nearly full': { ...PARKED, engine: 'cruise', charging: 'absorption', loads: 'off', sun: 'full' },
  'parked in the sun': { ...PARKED, sun: 'full' },
  'on mains': { ...PARKED, mains: true },
  'everything charges, loads off': { ...PARKED, engine: 'cruise', sun: 'full', mains: true, loads: 'off' },
  'main switch open': { ...PARKED, engine: 'cruise', sun: 'full', mainSwitch: 'open' },
  'disconnect open': { ...PARKED, disconnect: 'open' },
};

const APART = { charges: 'the other bank' } as const;

/** The same for a rig whose chargers have a selector of their own: one bank carries the loads while the other is charged. */
const APART_STATES: Readonly<Record<string, CircuitState>> = {
  'driving, loads on one bank, charge into the other': { ...PARKED, ...APART, engine: 'cruise', sun: 'full' },
  'parked in the sun, charge into the other bank': { ...PARKED, ...APART, sun: 'full' },
  'everything charges the other bank': { ...PARKED, ...APART, engine: 'cruise', sun: 'full', mains: true },
};

/** And with a bank behind a selector. */
const SECOND_STATES: Readonly<Record<string, CircuitState>> = {
  'parked on the second bank, everything on': { ...PARKED, bank: 'second' },
  'driving on the second bank, loads on': { ...PARKED, bank: 'second', engine: 'cruise', sun: 'full' },
};

/** States that people ask about by name in a rig with this in line, and with or without a second bank. */
export const namedStates = ({ inline, second }: { readonly inline: readonly Pick<InlinePart, 'id'>[]; readonly second: object | null }): Readonly<Record<string, CircuitState>> => ({
  ...NAMED_STATES,
  ...(second ? SECOND_STATES : {}),
  ...(second && inline.some((p) => p.id === 'charging') ? APART_STATES : {}),
});
