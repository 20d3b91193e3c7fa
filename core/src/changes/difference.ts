import type { Assessment, TellTales } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { assessIn } from '../couplings/index.js';
import { type Design, OWN, vehicleIds } from '../design/index.js';
import { figure, rating } from '../quantity/index.js';
import { type Finding, inWords } from '../rules/index.js';
import { type Changed, changedValues } from './changed.js';

/** One of the figures that are always in sight, in both. */
export interface Moved {
  readonly what: string;
  readonly unit: string;
  readonly from: string;
  readonly to: string;
}

/** What one document of a job has that another has not, and what it did to the figures and the findings. */
export interface Difference {
  readonly changed: readonly Changed[];
  readonly figures: readonly Moved[];
  /** Runs whose cable or fuse is another one; – where there is none. */
  readonly cables: readonly Moved[];
  readonly came: readonly string[];
  readonly gone: readonly string[];
}

type Row = readonly [what: string, unit: string, value: (t: TellTales) => number | null, digits: number];
const ROWS: readonly Row[] = [
  ['Draws', 'Ah a day', (t) => t.ahDay, 1],
  ['Peak', 'A', (t) => t.peakA, 0],
  ['Lasts without sun or driving', 'days', (t) => t.daysAlone, 1],
  ['Worst drop', '%', (t) => t.worstDrop?.percent ?? null, 1],
  ['Added', 'kg', (t) => t.addedKg, 0],
  ['Payload left', 'kg', (t) => t.payloadLeftKg, 0],
  ['To stop', '', (t) => t.stops, 0],
  ['To look at', '', (t) => t.looks, 0],
];

function moved(a: Assessment, b: Assessment): Moved[] {
  const said = (value: number | null, digits: number): string => (value === null || !Number.isFinite(value) ? '–' : figure(value, digits));
  const rows = ROWS.map(([what, unit, value, digits]): Moved => ({ what, unit, from: said(value(a.tellTales), digits), to: said(value(b.tellTales), digits) }));
  const price: Moved = { what: 'Parts', unit: '', from: figure(a.order.total, 0), to: figure(b.order.total, 0) };
  return [...rows, price];
}

/** Cable and fuse of every run that has them. */
const sizes = ({ runs }: Assessment): ReadonlyMap<string, { readonly name: string; readonly mm2: number; readonly fuseA: number }> =>
  new Map(runs.flatMap((r) => (r.ok ? [[r.spec.id, { name: r.spec.name, mm2: r.figures.areaMm2, fuseA: r.figures.fuseA }] as const] : [])));

function resized(a: Assessment, b: Assessment): Moved[] {
  const [was, is] = [sizes(a), sizes(b)];
  const said = (value: number | undefined): string => (value === undefined ? '–' : rating(value));
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((id) => {
    const [x, y] = [was.get(id), is.get(id)];
    const { name } = (y ?? x)!;
    return [
      { what: name, unit: 'mm²', from: said(x?.mm2), to: said(y?.mm2) },
      { what: `${name}, fuse`, unit: 'A', from: said(x?.fuseA), to: said(y?.fuseA) },
    ].filter((m) => m.from !== m.to);
  });
}

/**
 * What changed from one document of a job to another, seen in one vehicle: values in words, the tell-tales of both, and
 * the findings that came and went. A vehicle that one of them lacks is seen through the first.
 *
 * @example
 * difference(design, design).changed.length // 0
 */
export function difference(before: Design, after: Design, vehicle: string = OWN): Difference {
  const seen = [before, after].every((d) => vehicleIds(d).includes(vehicle)) ? vehicle : OWN;
  const [a, b] = [assessIn(before, seen, catalogueOf(before)), assessIn(after, seen, catalogueOf(after))] as const;
  const keys = (x: Assessment): ReadonlySet<string> => new Set(x.open.map((f) => f.key));
  const [was, is] = [keys(a), keys(b)];
  const say = (f: Finding): string => inWords(f).say;
  return {
    changed: changedValues({ before, after, a, b, catalogue: catalogueOf(after) }),
    figures: moved(a, b),
    cables: resized(a, b),
    came: b.open.filter((f) => !was.has(f.key)).map(say),
    gone: a.open.filter((f) => !is.has(f.key)).map(say),
  };
}
