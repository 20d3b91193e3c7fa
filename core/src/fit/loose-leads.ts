import { figure } from '../quantity/index.js';
import type { Fitted } from '../routes/index.js';
import { crimperFor } from './how.js';
import { AT_LARGE, type FitStep } from './step.js';

/** Cutting, crimping and testing a cable with a plug at both ends, min. */
const MAKE_UP_MIN = 25;

const onLeads = (runs: readonly Fitted[]): readonly Fitted[] => runs.filter((r) => r.spec.from.ref.in === 'inlets');

/** What is live from another battery is pulled out before anything else is touched. */
export const unplugSteps = (runs: readonly Fitted[]): FitStep[] =>
  onLeads(runs).map(({ spec }) => ({
    id: `safe-lead-${spec.from.ref.id}`,
    section: 'make safe',
    text: 'Pull out the lead from the other battery, at both of its ends',
    caution: 'It stays live from that battery as long as it is in.',
    place: AT_LARGE,
    tool: null,
    minutes: 2,
    after: [],
  }));

/** The loose cable of a lead from another bank, of the size of the run that it goes into. `looseM`: by inlet; none where the two plugs go into one another. */
export const looseLeadSteps = (runs: readonly Fitted[], looseM: ReadonlyMap<string, number>): FitStep[] =>
  onLeads(runs).flatMap(({ spec, figures }): FitStep[] => {
    const lengthM = looseM.get(spec.from.ref.id) ?? 0;
    return lengthM > 0
      ? [
          {
            id: `loose-${spec.from.ref.id}`,
            section: 'join and tighten',
            text: `Make up the loose lead into the ${spec.to.name}: ${figures.size}, ${figure(lengthM, 1)} m, a plug at both ends`,
            detail: 'Contacts crimped to the cable, not soldered; plus and minus with the meter at both plugs before it is put in; covers on',
            place: AT_LARGE,
            tool: crimperFor(figures.areaMm2),
            minutes: MAKE_UP_MIN,
            after: ['safe-check'],
          },
        ]
      : [];
  });
