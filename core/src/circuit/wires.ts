import { LUG_M8_OHM, lugOhm, resistanceOhmPerM } from '../cable/index.js';
import { batterySource, type BatteryState } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { Circuit, Contact, Source, Wire } from '../network/index.js';
import { wiringCircuit } from '../network/index.js';
import { fuseOhm, type FuseType } from '../protection/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { isBetweenBoxes, bankPosts, terminals, type Fitted, type Posts } from '../routes/index.js';
import { stringSource, type Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import type { Extreme } from './extreme.js';
import { leadSources, usualLead } from './lead.js';
import { OPEN_OHM } from './live.js';

/** Contacts when they are at their worst, against new. */
const WORN_CONTACTS = 2;
/** Of a closed sensing isolator, ohm. */
export const ISOLATOR_OHM = 0.5e-3;
/** Least that a length of cable is taken for: none is no resistor, ohm. */
const LEAST_OHM = 1e-6;
/** The link between two blocks of a string, by its two lugs alone, ohm. */
const SERIES_LINK_OHM = 2 * LUG_M8_OHM;
/** Inner resistance of a running alternator behind its regulated volts, ohm. */
const ALTERNATOR_OHM = 0.03;
export const BATTERY_STATE: Readonly<Record<Extreme, BatteryState>> = { largest: 'stiffest', smallest: 'weakest', typical: 'typical' };

function conductorAtC(run: Fitted, design: Design, extreme: Extreme): number {
  if (extreme === 'largest') return 20;
  return extreme === 'smallest' ? design.settings.insulationC : run.spec.ambientC;
}

/** Ohms of a run's own fuses, those of equal conductors side by side. */
export const fusesOhm = ({ spec, figures }: Pick<Fitted, 'spec' | 'figures'>): number => (spec.ends.length * fuseOhm(figures.fuseType, figures.fuseA)) / figures.perPole;

/**
 * A run as a wire of the network. Its own fuses stand inside the feed, not at its ends: a short just behind one is then
 * met through the cable's lug alone, as with a link in the fuse's place (IEC 60050-441-17-01). Conductor's ohms for each metre and contacts so many times as bad as new. */
export function wireAt({ spec, figures }: Fitted, conductorOhmPerM: number, wear = 1): Wire {
  // Equal conductors side by side are one wire of so many times the copper, the joints and the fuses.
  const { perPole } = figures;
  const perM = conductorOhmPerM / perPole;
  // What it meets by itself: the cores of a return that it has in common lie side by side too.
  const backPerM = spec.multicore?.common ? conductorOhmPerM / spec.multicore.common.cores : perM;
  const lug = (lugOhm(figures.areaMm2) * wear) / perPole;
  const ends = fusesOhm({ spec, figures });
  return {
    id: spec.id,
    from: spec.from,
    to: spec.to,
    feedOhm: Math.max(LEAST_OHM, spec.outM * perM + (spec.plugOhm / 2) * wear + ends),
    backOhm: Math.max(LEAST_OHM, spec.backM * backPerM + (spec.plugOhm / 2) * wear + 2 * lug + spec.chassisOhm * wear),
    fromEndOhm: lug,
    toEndOhm: lug,
  };
}

/** Kinds whose holder stands apart from the post or bar that feeds it, on a lead of its own with one lug more. */
const HELD_APART: ReadonlySet<FuseType> = new Set(['small-bolt-in', 'large-bolt-in', 'class-t']);

/** A run as a wire of the network, in one of the extremes. */
export function wireOf(run: Fitted, design: Design, extreme: Extreme): Wire {
  const { figures, spec } = run;
  const wear = extreme === 'smallest' ? WORN_CONTACTS : 1;
  const wire = wireAt(run, resistanceOhmPerM(figures.areaMm2, design.settings.tinned, conductorAtC(run, design, extreme)), wear);
  if (!HELD_APART.has(figures.fuseType)) return wire;
  const lead = (lugOhm(figures.areaMm2) * wear) / figures.perPole;
  const at = (end: 'from' | 'to'): number => (spec.ends.some((e) => e.at === end) ? lead : 0);
  return { ...wire, fromEndOhm: wire.fromEndOhm + at('from'), toEndOhm: wire.toEndOhm + at('to') };
}

/** Posts of one string of the bank in use, by its number from 1. */
export const houseNode = (bank: Pick<Bank, 'strings'>, string: number): Posts => bankPosts(FIRST_BANK.id, bank.strings > 1 ? string : null);

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
    const one = stringSource(bank, state, i + 1);
    const [volt, ohm] = [one.volt, one.ohm + (bank.inSeries - 1) * SERIES_LINK_OHM];
    return { id: `battery${i + 1}`, ...node, volt, ohm: s.strings.includes(i + 1) ? ohm : Infinity };
  });
  if (!s.startingBattery) return house;
  const inSeries = design.brief.vehicleV / 12;
  const one = batterySource('flooded', design.supply.startingAh, state);
  const starting: Source = { id: 'starting', plus: 'starting+', minus: 'starting-', volt: one.volt * inSeries, ohm: one.ohm * inSeries };
  const alternator: Source = { id: 'alternator', plus: 'starting+', minus: 'starting-', volt: s.alternatorV ?? 0, ohm: s.alternatorV === null ? Infinity : ALTERNATOR_OHM };
  return [...house, starting, alternator];
}

/** Studs of a link's contact, by the run behind it. */
export const contactOf = ({ spec }: Pick<Fitted, 'spec'>): Pick<Contact, 'a' | 'b'> => ({ a: terminals(spec.serves.id, 'in').plus, b: terminals(spec.serves.id, 'out').plus });

/** A link’s contact in the circuit: of several the later ones by their own names. */
export const contactName = (runs: readonly Pick<Fitted, 'spec'>[], run: Pick<Fitted, 'spec'>): string =>
  runs.find((r) => r.spec.role === 'link')?.spec.id === run.spec.id ? 'isolator' : `isolator:${run.spec.serves.id}`;

/** The fitted runs as a circuit: batteries behind their leads, the isolator as asked, no loads. */
export function designCircuit(runs: readonly Fitted[], design: Design, bank: Bank, inline: readonly InlinePart[], s: Sourcing): Circuit {
  const between = runs.filter((r) => r.spec.role === 'link').map((r): Contact => ({ id: contactName(runs, r), ...contactOf(r), ohm: s.isolatorClosed ? ISOLATOR_OHM : OPEN_OHM }));
  const contacts = [...between, ...inline.map(({ id, a, b, ohm }): Contact => ({ id, a, b, ohm }))];
  // What one box brings to another is no way for a battery's current.
  const wires = runs.filter((r) => !isBetweenBoxes(r) && (r.spec.group !== 'sun' || r.spec.to.gear === 'bus')).map((r) => wireOf(r, design, s.extreme));
  const leads = leadSources(runs, (_, nominalV) => usualLead(nominalV, s.extreme));
  return wiringCircuit({ ground: 'bus-', wires, sources: [...sources(design, bank, s), ...leads], contacts });
}
