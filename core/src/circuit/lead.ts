import type { Source } from '../network/index.js';
import { terminals, type Fitted } from '../routes/index.js';
import type { Extreme } from './extreme.js';

/** What stands at an inlet of a lead from another bank. */
export interface LeadSource {
  readonly volt: number;
  readonly ohm: number;
}

/**
 * A bank behind its fuse, its own cable and a plug, for each 12 V: Meridex’s own planning figures. The stiffest is a
 * large lithium bank over a short thick lead, the weakest an old lead-acid one over a long thin one.
 */
const USUAL_LEAD: Readonly<Record<Extreme, LeadSource>> = { largest: { volt: 13.6, ohm: 5e-3 }, typical: { volt: 12.8, ohm: 12e-3 }, smallest: { volt: 12, ohm: 25e-3 } };

/** The usual lead at so many volts. @example usualLead(24, 'typical').volt // 25.6 */
export function usualLead(nominalV: number, extreme: Extreme): LeadSource {
  const { volt, ohm } = USUAL_LEAD[extreme];
  return { volt: (volt * nominalV) / 12, ohm: (ohm * nominalV) / 12 };
}

/** Runs that start at an inlet of a lead. */
export const leadRuns = <R extends Pick<Fitted, 'spec'>>(runs: readonly R[]): readonly R[] => runs.filter((r) => r.spec.from.ref.in === 'inlets');

/** Name of what a lead is in the circuit. */
export const leadId = (inlet: string): string => `lead:${inlet}`;

/** The leads of some runs as sources of the network, each inlet once. */
export function leadSources(runs: readonly Pick<Fitted, 'spec'>[], of: (inlet: string, nominalV: number) => LeadSource): Source[] {
  const inlets = new Map(leadRuns(runs).map(({ spec }) => [spec.from.ref.id, spec.nominalV]));
  return [...inlets].map(([id, nominalV]): Source => ({ id: leadId(id), ...terminals(id), ...of(id, nominalV) }));
}
