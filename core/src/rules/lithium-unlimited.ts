import { plant } from '../plant/index.js';
import type { Found, Rule } from './rule.js';

export const lithiumUnlimited: Rule = {
  id: 'lithium-unlimited',
  severity: 'stop',
  harm: 'fire',
  basis: 'charge limit of the lithium battery; heat of the alternator',
  why: 'A lithium bank takes all that the alternator can give until one of them overheats.',
  test: ({ design, catalogue, supply: { bank, second } }) => {
    const lithium = [bank, second].find((b) => b?.part.chemistry === 'lfp');
    return lithium ? plant(design, catalogue).links.map(({ ref }): Found => ({ at: { stage: 'supply', about: ref.id }, values: { ah: lithium.capacityAh } })) : [];
  },
  say: (v) => `A lithium bank of ${v['ah']} Ah behind a plain isolator: nothing limits its current.`,
  fix: () => 'Take a DC-DC charger: it limits the current and has the lithium profile.',
};
