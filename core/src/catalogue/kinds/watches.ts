/** What can be measured. */
export const READS = ['charge', 'volts', 'volts and amps', 'amps of circuits', 'tank', 'tilt', 'temperature'] as const;
export type Reads = (typeof READS)[number];

/** Contacts that switch circuits. */
export interface Outputs {
  readonly count: number;
  /** Most that one carries, A. */
  readonly amps: number;
  /** One when closed, mΩ. */
  readonly milliohm: number;
  /** How the contacts stand when the unit dies. */
  readonly failsTo: 'off' | 'on';
}

/** What measures, shows or switches, and how it is set down; everything that reckons with it goes by this. */
export interface Watches<P> {
  /** What it measures; null: nothing. */
  readonly reads: (part: P) => Reads | null;
  /** Circuits that it measures at once. */
  readonly channels: (part: P) => number;
  /** It is looked at or pressed itself. */
  readonly shows: (part: P) => boolean;
  readonly outputs: (part: P) => Outputs | null;
  /** What it draws all day, mA. */
  readonly ownMa: (part: P) => number;
  /** Where it is set down: by the bars, by the fuse block, at hand. */
  readonly role: (part: P) => 'bus' | 'block' | 'control';
  /** What the id of one that is added begins with. */
  readonly stem: string;
  /** Its name among the gear of a vehicle. */
  readonly calls: (part: P) => string;
  /** Why one is in a plan, in a sentence. */
  readonly why: string;
}
