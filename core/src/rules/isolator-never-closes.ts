import { plant } from '../plant/index.js';
import { linkShare } from '../supply/index.js';
import type { Found, Rule } from './rule.js';

/** Below this share of a drive an isolator hardly charges anything. */
const HARDLY = 0.5;

export const isolatorNeverCloses: Rule = {
  id: 'isolator-never-closes',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'closing volts and waiting times of a sensing isolator, held against the alternator’s volts through a drive',
  why: 'The house battery is never charged while driving, and nobody notices until it is flat.',
  test: ({ design, catalogue, supply: { trace } }) =>
    plant(design, catalogue).links.flatMap((l): Found[] => {
      const closed = linkShare(design, l);
      if (closed >= HARDLY) return [];
      const values = { close: l.part.closeV, open: l.part.openV, share: Math.round(100 * closed), measured: trace.measured ? 1 : 0 };
      return [{ at: { stage: 'supply', about: l.ref.id }, values, ...(closed > 0 ? { severity: 'look' as const } : {}) }];
    }),
  say: (v) =>
    `${v['share'] === 0 ? 'The isolator never closes' : `The isolator is closed for only ${v['share']} % of a drive`}: it wants ${v['close']} V and lets go at ${v['open']} V, and this alternator’s volts (${v['measured'] ? 'as measured' : 'default of a variable one'}) do not hold that.`,
  fix: () => 'Take a DC-DC charger with a trigger; or have the voltage fixed by the dealer, with its cost in fuel, emissions and warranty.',
};
