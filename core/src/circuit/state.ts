import { z } from 'zod';

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
