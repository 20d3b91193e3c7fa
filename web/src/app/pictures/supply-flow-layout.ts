import type { Flow, FlowThing, SupplyFlow } from '@meridex/core';
import { sankey } from 'd3-sankey';

/** A box of the picture where it stands. */
export interface FlowBox {
  readonly thing: FlowThing;
  readonly x: number;
  readonly y: number;
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
  readonly height: number;
  readonly boxes: readonly FlowBox[];
  readonly ribbons: readonly FlowRibbon[];
}

export const FLOW_WIDTH = 792;
export const BOX_WIDTH = 146;
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

const X: Readonly<Record<FlowThing['column'], number>> = { gives: 4, converts: 224, stores: 440, uses: FLOW_WIDTH - BOX_WIDTH - 4 };
const ORDER = ['gives', 'converts', 'stores', 'uses'] as const;

/** Height of the box alone, and of what is said under it. */
function heights(t: FlowThing, ribbonsH: number): { readonly box: number; readonly all: number } {
  const words = TITLE_H + LINE_H * t.says.length + 4;
  const box = Math.max(words, ribbonsH + 6, t.column === 'stores' ? BANK_H : 0);
  return { box, all: box + LINE_H * t.looks.length + (t.looks.length ? 4 : 0) };
}

/** Pixels of an Ah a day: so that the widest column of ribbons fits, and a lone trickle is not a river. */
function scaleOf({ flows, things }: SupplyFlow): number {
  const out = new Map<string, number>();
  const column = new Map(things.map((t) => [t.id, t.column]));
  for (const f of flows) {
    const from = column.get(f.from) ?? '';
    out.set(from, (out.get(from) ?? 0) + f.ahDay);
  }
  return Math.min(MOST_PER_AH, WIDEST / Math.max(1, ...out.values()));
}

interface Node {
  readonly thing: FlowThing;
  readonly fixedValue: number;
}

/**
 * Boxes in their columns and ribbons between them. The order in a column and its places are d3-sankey's; a box is at
 * least as high as its words, and its ribbons meet it in its middle.
 */
export function layoutFlow(flow: SupplyFlow): FlowDrawing {
  const perAh = scaleOf(flow);
  const widthOf = (f: Flow): number => (f.ahDay > 0 ? Math.max(THINNEST, f.ahDay * perAh) : 0);
  const sum = (id: string, end: 'from' | 'to'): number => flow.flows.filter((f) => f[end] === id).reduce((s, f) => s + widthOf(f), 0);
  const size = new Map(flow.things.map((t) => [t.id, heights(t, Math.max(sum(t.id, 'from'), sum(t.id, 'to')))]));
  const used = ORDER.filter((c) => flow.things.some((t) => t.column === c));
  const columnH = used.map((c) => flow.things.filter((t) => t.column === c).reduce((h, t) => h + size.get(t.id)!.all + GAP, -GAP));
  const height = Math.max(BANK_H, ...columnH) + 8;
  const ids = new Set(flow.things.map((t) => t.id));
  const graph = sankey<Node, { readonly flow: Flow }>()
    .nodeWidth(BOX_WIDTH)
    .nodePadding(GAP)
    .extent([
      [0, 4],
      [FLOW_WIDTH, height - 4],
    ])
    .nodeId((n) => n.thing.id)
    .nodeAlign((n) => used.indexOf(n.thing.column))({
    nodes: flow.things.map((thing) => ({ thing, fixedValue: size.get(thing.id)!.all })),
    links: flow.flows.filter((f) => ids.has(f.from) && ids.has(f.to)).map((f) => ({ source: f.from, target: f.to, value: Math.max(widthOf(f), 0.01), flow: f })),
  });
  // Each column stands in the middle; d3 has said in which order.
  const boxes = used.flatMap((c) => {
    const column = graph.nodes.filter((n) => n.thing.column === c).sort((a, b) => a.y0! - b.y0!);
    const all = column.reduce((h, n) => h + size.get(n.thing.id)!.all + GAP, -GAP);
    const wide = column.length > 1 ? GAP + Math.min(20, (height - 8 - all) / (column.length - 1)) : GAP;
    let y = (height - (all + (wide - GAP) * (column.length - 1))) / 2;
    return column.map((n): FlowBox => {
      const { box, all: whole } = size.get(n.thing.id)!;
      const at = { thing: n.thing, x: X[c], y, h: box, looksY: y + box + LINE_H - 2 };
      y += whole + wide;
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
    // On the curve a third of the way, where ribbons have not met yet.
    const t = 0.3;
    const [a, b, c, d] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t ** 2 * (1 - t), t ** 3];
    return {
      flow: f,
      path: `M${x0} ${y0}C${x0 + bend} ${y0} ${x1 - bend} ${y1} ${x1} ${y1}`,
      width: widthOf(f),
      at: [a * x0 + b * (x0 + bend) + c * (x1 - bend) + d * x1, (a + b) * y0 + (c + d) * y1],
    };
  });
  return { height, boxes, ribbons };
}
