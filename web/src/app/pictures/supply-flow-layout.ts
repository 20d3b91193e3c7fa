import { FLOW_COLUMNS, type Flow, type FlowThing, type SupplyFlow } from '@meridex/core';
import { sankey } from 'd3-sankey';
import { onCurve } from './ribbon';

/** A box of the picture where it stands. */
export interface FlowBox {
  readonly thing: FlowThing;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** Where its words about what finds no room begin. */
  readonly looksY: number;
}

/** A ribbon: the middle line of it, how wide it is, and where its figure stands. */
export interface FlowRibbon {
  readonly flow: Flow;
  readonly path: string;
  readonly width: number;
  readonly at: readonly [x: number, y: number];
}

export interface FlowDrawing {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly FlowBox[];
  readonly ribbons: readonly FlowRibbon[];
}

const FLOW_WIDTH = 792;
/** Wider where a column of boxes that bring a feed to other volts stands between. */
const WITH_BRINGS = 940;
const BOX_WIDTH = 146;
const LINE_H = 15;
const TITLE_H = 26;
const GAP = 14;
/** In a bank’s box its level stands under the words, so high at least. */
export const LEVEL_FROM = 76;
const LEVEL_H = 86;
const BANK_H = LEVEL_FROM + LEVEL_H;
/** Width of the widest column's ribbons together, and most that an Ah a day is drawn with. */
const WIDEST = 190;
const MOST_PER_AH = 1.6;
/** A flow that is there is seen. */
const THINNEST = 2;

type Lefts = Readonly<Record<FlowThing['column'], number>>;
const X: Lefts = { gives: 4, brings: 4, converts: 224, stores: 440, uses: FLOW_WIDTH - BOX_WIDTH - 4 };
const X_WITH_BRINGS: Lefts = { gives: 4, brings: 200, converts: 396, stores: 592, uses: WITH_BRINGS - BOX_WIDTH - 4 };

/** How large things and ribbons of a picture are, and in which order they stand. */
export interface Measured {
  readonly widthOf: (f: Flow) => number;
  readonly sum: (id: string, end: 'from' | 'to') => number;
  /** Height of a box alone. */
  readonly boxH: (t: FlowThing) => number;
  /** With what is said under it. */
  readonly allH: (t: FlowThing) => number;
  readonly used: readonly FlowThing['column'][];
}

const LOOKS_GAP = 4;
export const looksH = (t: FlowThing): number => LINE_H * t.looks.length + (t.looks.length ? LOOKS_GAP : 0);
export const looksAt = (y: number, h: number): number => y + h + LINE_H - 2;

/** Height that the words of a box want, with the level of a bank. */
export const wordsH = (t: FlowThing): number => Math.max(TITLE_H + LINE_H * t.says.length + 4, t.column === 'stores' ? BANK_H : 0);

/** Pixels of an Ah a day: so that the widest column of ribbons fits, and a lone trickle is not a river. */
export function scaleOf({ flows, things }: SupplyFlow, widest: number): (f: Flow) => number {
  const out = new Map<string, number>();
  const column = new Map(things.map((t) => [t.id, t.column]));
  for (const f of flows) {
    const from = column.get(f.from) ?? '';
    out.set(from, (out.get(from) ?? 0) + f.ahDay);
  }
  const perAh = Math.min(MOST_PER_AH, widest / Math.max(1, ...out.values()));
  return (f) => (f.ahDay > 0 ? Math.max(THINNEST, f.ahDay * perAh) : 0);
}

/** Columns that hold something, from what gives to what uses. */
export const columnsOf = ({ things }: SupplyFlow): readonly FlowThing['column'][] => FLOW_COLUMNS.filter((c) => things.some((t) => t.column === c));

function measured(flow: SupplyFlow): Measured {
  const widthOf = scaleOf(flow, WIDEST);
  const sum = (id: string, end: 'from' | 'to'): number => flow.flows.filter((f) => f[end] === id).reduce((s, f) => s + widthOf(f), 0);
  const boxH = (t: FlowThing): number => Math.max(wordsH(t), Math.max(sum(t.id, 'from'), sum(t.id, 'to')) + 6);
  return { widthOf, sum, boxH, allH: (t) => boxH(t) + looksH(t), used: columnsOf(flow) };
}

/** A ribbon bears its figure so far along it, where ribbons have not met yet. */
const FIGURE_AT = 0.3;
/** On a ribbon that passes a column it stands before that. */
const FIGURE_BEFORE = 0.12;

interface Node {
  readonly thing: FlowThing;
  readonly fixedValue: number;
}

/**
 * Boxes in their columns and ribbons between them. The order in a column and its places are d3-sankey's; a box is at
 * least as high as its words, and its ribbons meet it in its middle.
 */
export function layoutFlow(flow: SupplyFlow): FlowDrawing {
  const { widthOf, sum, boxH, allH, used } = measured(flow);
  const [width, lefts] = used.includes('brings') ? [WITH_BRINGS, X_WITH_BRINGS] : [FLOW_WIDTH, X];
  const columnH = used.map((c) => flow.things.filter((t) => t.column === c).reduce((h, t) => h + allH(t) + GAP, -GAP));
  const height = Math.max(BANK_H, ...columnH) + 8;
  const ids = new Set(flow.things.map((t) => t.id));
  const graph = sankey<Node, { readonly flow: Flow }>()
    .nodeWidth(BOX_WIDTH)
    .nodePadding(GAP)
    .extent([
      [0, 4],
      [width, height - 4],
    ])
    .nodeId((n) => n.thing.id)
    .nodeAlign((n) => used.indexOf(n.thing.column))({
    nodes: flow.things.map((thing) => ({ thing, fixedValue: allH(thing) })),
    links: flow.flows.filter((f) => ids.has(f.from) && ids.has(f.to)).map((f) => ({ source: f.from, target: f.to, value: Math.max(widthOf(f), 0.01), flow: f })),
  });
  // Each column stands in the middle; d3 has said in which order.
  const boxes = used.flatMap((c) => {
    const column = graph.nodes.filter((n) => n.thing.column === c).sort((a, b) => a.y0! - b.y0!);
    const all = column.reduce((h, n) => h + allH(n.thing) + GAP, -GAP);
    const wide = column.length > 1 ? GAP + Math.min(20, (height - 8 - all) / (column.length - 1)) : GAP;
    let y = (height - (all + (wide - GAP) * (column.length - 1))) / 2;
    return column.map((n): FlowBox => {
      const h = boxH(n.thing);
      const at = { thing: n.thing, x: lefts[c], y, w: BOX_WIDTH, h, looksY: looksAt(y, h) };
      y += allH(n.thing) + wide;
      return at;
    });
  });
  const place = new Map(boxes.map((b) => [b.thing.id, b]));
  const links = [...graph.links].sort((a, b) => a.y0! - b.y0!);
  const inOrder = [...graph.links].sort((a, b) => a.y1! - b.y1!);
  const start = (id: string, end: 'from' | 'to', f: Flow): number => {
    const list = (end === 'from' ? links : inOrder).map((l) => l.flow).filter((x) => x[end] === id);
    const before = list.slice(0, list.indexOf(f)).reduce((s, x) => s + widthOf(x), 0);
    const box = place.get(id)!;
    return box.y + (box.h - sum(id, end)) / 2 + before + widthOf(f) / 2;
  };
  const ribbons = links.map(({ flow: f }): FlowRibbon => {
    const [x0, x1] = [place.get(f.from)!.x + BOX_WIDTH, place.get(f.to)!.x];
    const [y0, y1] = [start(f.from, 'from', f), start(f.to, 'to', f)];
    const bend = (x1 - x0) / 2;
    const at = x1 - x0 > BOX_WIDTH ? FIGURE_BEFORE : FIGURE_AT;
    return {
      flow: f,
      path: `M${x0} ${y0}C${x0 + bend} ${y0} ${x1 - bend} ${y1} ${x1} ${y1}`,
      width: widthOf(f),
      at: [onCurve(at, x0, x0 + bend, x1 - bend, x1), onCurve(at, y0, y0, y1, y1)],
    };
  });
  return { width, height, boxes, ribbons };
}
