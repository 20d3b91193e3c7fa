import { CHEMISTRY } from '../catalogue/index.js';
import { dcChargersOf } from '../supply/index.js';
import type { Rule } from './rule.js';

export const profileMissing: Rule = {
  id: 'profile-missing',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'charge profiles of the charger’s data sheet against the bank’s chemistry',
  why: 'On the wrong profile a bank is never full, or gassed and ruined.',
  test: ({ design, catalogue, supply: { bank } }) => {
    if (!bank) return [];
    const { chemistry } = bank.part;
    return dcChargersOf(design, catalogue)
      .filter(({ port }) => !port.profiles.includes(chemistry))
      .map(({ id, part, port }) => ({
        at: { stage: 'supply' as const, about: id },
        values: { charger: part.name, bank: CHEMISTRY[chemistry].name, has: port.profiles.map((p) => CHEMISTRY[p].name).join(', ') },
      }));
  },
  say: (v) => `${v['charger']} has no profile for ${v['bank']}; it has ${v['has']}.`,
  fix: () => 'A charger with the bank’s profile, or a bank that the charger knows.',
};
