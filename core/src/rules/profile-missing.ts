import { CHEMISTRY } from '../catalogue/index.js';
import { dcChargersOf, type Bank } from '../supply/index.js';
import type { Found, Rule, Values } from './rule.js';

export const profileMissing: Rule = {
  id: 'profile-missing',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'charge profiles of the charger’s data sheet against the bank’s chemistry',
  why: 'On the wrong profile a bank is never full, or gassed and ruined.',
  test: ({ design, catalogue, supply: { bank, second } }) => {
    const missing = (b: Bank, more: Values): Found[] =>
      dcChargersOf(design, catalogue)
        .filter(({ port }) => !port.profiles.includes(b.part.chemistry))
        .map(({ id, part, port }) => ({
          at: { stage: 'supply', about: id },
          values: { charger: part.name, bank: CHEMISTRY[b.part.chemistry].name, has: port.profiles.map((p) => CHEMISTRY[p].name).join(', '), ...more },
        }));
    const other = second && second.part.chemistry !== bank?.part.chemistry ? missing(second, { what: 'second bank' }) : [];
    return [...(bank ? missing(bank, {}) : []), ...other];
  },
  say: (v) => `${v['charger']} has no profile for ${v['bank']}${v['what'] ? ', which the second bank is' : ''}; it has ${v['has']}.`,
  fix: () => 'A charger with the bank’s profile, or a bank that the charger knows.',
};
