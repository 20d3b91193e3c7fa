import { COMPARE_SLACK } from '../quantity/index.js';

/** One size that a run may take: what it costs, and what it loses. */
export interface SizeStep {
  /** Copper of the whole run, mm²·m: area × (out + back), of all conductors. */
  readonly copper: number;
  /** Breaks ties between equal amounts of copper. */
  readonly price: number;
  /** Drop of the cable alone at the usual current, per cent of the path's reference volts. */
  readonly dropPercent: number;
}

/** A run of a tree with the sizes that it may take, the thinnest first: each next one loses less. */
export interface TreeRun<S extends SizeStep = SizeStep> {
  readonly id: string;
  /** Run nearer to the source; null: it starts at one. */
  readonly parent: string | null;
  /** Most that its whole path may lose, per cent; null: only what hangs behind it is limited. */
  readonly limitPercent: number | null;
  readonly steps: readonly [S, ...S[]];
  /** Place of the thickest step that it may take for the sake of others, where more is known of it than its steps say. */
  readonly most?: number;
}

/** Least cost of a run and all behind it while no more than `upTo` is lost before it; dearer the more is lost. */
interface Piece {
  readonly upTo: number;
  readonly copper: number;
  readonly price: number;
  /** The run's own step. */
  readonly step: number;
}

const cheaper = (a: Piece, b: Piece): boolean => a.copper < b.copper - COMPARE_SLACK || (a.copper <= b.copper + COMPARE_SLACK && a.price < b.price - COMPARE_SLACK);

/** Only what is cheaper than all that would stand a greater loss before it; the cheapest, which stands least, first. */
function frontier(pieces: Piece[]): readonly Piece[] {
  pieces.sort((a, b) => b.upTo - a.upTo || a.copper - b.copper || a.price - b.price);
  const kept: Piece[] = [];
  for (const p of pieces) if (!kept.length || cheaper(p, kept[kept.length - 1]!)) kept.push(p);
  return kept.reverse();
}

/** What a run that nothing hangs on comes to, by its sizes: the same ones are asked about again and again. */
const ends = new WeakMap<TreeRun['steps'], { readonly limit: number; readonly pieces: readonly Piece[] }>();

function endPieces(run: TreeRun, limit: number): readonly Piece[] {
  const known = ends.get(run.steps);
  if (known?.limit === limit) return known.pieces;
  const pieces = frontier(run.steps.map((s, step): Piece => ({ upTo: limit - s.dropPercent, copper: s.copper, price: s.price, step })));
  ends.set(run.steps, { limit, pieces });
  return pieces;
}

/** What a run and all behind it come to; what would not even stand a loss of nothing before it is left out. */
function piecesOf(run: TreeRun, rest: readonly Omit<Piece, 'step'>[], limit: number): readonly Piece[] {
  const all: Piece[] = [];
  run.steps.forEach((s, step) => {
    for (const b of rest) {
      const upTo = Math.min(limit, b.upTo) - s.dropPercent;
      if (upTo >= -COMPARE_SLACK) all.push({ upTo, copper: s.copper + b.copper, price: s.price + b.price, step });
    }
  });
  return frontier(all);
}

/** The piece that holds with so much lost before it; undefined: none does. */
const at = (pieces: readonly Piece[], lostPercent: number): Piece | undefined => pieces.find((p) => p.upTo >= lostPercent - COMPARE_SLACK);

/** Sum of what hangs behind a run, as pieces over what is lost at its end: at each loss that one child's piece ends at, its next one takes over. */
function behind(children: readonly (readonly Piece[])[]): readonly Omit<Piece, 'step'>[] {
  let [copper, price] = [0, 0];
  const ends: { readonly upTo: number; readonly of: readonly Piece[]; readonly at: number }[] = [];
  for (const of of children) {
    copper += of[0]!.copper;
    price += of[0]!.price;
    for (let at = 0; at < of.length; at++) ends.push({ upTo: of[at]!.upTo, of, at });
  }
  ends.sort((a, b) => a.upTo - b.upTo);
  const out: Omit<Piece, 'step'>[] = [];
  for (const { upTo, of, at } of ends) {
    if (upTo === Infinity) break;
    if (out[out.length - 1]?.upTo !== upTo) out.push({ upTo, copper, price });
    const [here, next] = [of[at]!, of[at + 1]];
    if (!next) return out;
    copper += next.copper - here.copper;
    price += next.price - here.price;
  }
  out.push({ upTo: Infinity, copper, price });
  return out;
}

/**
 * The sizes that meet every path's limit at the least copper, exactly: what a run and all behind it cost is a staircase
 * over what is lost before it; staircases of what hangs side by side add up, and a run takes, for each loss before it,
 * the step at which its own copper and the staircase behind it are least. Runs come after the one they hang on.
 * A path whose limit nothing meets is the caller's to widen first (`leastLoss`); here it throws.
 * @returns the place of the chosen step, by run
 */
export function leastCopper(runs: readonly TreeRun[]): ReadonlyMap<string, number> {
  const children = new Map<string, string[]>(runs.map((r) => [r.id, []]));
  for (const r of runs) if (r.parent !== null) children.get(r.parent)!.push(r.id);
  const pieces = new Map<string, readonly Piece[]>();
  for (const run of [...runs].reverse()) {
    const own = children.get(run.id)!;
    const limit = run.limitPercent ?? Infinity;
    const rest = own.length ? behind(own.map((c) => pieces.get(c)!)) : null;
    const mine = rest ? piecesOf(run, rest, limit) : endPieces(run, limit);
    if (!mine.length) throw new Error(`no sizes meet the limit of the paths through ${run.id}`);
    pieces.set(run.id, mine);
  }
  const lost = new Map<string, number>();
  const chosen = new Map<string, number>();
  for (const run of runs) {
    const before = run.parent === null ? 0 : lost.get(run.parent)!;
    const piece = at(pieces.get(run.id)!, before);
    if (!piece) throw new Error(`no sizes meet the limit of the paths through ${run.id}`);
    chosen.set(run.id, piece.step);
    lost.set(run.id, before + run.steps[piece.step]!.dropPercent);
  }
  return chosen;
}

/** What each path loses with these steps, by run, per cent. */
export function pathLosses(runs: readonly TreeRun[], stepOf: (run: TreeRun) => number): ReadonlyMap<string, number> {
  const lost = new Map<string, number>();
  for (const r of runs) lost.set(r.id, (r.parent === null ? 0 : lost.get(r.parent)!) + r.steps[stepOf(r)]!.dropPercent);
  return lost;
}
