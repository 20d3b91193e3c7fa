import { lugOhm, resistanceOhmPerM } from '../cable/index.js';
import { batterySource, type BatteryState } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { Circuit, Contact, Source, Wire } from '../network/index.js';
import { wiringCircuit } from '../network/index.js';
import { fuseOhm } from '../protection/index.js';
import type { SizedRun } from '../routes/index.js';
import { stringSource, type Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import { OPEN_OHM } from './live.js';

/** Cold and stiff for the largest short, hot and weak for the smallest, or as met on the day. */
export type Extreme = 'largest' | 'smallest' | 'typical';

/** Contacts when they are at their worst, against new. */
const WORN_CONTACTS = 2;
/** Of a closed sensing isolator, ohm. */
export const ISOLATOR_OHM = 0.5e-3;
/** Least that a length of cable is taken for: none is no resistor, ohm. */
const LEAST_OHM = 1e-6;
/** Inner resistance of a running alternator behind its regulated volts, ohm. */
const ALTERNATOR_OHM = 0.03;
const BATTERY_STATE: Readonly<Record<Extreme, BatteryState>> = { largest: 'stiffest', smallest: 'weakest', typical: 'typical' };

export type Fitted = Extract<SizedRun, { ok: true }>;

function conductorAtC(run: Fitted, design: Design, extreme: Extreme): number {
  if (extreme === 'largest') return 20;
  return extreme === 'smallest' ? design.settings.insulationC : run.spec.ambientC;
}

/** A run as a wire of the network, with a conductor's ohms for each metre and contacts so many times as bad as new. */
export function wireAt({ spec, figures }: Fitted, conductorOhmPerM: number, wear = 1): Wire {
  // Equal conductors side by side are one wire of so many times the copper, the joints and the fuses.
  const { perPole } = figures;
  const perM = conductorOhmPerM / perPole;
  const lug = (lugOhm(figures.areaMm2) * wear) / perPole;
  const fuse = fuseOhm(figures.fuseType, figures.fuseA) / perPole;
  const fused = (at: 'from' | 'to'): number => (spec.ends.some((e) => e.at === at) ? fuse : 0);
  return {
    id: spec.id,
    from: spec.from,
    to: spec.to,
    feedOhm: Math.max(LEAST_OHM, spec.outM * perM + (spec.plugOhm / 2) * wear),
    backOhm: Math.max(LEAST_OHM, spec.backM * perM + (spec.plugOhm / 2) * wear + 2 * lug + spec.chassisOhm * wear),
    fromEndOhm: lug + fused('from'),
    toEndOhm: lug + fused('to'),
  };
}

/** A run as a wire of the network, in one of the extremes. */
export function wireOf(run: Fitted, design: Design, extreme: Extreme): Wire {
  return wireAt(run, resistanceOhmPerM(run.figures.areaMm2, design.settings.tinned, conductorAtC(run, design, extreme)), extreme === 'smallest' ? WORN_CONTACTS : 1);
}

/** Name of the node pair of one string of the house bank, by its number from 1. */
export const houseNode = (bank: Pick<Bank, 'strings'>, string: number): string => (bank.strings > 1 ? `house.${string}` : 'house');

export interface Sourcing {
  readonly extreme: Extreme;
  /** Strings of the house bank that take part, from 1. */
  readonly strings: readonly number[];
  readonly startingBattery: boolean;
  readonly alternatorV: number | null;
  readonly isolatorClosed: boolean;
}

function sources(design: Design, bank: Bank, s: Sourcing): Source[] {
  const state = BATTERY_STATE[s.extreme];
  // What takes no part stays in its place without conducting: every circuit of a design has one shape, solved in one order.
  const house = bank.stringParts.map((_, i): Source => {
    const node = houseNode(bank, i + 1);
    const { volt, ohm } = stringSource(bank, state, i + 1);
    return { id: `battery${i + 1}`, plus: `${node}+`, minus: `${node}-`, volt, ohm: s.strings.includes(i + 1) ? ohm : Infinity };
  });
  if (!s.startingBattery) return house;
  const inSeries = design.brief.vehicleV / 12;
  const one = batterySource('flooded', design.supply.startingAh, state);
  const starting: Source = { id: 'starting', plus: 'starting+', minus: 'starting-', volt: one.volt * inSeries, ohm: one.ohm * inSeries };
  const alternator: Source = { id: 'alternator', plus: 'starting+', minus: 'starting-', volt: s.alternatorV ?? 0, ohm: s.alternatorV === null ? Infinity : ALTERNATOR_OHM };
  return [...house, starting, alternator];
}

/** The fitted runs as a circuit: batteries behind their leads, the isolator as asked, no loads. */
export function designCircuit(runs: readonly Fitted[], design: Design, bank: Bank, inline: readonly InlinePart[], s: Sourcing): Circuit {
  const isolator = runs.find((r) => r.spec.id === 'isolator-bus');
  const between: Contact[] = isolator ? [{ id: 'isolator', a: 'charger.in+', b: 'charger.out+', ohm: s.isolatorClosed ? ISOLATOR_OHM : OPEN_OHM }] : [];
  const contacts = [...between, ...inline.map(({ id, a, b, ohm }): Contact => ({ id, a, b, ohm }))];
  const wires = runs.filter((r) => r.spec.group !== 'sun' || r.spec.to.gear === 'bus').map((r) => wireOf(r, design, s.extreme));
  return wiringCircuit({ ground: 'bus-', wires, sources: sources(design, bank, s), contacts });
}
