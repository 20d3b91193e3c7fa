import { supplyOf } from '../design/index.js';
import type { Rule } from './rule.js';

export const lithiumUnlimited: Rule = {
  id: 'lithium-unlimited',
  severity: 'stop',
  harm: 'fire',
  basis: 'charge limit of the lithium battery; heat of the alternator',
  why: 'A lithium bank takes all that the alternator can give until one of them overheats.',
  test: ({ design, supply }) =>
    supplyOf(design).isolation === 'isolator' && supply.bank?.part.chemistry === 'lfp' ? [{ at: { stage: 'supply', about: 'charger' }, values: { ah: supply.bank.capacityAh } }] : [],
  say: (v) => `A lithium bank of ${v['ah']} Ah behind a plain isolator: nothing limits its current.`,
  fix: () => 'Take a DC-DC charger: it limits the current and has the lithium profile.',
};
