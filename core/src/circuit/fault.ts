/** Something wrong in a circuit, as it changes what conducts, gives and draws; what is not said is sound. */
export interface CircuitFault {
  /** Resistance added to a conductor or contact, ohm, by the id of its resistor; {@link OPEN_OHM} parts it. */
  readonly addOhm?: Readonly<Record<string, number>>;
  /** What draws nothing though it is fed, by the id under which it draws. */
  readonly drawsNothing?: readonly string[];
  /** What gives nothing though it is fed and switched on. */
  readonly givesNothing?: readonly string[];
  /** Volts that a charger holds in place of its own, by its id. */
  readonly setV?: Readonly<Record<string, number>>;
  /** Share of their light's current that panels still give, by array. */
  readonly sunShare?: Readonly<Record<string, number>>;
  /** Trigger of a charger from the vehicle. */
  readonly trigger?: Readonly<Record<string, 'dead' | 'always live'>>;
  /** Leads from other banks that bring nothing, by their inlets. */
  readonly leadOut?: readonly string[];
  readonly isolator?: 'open' | 'closed';
  readonly mainSwitch?: 'open';
  readonly disconnect?: 'open';
  /** Batteries by the id of their source: volts at rest below what they should be, and how many times their resistance. */
  readonly battery?: Readonly<Record<string, { readonly belowV: number; readonly timesOhm: number }>>;
}

/** What a voltmeter and what is left of a dead branch bleed away: an end that nothing feeds reads 0, ohm. */
export const BLEED_OHM = 1e4;
