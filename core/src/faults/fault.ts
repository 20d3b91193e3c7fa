import type { CircuitFault } from '../circuit/index.js';

/** What may be wrong: one change to one element, with how to mend it. */
export interface Fault {
  readonly id: string;
  /** In words, for the fitter. */
  readonly name: string;
  /** How often it is met beside the others: a default from the trade's experience, of any sum. */
  readonly prior: number;
  readonly change: CircuitFault;
  /** Run or gear that it is in, to be shown; empty: the whole. */
  readonly about: string;
  /** What mends it, and what is measured again afterwards. */
  readonly fix: string;
  /** It shows only while loads are on. */
  readonly underLoad?: true;
  /** What changes no current and no volts but what a test by itself shows. */
  readonly shows?: Shows;
}

/** What a fault does to readings that stand outside the network. */
export interface Shows {
  /** Run whose fuse is blown: all volts stand across it. */
  readonly blown?: string;
  /** Open-circuit volts of an array at its plug, as a share of what they should be. */
  readonly openShare?: Readonly<Record<string, number>>;
  /** Loads whose return misses the shunt. */
  readonly unseen?: readonly string[];
  /** Volts on a charger's trigger wire as a share of the starting battery's, engine off and running. */
  readonly triggerShare?: Readonly<Record<string, number>>;
}

/** Nothing is wrong in the wiring: the complaint has another cause. */
export const SOUND: Fault = {
  id: 'sound',
  name: 'nothing is wrong in what can be measured',
  prior: 2,
  change: {},
  about: '',
  fix: 'Ask again how it is used: a trip longer than planned, a setting, a bank that was never full, an appliance that switches itself off.',
};
