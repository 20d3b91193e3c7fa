import { isMainLead } from '../routes/index.js';
import { stringSource } from '../supply/index.js';
import { figure } from '../quantity/index.js';
import { press } from './press.js';
import type { Facts, Rule } from './rule.js';

/** Above this share over its fair one a battery ages first. */
const FAIR = 1.1;

/** What each parallel battery carries of the main current, by its own resistance and its own lead, A. */
export function sharesOfBank({ runs, supply }: Pick<Facts, 'runs' | 'supply'>): readonly { readonly name: string; readonly amp: number; readonly fairA: number; readonly leadM: number }[] {
  const { bank } = supply;
  const mains = runs.flatMap((r) => (r.ok && isMainLead(r) ? [r] : []));
  if (!bank || mains.length < 2 || mains.length !== bank.strings) return [];
  const total = mains.reduce((sum, r) => sum + r.figures.currentA * r.figures.perPole, 0);
  const siemens = mains.map((r, i) => {
    const shared = r.spec.inline.reduce((sum, p) => sum + p.ohm, 0);
    return 1 / (stringSource(bank, 'typical', i + 1).ohm + Math.max(0, r.figures.ohm - shared));
  });
  const all = siemens.reduce((sum, s) => sum + s, 0);
  return mains.map((r, i) => ({ name: `battery ${i + 1}`, amp: (total * siemens[i]!) / all, fairA: total * bank.stringShares[i]!, leadM: r.spec.outM }));
}

export const unequalLeads: Rule = {
  id: 'unequal-leads',
  severity: 'look',
  harm: 'fire',
  basis: 'batteries in parallel share by their own resistance and their own leads, from the solved network',
  why: 'The battery with the shortest lead works hardest, empties first and ages first; its board may open under a load that all together would carry.',
  test: (facts) => {
    const shares = sharesOfBank(facts);
    const worst = shares.reduce<(typeof shares)[number] | null>((most, s) => (!most || s.amp / s.fairA > most.amp / most.fairA ? s : most), null);
    if (!worst || worst.amp <= FAIR * worst.fairA) return [];
    const say = shares.map((s) => `${s.name} ${figure(s.amp, 0)} A by ${figure(s.leadM, 1)} m`).join(', ');
    return [
      {
        at: { stage: 'runs' as const, about: facts.runs.find(isMainLead)!.spec.id },
        values: { say, fair: figure(worst.fairA, 0), longest: figure(Math.max(...shares.map((s) => s.leadM)), 1), many: shares.length },
      },
    ];
  },
  presses: (_, { design, runs }) => {
    const typed = runs.filter((r) => isMainLead(r) && (r.spec.edit.outM !== undefined || r.spec.edit.backM !== undefined)).map((r) => r.spec.id);
    return typed.length ? [press(design, 'One length for all, as drafted', (d) => typed.forEach((id) => ['outM', 'backM'].forEach((f) => delete d.runs[id]![f as 'outM' | 'backM'])))] : [];
  },
  say: (v) => `The parallel batteries do not share fairly: ${v['say']}; ${v['fair']} A would be fair.`,
  fix: (v) =>
    `Cut all leads to the longest, ${v['longest']} m, of one size.${v['many'] === 2 ? ' Or chain the two and take the positive from one and the negative from the other: taken off diagonally two alike share equally.' : ' Chained batteries share better taken off diagonally, but only bus bars with equal leads share three or more equally.'}`,
};
