import { cuttingPlan } from '../cutting/index.js';
import { PLANNING_PRICES } from './prices.js';
import type { Cut } from './cut.js';

/** A length that a shop sells, and its price over that of so many single metres: a default, as price lists ask by the metre. */
interface Sold {
  readonly lengthM: number;
  readonly share: number;
}

/** Up to this copper cable comes on rolls; thicker is cut off the drum by the whole metre, mm². */
const ROLLS_TO_MM2 = 6;
const ROLLS: readonly Sold[] = [
  { lengthM: 5, share: 1 },
  { lengthM: 10, share: 0.95 },
  { lengthM: 30, share: 0.85 },
];
const OFF_THE_DRUM: readonly Sold[] = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 30, 50].map((lengthM) => ({ lengthM, share: 1 }));
/** Lost where the shears go through, and the rest from which on it goes back on the shelf, m. */
const LOSS_M = 0.01;
const KEEP_M = 0.5;

/** Cable that lies on the shelf, m, by size and colour as in `16 mm² red`. */
export type CableShelf = Readonly<Record<string, readonly number[]>>;

/** What suppliers ask for a metre, by the line of the order. */
export type AskedPerM = Readonly<Record<string, { readonly each: number }>>;

/** A piece of cable with what is cut from it, in order, and what is left. */
export interface PieceCut {
  readonly lengthM: number;
  /** It lay on the shelf. */
  readonly shelf: boolean;
  readonly cuts: readonly { readonly label: string; readonly name: string; readonly lengthM: number }[];
  readonly restM: number;
  /** The rest is worth keeping. */
  readonly kept: boolean;
}

/** One size and colour: what to buy, and how it is cut. */
export interface CablePlan {
  readonly cable: string;
  readonly cutsM: number;
  readonly pieces: readonly PieceCut[];
  readonly bought: readonly { readonly lengthM: number; readonly count: number }[];
  readonly price: number;
  readonly keptM: number;
  readonly wasteM: number;
  /** The price is at most so many per cent above the least; 0: it is the least; null: there is no bound. */
  readonly atMostAbovePercent: number | null;
  /** Why it cannot be cut: a cut longer than anything sold; null: it can. */
  readonly trouble: string | null;
}

const cableOf = (c: Cut): string => `${c.size} ${c.colour}`;
/** The line of the order that a cut belongs to. */
const lineKey = ({ size, colour, cores }: Cut): string => (cores > 1 ? `cable-${cores}-core-${size}` : `cable-${size}-${colour}`);

function planOf(cable: string, cuts: readonly Cut[], offcuts: readonly number[], prices: AskedPerM): CablePlan {
  const { areaMm2, cores } = cuts[0]!;
  const perM = prices[lineKey(cuts[0]!)]?.each ?? PLANNING_PRICES.cableBase + PLANNING_PRICES.cablePerMm2 * areaMm2 * cores;
  const sold = (areaMm2 <= ROLLS_TO_MM2 ? ROLLS : OFF_THE_DRUM).map(({ lengthM, share }) => ({ lengthM, price: Math.round(100 * perM * lengthM * share) / 100 }));
  const cutsM = cuts.reduce((s, c) => s + c.lengthM, 0);
  const byId = new Map(cuts.map((c, i) => [`${i}`, c]));
  const answer = cuttingPlan({
    lossM: LOSS_M,
    keepM: KEEP_M,
    sold,
    offcuts: offcuts.map((lengthM, i) => ({ id: `shelf ${i}`, lengthM })),
    cuts: [...byId].map(([id, c]) => ({ id, lengthM: c.lengthM })),
  });
  if ('error' in answer) {
    const cut = answer.error === 'longer-than-any-stock' ? byId.get(answer.cut) : undefined;
    const trouble = cut
      ? `${cut.label} of ${cut.lengthM} m is longer than anything that is sold: join it at a place that stays within reach, or order it to length.`
      : 'The shelf does not give all of it.';
    return { cable, cutsM, pieces: [], bought: [], price: 0, keptM: 0, wasteM: 0, atMostAbovePercent: null, trouble };
  }
  const pieces = answer.pieces.map(({ from, cuts: ids }): PieceCut => {
    const shelf = typeof from === 'string';
    const lengthM = shelf ? offcuts[Number(from.slice('shelf '.length))]! : from;
    const of = ids.map((id) => byId.get(id)!);
    const restM = Math.max(0, lengthM - of.reduce((s, c) => s + c.lengthM, 0) - of.length * LOSS_M);
    return { lengthM, shelf, cuts: of.map(({ label, name, lengthM: m }) => ({ label, name, lengthM: m })), restM, kept: restM >= KEEP_M };
  });
  return {
    cable,
    cutsM,
    pieces,
    bought: Object.entries(answer.bought).map(([lengthM, count]) => ({ lengthM: Number(lengthM), count })),
    price: answer.price,
    keptM: answer.keptM,
    wasteM: answer.wasteM,
    atMostAbovePercent: answer.atMostAbovePercent === undefined ? 0 : answer.atMostAbovePercent,
    trouble: null,
  };
}

/**
 * What to buy of every cable and which piece each cut comes out of: at the least price, then the fewest pieces, then the
 * most worth keeping. The shelf's offcuts come first, since they cost nothing.
 * @example cablePlans(assess(design, catalogue).order.cuts, { '16 mm² red': [2.4] }).every((p) => p.trouble === null) // true
 */
export function cablePlans(cuts: readonly Cut[], shelf: CableShelf, prices: AskedPerM = {}): readonly CablePlan[] {
  const areaOf = new Map(cuts.map((c) => [cableOf(c), c.areaMm2]));
  const cables = [...areaOf.keys()].sort((a, b) => areaOf.get(b)! - areaOf.get(a)! || a.localeCompare(b));
  return cables.map((cable) =>
    planOf(
      cable,
      cuts.filter((c) => cableOf(c) === cable),
      shelf[cable] ?? [],
      prices,
    ),
  );
}
