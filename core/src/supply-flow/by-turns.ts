import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { simulateJoined, type JoinedBank } from '../couplings/index.js';
import { asOfNow, type Design } from '../design/index.js';
import type { Plant } from '../plant/index.js';
import type { Flow, FlowKind, Lowest } from './picture.js';

/** What two banks behind a selector each have of what comes and goes. */
export interface ByTurns {
  readonly flows: (all: readonly Flow[]) => readonly Flow[];
  readonly lows: Readonly<Record<string, Lowest>>;
}

export const dayOf = (hours: number): number => Math.max(1, Math.ceil(hours / 24 - 1e-9));

const SORT: Readonly<Record<Exclude<FlowKind, 'use'>, keyof JoinedBank['broughtAh']>> = { engine: 'engine', sun: 'sun', mains: 'plug', lead: 'plug' };
const sum = (list: readonly number[]): number => list.reduce((s, x) => s + x, 0);
const shareOf = (part: number, rest: number): number => (part + rest > 0 ? part / (part + rest) : 0);

/**
 * The trip of one vehicle knows its two banks as one sum; the law of the whole rig, which turns the same selectors, tells
 * them apart. Null: there is one bank, or no trip.
 */
export function byTurns(design: Design, catalogue: Catalogue, a: Pick<Assessment, 'trip' | 'supply'>, p: Plant): ByTurns | null {
  const second = p.banks.find((b) => b.selected)?.ref.id;
  const [first] = p.banks.filter((b) => !b.selected).map((b) => b.ref.id);
  if (first === undefined || second === undefined || !a.trip || !a.supply.bank) return null;
  const joined = simulateJoined({ ...asOfNow(design), vehicles: {}, couplings: {} }, catalogue);
  const [one, two] = joined?.banks ?? [];
  if (!joined || !one || !two) return null;
  const [of1, of2] = [joined.result.banks[one.id]!, joined.result.banks[two.id]!];
  const drawn = shareOf(sum(of2.loadAh), sum(of1.loadAh));
  const share = (kind: FlowKind): number => (kind === 'use' ? drawn : shareOf(two.broughtAh[SORT[kind]], one.broughtAh[SORT[kind]]));
  const reserve = 1 - a.supply.bank.usableShare;
  const low = ({ minSoc, minSocAtH }: typeof of1): Lowest => ({ soc: minSoc, day: dayOf(minSocAtH), reserve });
  // Where it hangs is said once, at the first bank.
  const split = (f: Flow): readonly Flow[] => {
    const end = f.to === first ? 'to' : f.from === first ? 'from' : null;
    if (!end) return [f];
    const there = f.ahDay * share(f.kind);
    return there > 0
      ? [
          { ...f, ahDay: f.ahDay - there },
          { ...f, [end]: second, ahDay: there, hangs: null },
        ]
      : [f];
  };
  return { flows: (all) => all.flatMap(split), lows: { [first]: low(of1), [second]: low(of2) } };
}
