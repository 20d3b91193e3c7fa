import type { Catalogue } from '../catalogue/index.js';
import type { Brief, Design } from '../design/index.js';
import { plant } from '../plant/index.js';
import { TRACE_VOLTS, type TraceVolts } from './alternator.js';
import type { Bank } from './bank.js';

export interface IsolationDecision {
  readonly advised: 'dcdc' | 'isolator';
  /** Why, in the order in which the reasons weigh. */
  readonly reasons: readonly string[];
  readonly chosen: 'dcdc' | 'isolator' | 'none';
  readonly agrees: boolean;
}

const TRAILERS: readonly string[] = ['caravan', 'camper'];

/** The alternator as the plan takes it: in the school that has a variable one fixed by the dealer, a fixed one. */
export function alternatorOf(design: Design): Brief['alternator'] {
  const { alternator } = design.brief;
  const fixed = alternator.voltage === 'variable' && design.settings.variableSchool === 'voltage fixed by the dealer';
  return fixed ? { ...alternator, voltage: 'fixed', measured: null } : alternator;
}

/** Volts at the starting battery in each phase of a drive, as measured or as the alternator's kind holds them. */
export function driveVolts(design: Design): TraceVolts {
  const { measured, voltage } = alternatorOf(design);
  if (measured) return measured;
  const scale = design.brief.vehicleV / 12;
  const v = TRACE_VOLTS[voltage];
  return { coldIdleV: v.coldIdleV * scale, cruiseV: v.cruiseV * scale, overrunV: v.overrunV * scale, warmIdleV: v.warmIdleV * scale };
}

/** How the starting battery should be kept apart from the house, and why. Both schools stay open; this is the advice. */
export function decideIsolation(design: Design, catalogue: Catalogue, bank: Bank | null): IsolationDecision {
  const { brief, supply } = design;
  const { links, converters } = plant(design, catalogue);
  const chosen = links.length ? 'isolator' : converters.some((c) => c.inputs.some((i) => i.by === 'vehicle')) ? 'dcdc' : 'none';
  const reasons: string[] = [];
  if (brief.vehicleV !== supply.houseV) reasons.push(`the vehicle has ${brief.vehicleV} V and the house side ${supply.houseV} V: only a converting charger joins them`);
  if (alternatorOf(design).voltage === 'variable') reasons.push('the alternator varies its volts: a sensing isolator may never close, and would drop out on every trip');
  if (bank?.part.chemistry === 'lfp') reasons.push('a lithium bank needs its current limited and its own profile');
  if (bank && bank.part.chemistry === 'gel') reasons.push('gel wants 14.2 V and no more; a starting circuit does not hold to that');
  if (TRAILERS.includes(brief.vehicleKind)) reasons.push('the feed to a trailer is long: a charger at its far end makes up for the drop');
  const advised = reasons.length ? 'dcdc' : 'isolator';
  if (!reasons.length) reasons.push('fixed alternator volts, lead-acid on both sides and a short run: a sensing isolator does it simply and cheaply');
  return { advised, reasons, chosen, agrees: chosen === advised };
}
