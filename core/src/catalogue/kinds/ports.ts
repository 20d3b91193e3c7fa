import type { Chemistry } from './battery/chemistry.js';

/** DC that it takes from a vehicle’s starting side, a bank or another box. */
export interface DcIn {
  /** Volts that it takes, and gives to its bank. */
  readonly inputV: 12 | 24;
  readonly outputV: 12 | 24;
  /** Most that it gives of it, A. */
  readonly outputA: number;
  readonly efficiency: number;
  /** Below this it stops, V. */
  readonly cutOutV: number;
  /** Largest input fuse that its maker allows, A; null: not stated. */
  readonly maxFuseA: number | null;
  /** Drawn while it waits, mA. */
  readonly standbyMa: number;
  /** It can be set to half its output. */
  readonly halfPower: boolean;
  /** It stops charging a lithium bank below its range by a probe of its own. */
  readonly coldLock: boolean;
  readonly profiles: readonly Chemistry[];
}

/** Panels that it regulates. */
export interface SunIn {
  /** How it makes their volts into a battery’s. */
  readonly regulates: 'mppt' | 'pwm';
  readonly maxV: number;
  readonly maxA: number;
  /** How the sun stands beside what else feeds the box. */
  readonly beside: 'nothing' | 'sun first' | 'vehicle first' | 'sun alone';
}

/** Mains that it charges from. */
export interface MainsIn {
  readonly outputA: number;
  /** What it takes of the outlet meanwhile, W. */
  readonly acW: number;
}

/** Mains that it makes. */
export interface MainsOut {
  readonly ratedW: number;
  /** For some seconds, W. */
  readonly surgeW: number;
  readonly waveform: 'sine' | 'modified';
}

/** DC that it gives to a vehicle’s starting battery, out of its bank. */
export interface StartOut {
  /** Volts of its bank, and of the starting battery. */
  readonly inputV: 12 | 24;
  readonly outputV: 12 | 24;
  readonly outputA: number;
  readonly efficiency: number;
  /** It gives only while its bank stands above this, V. */
  readonly aboveV: number;
  /** What it holds at the starting battery, V. */
  readonly holdV: number;
  /** What it draws itself, mA. */
  readonly ownMa: number;
}

/** What a box takes and gives; null: it has no such port. Everything that reckons with a box goes by its ports and by nothing else of it. */
export interface Ports {
  /** Volts on the side of its bank; null: it goes by the bank. */
  readonly bankV: 12 | 24 | null;
  readonly dcIn: DcIn | null;
  readonly sunIn: SunIn | null;
  readonly mainsIn: MainsIn | null;
  readonly mainsOut: MainsOut | null;
  readonly startOut: StartOut | null;
}

export type Port = 'dcIn' | 'sunIn' | 'mainsIn' | 'mainsOut' | 'startOut';

/** What the heat of a box hangs on beside its own plate. */
export interface Around {
  readonly bankV: number | null;
  readonly houseV: number;
  /** Watts of the panels on it. */
  readonly sunW: number;
}

/** How a kind of box converts, and how it is set down in a vehicle. */
export interface Converts<P> {
  readonly ports: (part: P) => Ports;
  /** What the id of one that is added begins with. */
  readonly stem: string;
  /** Where it is set down, how it is drawn, and what it is there for. */
  readonly role: 'charger' | 'controller' | 'mains' | 'inverter';
  /** Its name among the gear of a vehicle. */
  readonly calls: (part: P) => string;
  /** Lost as heat at full output, W. */
  readonly heatW: (part: P, around: Around) => number;
  /** Why one is in a plan, in a sentence. */
  readonly why: string;
}

export const NO_PORTS: Ports = { bankV: null, dcIn: null, sunIn: null, mainsIn: null, mainsOut: null, startOut: null };
