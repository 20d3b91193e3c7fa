import { NEARLY_FULL } from '../trip/index.js';
import type { RigPlan, SelectorPlan } from './plan.js';

/** What a bank holds, and what of that decides: its reserve, and whether it was on charge in the step before. */
export interface Held {
  readonly soc: number;
  readonly reserveSoc: number;
  readonly charging: boolean;
}

/** Of the banks that a selector may be turned to the first by what is wanted of it, null: none is any use. */
function best(s: SelectorPlan, here: number, held: (bank: number) => Held, may: (there: Held) => boolean, sooner: (a: Held, b: Held) => boolean): number | null {
  const others = s.banks.filter((b) => b !== here && may(held(b)));
  return others.length ? others.reduce((a, b) => (sooner(held(b), held(a)) ? b : a)) : null;
}

const fuller = (a: Held, b: Held): boolean => a.soc > b.soc;
const emptier = (a: Held, b: Held): boolean => a.soc < b.soc;

/** The bank that a selector is turned to at a full hour by its rule. */
export function turnedTo(s: SelectorPlan, here: number, held: (bank: number) => Held): number {
  const now = held(here);
  const [isLow, isFull] = [now.soc <= now.reserveSoc, now.soc >= NEARLY_FULL];
  if (s.rule === 'charge') {
    const low = isLow ? null : best(s, here, held, (there) => there.soc <= there.reserveSoc, emptier);
    return low ?? (isFull ? best(s, here, held, (there) => there.soc < NEARLY_FULL, emptier) : null) ?? here;
  }
  const other = isLow ? best(s, here, held, (there) => there.soc > now.soc, fuller) : null;
  if (other !== null || s.rule === 'reserve') return other ?? here;
  return (isFull && now.charging ? best(s, here, held, (there) => there.soc < NEARLY_FULL, emptier) : null) ?? here;
}

/** Where selectors stand while a trip is stepped through, and how often those by rule were turned. */
export class Selectors {
  private readonly standing: number[];
  readonly turns: Float64Array;

  constructor(private readonly plan: RigPlan) {
    this.standing = plan.selectors.map((s) => s.banks[0]!);
    this.turns = new Float64Array(plan.selectors.length);
  }

  /** The bank that a selector stands at. */
  at(selector: number): number {
    return this.standing[selector]!;
  }

  /** True of what hangs on no selector, or on one that stands at its bank. */
  reaches(selector: number | null, bank: number): boolean {
    return selector === null || this.standing[selector] === bank;
  }

  turn(day: number, step: number, held: (bank: number) => Held): void {
    const hour = step * this.plan.kH;
    const isFullHour = step % (this.plan.stepsPerDay / 24) === 0;
    // Each looks at the charge, none at the others.
    this.plan.selectors.forEach((s, n) => {
      const here = this.standing[n]!;
      if (s.rule === 'plan') this.standing[n] = s.entries.find((e) => e.on[day] && (!e.hours || e.hours.some(([from, to]) => hour >= from && hour < to)))?.bank ?? s.banks[0]!;
      else if (isFullHour) this.standing[n] = turnedTo(s, here, held);
      if (s.rule !== 'plan' && this.standing[n] !== here) this.turns[n]!++;
    });
  }
}
