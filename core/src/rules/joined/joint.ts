import type { Design } from '../../design/index.js';
import type { Mating } from '../../routes/index.js';
import type { Finding, RuleOf } from '../rule.js';

/** A lead between two vehicles, for 230 V or DC, as one of them sees it. */
export interface LeadFacts {
  readonly id: string;
  /** This vehicle gives; else it takes. */
  readonly gives: boolean;
  /** What the other vehicle is called. */
  readonly other: string;
  /** The outlet's load in the giving vehicle, and what it says that it draws, W. */
  readonly outlet: string | null;
  /** The inlet in the taking vehicle. */
  readonly inlet: string | null;
  readonly saysW: number;
  readonly carries: 'mains' | 'dc';
  /** Most that it can carry, W: rating of the inverter that feeds the outlet, or of the plug of a DC lead; null: no inverter feeds it. */
  readonly limitW: number | null;
  /** Of a DC lead: volts of the bank that gives, and those that its inlet is made for. */
  readonly volts: { readonly gives: number; readonly takes: number } | null;
  /** What charges at the other end, W; 0: nothing hangs on the inlet. */
  readonly takesW: number;
  /** Hours of the trip in which the site and the lead want the same inlet. */
  readonly siteH: number;
  /** Hours of the trip in which the giving bank rests at its floor, or could not carry the lead, though the lead is plugged in. */
  readonly restsH: number;
}

/** A finding that a vehicle has only when it is plugged into another than the usual one. */
export interface Elsewhere {
  readonly other: string;
  readonly finding: Finding;
}

/** What rules about several vehicles look at, for one of them. */
export interface JoinedFacts {
  /** The vehicle as a design of its own. */
  readonly design: Design;
  readonly leads: readonly LeadFacts[];
  /** Halves of plugs of two vehicles that go into one another. */
  readonly across: readonly Mating[];
  readonly elsewhere: readonly Elsewhere[];
}

/** A rule about what joins vehicles. */
export type JoinedRule = RuleOf<JoinedFacts>;
