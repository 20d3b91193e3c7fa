import type { ConverterPart, MonitorPart, Part, PartOf, Ports } from '../catalogue/index.js';
import type { Ref, RigSwitch } from '../design/index.js';

/** A thing of the rig, with the part of the catalogue that it is. */
export interface Thing<P extends Part | null = Part> {
  readonly ref: Ref;
  readonly part: P;
  readonly quantity: number;
}

/** Batteries that are one bank. */
export interface BankThing {
  readonly ref: Ref;
  /** Its batteries, by what they are: all of one part, or of two that are joined. */
  readonly batteries: readonly Thing<PartOf<'battery'>>[];
  readonly nominalV: number;
  /** Behind a selector; else it is in use always. */
  readonly selected: boolean;
}

/** What stands at a converter's input, and the box between the two, where there is one. */
export type Supplied = { readonly by: 'vehicle' | 'lead' | 'array' | 'inlet'; readonly ref: Ref; readonly through: Ref | null };

/** The inlet of a lead from another bank. */
export interface DcInletThing {
  readonly ref: Ref;
  readonly name: string;
  readonly nominalV: 12 | 24;
  /** Most that its plugs bear, A. */
  readonly mostA: number;
  /** Loose cable between the two plugs, m; 0: the outlet’s own plug goes straight into the inlet. */
  readonly leadM: number;
}

/** A box that charges, converts or inverts. */
export interface ConverterThing extends Thing<ConverterPart> {
  /** What it takes and gives. */
  readonly ports: Ports;
  /** The bank whose battery it is built into; null: it is a box of its own. */
  readonly inside: Ref | null;
  /** Share of its output that it is set to, 0–1. */
  readonly share: number;
  /** What it takes from; none: from its bank. */
  readonly inputs: readonly Supplied[];
  /** The bank that it charges; null: it charges none. */
  readonly charges: Ref | null;
  /** The bank that it draws on; null: it draws on none. */
  readonly draws: Ref | null;
  /** The vehicle whose starting battery it keeps up; null: none. */
  readonly keeps: Ref | null;
  /** Chargers that take what it gives: it charges no bank itself, but brings their feed to other volts. */
  readonly feeds: readonly Ref[];
}

/** Panels that are one array. */
export interface ArrayThing extends Thing<PartOf<'panel'>> {
  readonly inSeries: number;
  /** Share of the light that never reaches it, 0–1. */
  readonly shade: number;
  /** Put out when parked. */
  readonly portable: boolean;
  /** Its own regulator comes with it. */
  readonly regulated: boolean;
  /** Hours that it is out on a day parked. */
  readonly outH: number;
  /** What takes its power; null: nothing. */
  readonly into: Ref | null;
  /** It is taken from only while the bank is below this charge, 0–1; null: always. */
  readonly startBelow: number | null;
}

/** What ties a starting battery and a bank together. */
export type LinkThing = Thing<PartOf<'isolator'>>;

/** Bars, blocks and boards that loads hang on. */
export type DistributionThing = Thing<PartOf<'fuse-block'> | PartOf<'hub'> | null>;

/** What parts something by hand or by itself. */
export interface SwitchThing extends Thing<PartOf<'switch'> | PartOf<'disconnect'>> {
  readonly pole: 'positive' | 'negative';
  readonly does: RigSwitch['does'];
  /** It stands in the lead of every bank and says which is in use. */
  readonly selects: boolean;
}

/** What measures, shows or switches; without a part: what comes with a shunt or an inverter. */
export interface MonitorThing extends Thing<MonitorPart | null> {
  /** Name that a person gave it. */
  readonly name: string;
  /** What it measures; null: what its name says, or nothing. */
  readonly measures: Ref | null;
  /** The remote unit that shows it and tells it what to do. */
  readonly shownBy: Ref | null;
  /** Loads that its outputs switch, those that are there. */
  readonly switches: readonly Ref[];
}

/** A vehicle with an engine, and what of it the rig hangs on. */
export interface VehicleThing {
  readonly ref: Ref;
  readonly nominalV: number;
  /** Something of the rig is joined to its starting battery. */
  readonly joined: boolean;
}
