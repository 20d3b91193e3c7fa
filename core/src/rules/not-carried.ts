import type { Design } from '../design/index.js';
import { FIRST_BANK } from '../plant/index.js';
import type { Found, Rule } from './rule.js';

type Odd = readonly [id: string, what: string];

/** Banks beyond the one in use and one behind a selector, which are neither wired nor reckoned with. */
function banks(d: Design): readonly Odd[] {
  const behind = Object.entries(d.banks).filter(([, b]) => b.selector !== null);
  const others = Object.entries(d.banks).filter(([id, b]) => b.selector === null && id !== FIRST_BANK.id);
  return [...others, ...behind.slice(1)].map(([id]): Odd => [id, 'a bank beside the one in use and one behind a selector']);
}

export const notCarried: Rule = {
  id: 'not-carried',
  severity: 'stop',
  harm: 'the plan',
  basis: 'what this plan carries through runs, states and the trip',
  why: 'The job file holds it, but no run, state or figure here does: whoever builds by this plan would miss it.',
  test: ({ design }) => {
    const converters = Object.entries(design.converters).flatMap(([id, c]): Odd[] => [
      ...(c.bank !== null && c.bank in design.banks && c.bank !== FIRST_BANK.id ? [[id, 'a box on another bank than the one in use'] as const] : []),
      ...(c.from?.in === 'banks' || c.from?.in === 'converters' ? [[id, 'a box fed by the bank that it charges, or by a box on it'] as const] : []),
    ]);
    const arrays = Object.entries(design.arrays).filter(([, a]) => a.into?.in === 'banks' && a.into.id in design.banks && a.into.id !== FIRST_BANK.id);
    const odd: readonly Odd[] = [...banks(design), ...converters, ...arrays.map(([id]): Odd => [id, 'panels on another bank than the one in use'])];
    return odd.map(([id, what]): Found => ({ at: { stage: 'supply', about: id }, values: { id, what } }));
  },
  say: (v) => `${v['id']} is ${v['what']}: it stands in the job, and this plan does not carry it yet.`,
  fix: () => 'Enter what hangs on it as a further rig of the vehicle (Brief, More vehicles), or take it out.',
};
