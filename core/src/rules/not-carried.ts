import { portsIn, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { FIRST_BANK, plant, type Plant } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

type Odd = readonly [id: string, what: string];

/** Banks beyond the one in use and one behind a selector, which are neither wired nor reckoned with. */
function banks(d: Design): readonly Odd[] {
  const behind = Object.entries(d.banks).filter(([, b]) => b.selector !== null);
  const others = Object.entries(d.banks).filter(([id, b]) => b.selector === null && id !== FIRST_BANK.id);
  return [...others, ...behind.slice(1)].map(([id]): Odd => [id, 'a bank beside the one in use and one behind a selector']);
}

/** Switches of a sort beyond the first, which stand in no pole. */
function switches(d: Design): readonly Odd[] {
  const all = Object.entries(d.switchgear).sort(([, a], [, b]) => a.order - b.order);
  return all.filter(([, s], i) => all.findIndex(([, o]) => o.does === s.does) < i).map(([id, s]): Odd => [id, `a ${s.does} beside another`]);
}

/** Fed over another box that charges no bank and is fed itself. */
const isCarried = (p: Plant, id: string): boolean => p.converters.some((c) => c.ref.id === id && c.inputs.some((i) => i.through));

/** A box on the same bank with a DC input of its own can feed it alone. */
function couldFeedAlone(d: Design, catalogue: Catalogue, id: string): string | null {
  const { from, bank } = d.converters[id] ?? {};
  const step = from?.in === 'converters' ? d.converters[from.id] : undefined;
  return step && step.bank === bank && step.from !== null && portsIn(catalogue, step.part)?.dcIn ? from!.id : null;
}

export const notCarried: Rule = {
  id: 'not-carried',
  severity: 'stop',
  harm: 'the plan',
  basis: 'what this plan carries through runs, states and the trip',
  why: 'The job file holds it, but no run, state or figure here does: whoever builds by this plan would miss it.',
  test: ({ design, catalogue }) => {
    const p = plant(design, catalogue);
    const converters = Object.entries(design.converters).flatMap(([id, c]): Odd[] => [
      ...(c.bank !== null && c.bank in design.banks && c.bank !== FIRST_BANK.id ? [[id, 'a box on another bank than the one in use'] as const] : []),
      ...(c.from?.in === 'banks' ? [[id, 'a box fed by the bank that it charges'] as const] : []),
      ...(c.from?.in === 'converters' && !isCarried(p, id) ? [[id, 'a box fed by a box on its own bank, or by one that no vehicle and no lead feeds'] as const] : []),
    ]);
    const arrays = Object.entries(design.arrays).filter(([, a]) => a.into?.in === 'banks' && a.into.id in design.banks && a.into.id !== FIRST_BANK.id);
    const onSteps = Object.entries(design.arrays).flatMap(([id, a]): Odd[] =>
      p.converters.some((c) => c.feeds.length && c.ref.id === a.into?.id) ? [[id, 'panels on a box that feeds another box alone']] : [],
    );
    const odd: readonly Odd[] = [...banks(design), ...switches(design), ...converters, ...onSteps, ...arrays.map(([id]): Odd => [id, 'panels on another bank than the one in use'])];
    return odd.map(([id, what]): Found => ({ at: { stage: 'supply', about: id }, values: { id, what } }));
  },
  presses: ({ at }, { design, catalogue }) => {
    const step = couldFeedAlone(design, catalogue, at.about ?? '');
    return step === null ? [] : [press(design, `Let ${step} feed it alone`, (d) => (d.converters[step]!.bank = null))];
  },
  say: (v) => `${v['id']} is ${v['what']}: it stands in the job, and this plan does not carry it yet.`,
  fix: () => 'Enter what hangs on it as a further rig of the vehicle (Brief, More vehicles), or take it out.',
};
