import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { RunSpec } from '../routes/index.js';

/** What sits in a pole of the house side between its two studs: main switch, shunt, low-voltage disconnect. */
export interface InlinePart {
  readonly id: 'switch' | 'shunt' | 'disconnect';
  readonly name: string;
  readonly pole: 'positive' | 'negative';
  /** Nodes at its studs: towards the battery, towards the loads. */
  readonly a: string;
  readonly b: string;
  readonly ohm: number;
  readonly ratedA: number;
}

/** The two joints of a shunt, beside what its data sheet measures between its screws, ohm. */
const SHUNT_JOINTS_OHM = 50e-6;

/** Nodes of the house side: where the battery's leads end, the bus bars, and what the disconnect feeds. */
export interface HouseNodes {
  readonly main: { readonly plus: string; readonly minus: string };
  readonly fed: { readonly plus: string; readonly minus: string };
}

/** The parts in line that a design calls for, as they stand in the circuit. */
export function inlineParts({ supply }: Design, catalogue: Catalogue): InlinePart[] {
  const mainSwitch = catalogue.find('switch', supply.mainSwitch);
  const shunt = catalogue.find('shunt', supply.shunt);
  const disconnect = catalogue.find('disconnect', supply.disconnect.part);
  const { pole } = supply.disconnect;
  const out: InlinePart[] = [];
  if (mainSwitch) out.push({ id: 'switch', name: 'main switch', pole: 'positive', a: 'main+', b: 'bus+', ohm: mainSwitch.milliohm / 1000, ratedA: mainSwitch.ratedA });
  if (shunt) out.push({ id: 'shunt', name: 'shunt', pole: 'negative', a: 'main-', b: 'bus-', ohm: shunt.dropMv / 1000 / shunt.ratedA + SHUNT_JOINTS_OHM, ratedA: shunt.ratedA });
  if (disconnect) {
    const sign = pole === 'positive' ? '+' : '-';
    out.push({ id: 'disconnect', name: 'low-voltage disconnect', pole, a: `bus${sign}`, b: `fed${sign}`, ohm: disconnect.milliohm / 1000, ratedA: disconnect.ratedA });
  }
  return out;
}

/** What a run's current meets in some of these parts, when it is this share of what they carry. */
export function passing(inline: readonly InlinePart[], ids: readonly InlinePart['id'][], share = 1): Pick<RunSpec, 'inline' | 'weak'> {
  const met = inline.filter((p) => ids.includes(p.id));
  return { inline: met.map((p) => ({ what: p.name, ohm: p.ohm / share })), weak: met.map((p) => ({ what: p.name, ratingA: p.ratedA * share })) };
}

/** Where leads of the house side end, given what is in line. */
export function houseNodes(inline: readonly InlinePart[]): HouseNodes {
  const node = (id: InlinePart['id'], pole: InlinePart['pole'], behind: 'a' | 'b'): string => inline.find((p) => p.id === id && p.pole === pole)?.[behind] ?? (pole === 'positive' ? 'bus+' : 'bus-');
  return {
    main: { plus: node('switch', 'positive', 'a'), minus: node('shunt', 'negative', 'a') },
    fed: { plus: node('disconnect', 'positive', 'b'), minus: node('disconnect', 'negative', 'b') },
  };
}
