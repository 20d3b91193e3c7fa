import type { Flow, FlowThing, SupplyFlow } from '@meridex/core';
import { onCurve } from './ribbon';
import { columnsOf, looksAt, looksH, scaleOf, wordsH, type FlowBox, type FlowDrawing, type FlowRibbon } from './supply-flow-layout';

/** A phone's width, and what stands beside one another in it. */
const WIDTH = 352;
const BESIDE = 2;
const GAP = 12;
/** Room for the lines of the outermost boxes. */
const EDGE = 2;
/** A box that stands alone takes this share of the width. */
const ALONE_SHARE = 0.66;
/** Room for ribbons and their figures between two sorts, and between two rows of one sort. */
const BETWEEN = 52;
const BETWEEN_ROWS = 18;
/** A ribbon's figure stands so far above what it flows into. */
const FIGURE_ABOVE = 18;
/** Most that the ribbons of one sort are wide together: a box bears all of them. */
const WIDEST = 140;

/** Rows of at most so many. */
function rowsOf(things: readonly FlowThing[]): FlowThing[][] {
  const rows: FlowThing[][] = [];
  for (const t of things) {
    const last = rows.at(-1);
    if (last && last.length < BESIDE) last.push(t);
    else rows.push([t]);
  }
  return rows;
}

/** Boxes of one row, from the left. */
function rowAt(row: readonly FlowThing[], y: number): FlowBox[] {
  const w = row.length === 1 ? ALONE_SHARE * WIDTH : (WIDTH - 2 * EDGE - GAP * (row.length - 1)) / row.length;
  const h = Math.max(...row.map(wordsH));
  const left = (WIDTH - row.length * w - (row.length - 1) * GAP) / 2;
  return row.map((thing, i) => ({ thing, x: left + i * (w + GAP), y, w, h, looksY: looksAt(y, h) }));
}

/** Place on a ribbon so far above its end: where nothing stands before it. */
function above([x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number], bend: number, by: number): readonly [number, number] {
  let [low, high] = [0, 1];
  for (let n = 0; n < 20; n++) {
    const t = (low + high) / 2;
    if (onCurve(t, y0, y0 + bend, y1 - bend, y1) < y1 - by) low = t;
    else high = t;
  }
  return [onCurve(low, x0, x0, x1, x1), y1 - by];
}

/** The same picture upright, for a phone: what gives stands at the top, what uses at the bottom, ribbons fall from one to the next. */
export function layoutUpright(flow: SupplyFlow): FlowDrawing {
  const widthOf = scaleOf(flow, WIDEST);
  const boxes: FlowBox[] = [];
  /** Boxes under the room that is left between two sorts. */
  const first = new Set<string>();
  let y = 4;
  for (const column of columnsOf(flow)) {
    const top = y;
    for (const row of rowsOf(flow.things.filter((t) => t.column === column))) {
      const at = rowAt(row, y);
      boxes.push(...at);
      if (y === top) for (const b of at) first.add(b.thing.id);
      y += at[0]!.h + Math.max(...row.map(looksH)) + BETWEEN_ROWS;
    }
    y += BETWEEN - BETWEEN_ROWS;
  }
  const place = new Map(boxes.map((b) => [b.thing.id, b]));
  const flows = flow.flows.filter((f) => place.has(f.from) && place.has(f.to));
  const middle = (id: string): number => place.get(id)!.x + place.get(id)!.w / 2;
  /** Where a ribbon meets a box: those of one box lie side by side, in the order in which they come or go. */
  const meets = (f: Flow, end: 'from' | 'to'): number => {
    const other = end === 'from' ? 'to' : 'from';
    const all = flows.filter((x) => x[end] === f[end]).sort((a, b) => middle(a[other]) - middle(b[other]));
    const whole = all.reduce((s, x) => s + widthOf(x), 0);
    return middle(f[end]) - whole / 2 + all.slice(0, all.indexOf(f)).reduce((s, x) => s + widthOf(x), 0) + widthOf(f) / 2;
  };
  const ribbons = flows.map((f): FlowRibbon => {
    const [x0, x1] = [meets(f, 'from'), meets(f, 'to')];
    const [from, to] = [place.get(f.from)!, place.get(f.to)!];
    const [y0, y1] = [from.y + from.h, to.y];
    const bend = Math.max(BETWEEN / 2, (y1 - y0) / 2);
    return {
      flow: f,
      path: `M${x0} ${y0}C${x0} ${y0 + bend} ${x1} ${y1 - bend} ${x1} ${y1}`,
      width: widthOf(f),
      at: above([x0, y0], [x1, y1], bend, first.has(f.to) ? FIGURE_ABOVE : BETWEEN_ROWS / 2),
    };
  });
  return { width: WIDTH, height: y - BETWEEN + 8, boxes, ribbons };
}
