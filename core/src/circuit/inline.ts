import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import type { RunSpec } from '../routes/index.js';
import { distributionOf } from '../supply/index.js';

/** What sits in a pole of the house side between its two studs: main switch, selector of the bank on charge, shunt, low-voltage disconnect. */
export interface InlinePart {
  readonly id: 'switch' | 'charging' | 'shunt' | 'disconnect';
  readonly name: string;
  readonly pole: 'positive' | 'negative';
  /** Nodes at its studs: towards the battery, towards the loads. */
  readonly a: string;
  readonly b: string;
  readonly ohm: number;
  readonly ratedA: number;
  /** It has a stud for each of two banks. */
  readonly selects: boolean;
  /** It is part of the hub board, no piece of gear of its own. */
  readonly onHub: boolean;
  /** Why it is there. */
  readonly reason: string;
}

/** The two joints of a shunt, beside what its data sheet measures between its screws, ohm. */
const SHUNT_JOINTS_OHM = 50e-6;

/** Nodes of the house side: where the battery's leads end, the bus bars, and what the disconnect feeds. */
export interface HouseNodes {
  readonly main: { readonly plus: string; readonly minus: string };
  readonly fed: { readonly plus: string; readonly minus: string };
  /** Where what goes straight off the battery’s post returns: before every switch, behind the shunt. */
  readonly straight: { readonly minus: string };
  /** Where chargers give what they give. */
  readonly charge: { readonly plus: string; readonly minus: string };
}

const REASON: Readonly<Record<InlinePart['id'], string>> = {
  switch: 'parts the house battery from everything by hand: the first thing to reach for in a fault, and before work',
  charging: 'chooses the bank that is charged, apart from the one that the loads hang on; its studs are linked to those of the other selector, behind the same main fuses',
  shunt: 'all that enters or leaves the battery passes it, so charge can be counted; nothing else may be tied to its battery side',
  disconnect: 'cuts the loads off before the battery is empty; its own board is only the last line. The inverter has its own cut-off',
};

/** The parts in line that a design calls for, as they stand in the circuit. */
export function inlineParts(design: Design, catalogue: Catalogue): InlinePart[] {
  const { mainSwitch, chargingSelector, shunt, disconnect } = distributionOf(design, catalogue);
  const selects = plant(design, catalogue).banks.some((b) => b.selected);
  const out: InlinePart[] = [];
  // What chooses between two banks stands in their positives; and a hub board has its shunt and its bar in one.
  const inNegative = mainSwitch?.pole === 'negative' && !selects && !shunt?.onHub;
  if (mainSwitch)
    out.push({
      id: 'switch',
      name: selects ? (chargingSelector ? 'load selector' : 'selector') : 'main switch',
      ...(inNegative ? { pole: 'negative', a: shunt ? COUNTED_MINUS : MAIN_NODES.minus, b: 'bus-' } : { pole: 'positive', a: MAIN_NODES.plus, b: 'bus+' }),
      ohm: mainSwitch.milliohm / 1000,
      ratedA: mainSwitch.ratedA,
      selects,
      onHub: mainSwitch.onHub,
      reason: REASON.switch,
    });
  if (chargingSelector)
    out.push({
      id: 'charging',
      name: 'charging selector',
      pole: 'positive',
      a: mainSwitch && !inNegative ? MAIN_NODES.plus : 'bus+',
      b: CHARGE_PLUS,
      ohm: chargingSelector.milliohm / 1000,
      ratedA: chargingSelector.ratedA,
      selects,
      onHub: false,
      reason: REASON.charging,
    });
  if (shunt)
    out.push({
      id: 'shunt',
      name: 'shunt',
      pole: 'negative',
      a: MAIN_NODES.minus,
      b: mainSwitch && inNegative ? COUNTED_MINUS : 'bus-',
      ohm: shunt.dropMv / 1000 / shunt.ratedA + (shunt.onHub ? 0 : SHUNT_JOINTS_OHM),
      ratedA: shunt.ratedA,
      selects: false,
      onHub: shunt.onHub,
      reason: REASON.shunt,
    });
  if (disconnect) {
    const { pole } = disconnect;
    const sign = pole === 'positive' ? '+' : '-';
    out.push({
      id: 'disconnect',
      name: 'low-voltage disconnect',
      pole,
      a: `bus${sign}`,
      b: pole === 'positive' ? FED_NODES.plus : FED_NODES.minus,
      ohm: disconnect.milliohm / 1000,
      ratedA: disconnect.ratedA,
      selects: false,
      onHub: disconnect.onHub,
      reason: REASON.disconnect,
    });
  }
  return out;
}

/** What a run's current meets in some of these parts, when it is this share of what they carry. */
export function passing(inline: readonly InlinePart[], ids: readonly InlinePart['id'][], share = 1): Pick<RunSpec, 'inline' | 'limitingParts'> {
  const met = inline.filter((p) => ids.includes(p.id));
  return { inline: met.map((p) => ({ what: p.name, ohm: p.ohm / share, kind: p.id })), limitingParts: met.map((p) => ({ what: p.name, ratingA: p.ratedA * share, kind: p.id })) };
}

/** Nodes where the battery’s leads end before what is in line, and of what the disconnect feeds. */
export const MAIN_NODES = { plus: 'main+', minus: 'main-' } as const;
/** Between the shunt and a main switch that stands in the negative: what goes straight off the battery’s post returns here, counted and not switched. */
export const COUNTED_MINUS = 'counted-';
/** The bar of the chargers’ outputs behind a charging selector. */
export const CHARGE_PLUS = 'charge+';
export const FED_NODES = { plus: 'fed+', minus: 'fed-' } as const;

/** Where leads of the house side end, given what is in line. */
export function houseNodes(inline: readonly InlinePart[]): HouseNodes {
  const node = (id: InlinePart['id'], pole: InlinePart['pole'], behind: 'a' | 'b'): string => inline.find((p) => p.id === id && p.pole === pole)?.[behind] ?? (pole === 'positive' ? 'bus+' : 'bus-');
  return {
    main: { plus: node('switch', 'positive', 'a'), minus: inline.some((p) => p.id === 'shunt') ? node('shunt', 'negative', 'a') : node('switch', 'negative', 'a') },
    straight: { minus: inline.some((p) => p.id === 'shunt') ? node('shunt', 'negative', 'b') : node('switch', 'negative', 'a') },
    fed: { plus: node('disconnect', 'positive', 'b'), minus: node('disconnect', 'negative', 'b') },
    charge: { plus: node('charging', 'positive', 'b'), minus: 'bus-' },
  };
}
