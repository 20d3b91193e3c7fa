import type { Diagram, DiagramEnd, DiagramNode } from './element.js';
import { LABEL, textWidth, wrapped } from './words.js';

/** As much of the layout engine's JSON as is used here. */
export interface ElkPort {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly layoutOptions?: Readonly<Record<string, string>>;
  readonly x?: number;
  readonly y?: number;
}

export interface ElkBox {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly x?: number;
  readonly y?: number;
  readonly ports?: readonly ElkPort[];
  readonly children?: readonly ElkBox[];
  readonly layoutOptions?: Readonly<Record<string, string>>;
}

export interface ElkPoint {
  readonly x: number;
  readonly y: number;
}

export interface ElkLine {
  readonly id: string;
  readonly sources: readonly string[];
  readonly targets: readonly string[];
  readonly labels?: readonly { readonly id: string; readonly text: string; readonly width: number; readonly height: number; readonly x?: number; readonly y?: number }[];
  readonly sections?: readonly { readonly startPoint: ElkPoint; readonly endPoint: ElkPoint; readonly bendPoints?: readonly ElkPoint[] }[];
}

export interface ElkGraph {
  readonly id: string;
  readonly layoutOptions: Readonly<Record<string, string>>;
  readonly children: readonly ElkBox[];
  readonly edges: readonly ElkLine[];
  readonly width?: number;
  readonly height?: number;
}

const OPTIONS: Readonly<Record<string, string>> = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.considerModelOrder.strategy': 'NODES_AND_EDGES',
  // Not folded: the bars stand in the middle as a spine, what feeds them to the left, what hangs on them to the right.
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.layered.spacing.nodeNodeBetweenLayers': '12',
  'elk.layered.spacing.edgeNodeBetweenLayers': '9',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '8',
  'elk.spacing.nodeNode': '12',
  'elk.spacing.edgeNode': '12',
  'elk.spacing.edgeEdge': '10',
  'elk.spacing.edgeLabel': '2',
  'elk.randomSeed': '1',
  'elk.padding': '[top=12,left=12,bottom=12,right=12]',
};

/** From so many symbols on fewer crossings and bends cost more time than they are worth: rows of loads cross little anyway. */
const MANY = 70;
const QUICK: Readonly<Record<string, string>> = {
  'elk.layered.nodePlacement.strategy': 'BRANDES_KOEPF',
  'elk.layered.nodePlacement.bk.fixedAlignment': 'BALANCED',
  'elk.layered.thoroughness': '1',
  'elk.layered.crossingMinimization.greedySwitch.type': 'OFF',
};

/** Space of a symbol itself, without its words, px. */
export const SYMBOL_PX: Readonly<Record<DiagramNode['symbol'], readonly [w: number, h: number]>> = {
  battery: [44, 40],
  generator: [40, 40],
  panel: [48, 40],
  converter: [52, 44],
  regulator: [52, 44],
  rectifier: [52, 44],
  inverter: [52, 44],
  contact: [44, 36],
  switch: [40, 28],
  selector: [40, 36],
  'charging selector': [40, 36],
  shunt: [44, 28],
  bars: [36, 40],
  fuse: [34, 14],
  breaker: [34, 16],
  plug: [26, 30],
  earth: [22, 22],
  key: [32, 28],
  inlet: [34, 34],
  meter: [34, 34],
  lamp: [32, 32],
  motor: [32, 32],
  socket: [32, 32],
  load: [36, 28],
};

/** Room for a thing's words: above a fuse, under a symbol, beside a load. */
export function wordsOf(n: DiagramNode): readonly string[] {
  const most = n.last ? WORDS_PX.beside : WORDS_PX.under;
  return [...wrapped(n.title, most), ...wrapped(n.detail, most)];
}

/** How wide the words of a symbol may be: what stands in a chain is as wide as its words, and a chain must fit a screen. */
const WORDS_PX = { under: 62, beside: 72 } as const;

const portId = (line: string, end: DiagramEnd): string => `${line}@${end.node}:${end.side}`;
const ORDER: Readonly<Record<DiagramEnd['pole'], number>> = { plus: 0, signal: 1, minus: 2 };

/** Height at which lines meet a symbol that has one on each side, as a share of its height. */
export const MEETS: Partial<Record<DiagramNode['symbol'], number>> = { contact: 0.3, breaker: 0.69, earth: 0, key: 0.5, fuse: 0.5, switch: 0.5, selector: 0.5, 'charging selector': 0.5, shunt: 0.5 };
/** Heights of a selector’s two contacts, as shares of its own. */
export const CONTACTS = { 1: 0.25, 2: 0.75 } as const;
/** Room of a bar or box with so many lines on its busier side, px. */
const PORT_PX = 14;
/** Symbols that get volts and amps in a state view, one under the other: room for them is kept, so that nothing moves. */
const FIGURED: readonly DiagramNode['symbol'][] = ['battery', 'generator', 'converter', 'regulator', 'rectifier', 'inverter'];
const FIGURES = '13.10 V\n138.0 A';
const TALL: readonly DiagramNode['symbol'][] = ['bars', 'converter', 'regulator', 'inverter', 'rectifier', 'battery'];

/** Words that stand above their symbol, so that it stays on its line. */
export const wordsAbove = (n: DiagramNode): boolean => n.symbol === 'fuse' || n.symbol === 'breaker';

/** Height of a node's words, with the lines kept for its figures in a state. */
export const wordsHeight = (n: DiagramNode): number => (wordsOf(n).length + (FIGURED.includes(n.symbol) ? 2 : n.last ? 1 : 0)) * LABEL.height;

/** Height of a run's label under its first fuse. */
export const labelHeight = (n: DiagramNode): number => (n.label ? n.label.split('\n').length * LABEL.height : 0);

interface Ended {
  readonly end: DiagramEnd;
  readonly id: string;
}

/** Ends at one side of a node, feeds above and returns below. */
function endsAt(node: DiagramNode, diagram: Diagram, side: DiagramEnd['side']): Ended[] {
  const all = diagram.lines.flatMap((l) => [l.from, l.to].flatMap((end) => (end.node === node.id && end.side === side ? [{ end, id: portId(l.id, end) }] : [])));
  return all.sort((p, q) => ORDER[p.end.pole] - ORDER[q.end.pole]);
}

/** Height within its symbol of the i-th of so many lines. */
function meetsAt(node: DiagramNode, h: number, i: number, many: number): number {
  const share = MEETS[node.symbol];
  if (node.symbol === 'plug') return many > 1 && i ? h - 8 : 8;
  if (share !== undefined && many === 1) return share * h;
  if (node.last) return h / 2 + (i - (many - 1) / 2) * 14;
  return (h * (i + 1)) / (many + 1);
}

function boxOf(node: DiagramNode, diagram: Diagram): ElkBox {
  const [west, east] = [endsAt(node, diagram, 'west'), endsAt(node, diagram, 'east')];
  const [w, h] = SYMBOL_PX[node.symbol];
  const words = wordsOf(node);
  const wide = Math.max(0, ...words.map(textWidth), ...(node.label ? [textWidth(node.label)] : []), ...(FIGURED.includes(node.symbol) ? [textWidth(FIGURES)] : []));
  const tall = wordsHeight(node);
  const symbolH = TALL.includes(node.symbol) ? Math.max(h, PORT_PX * (Math.max(west.length, east.length) + 1)) : h;
  const width = node.last ? w + 6 + wide : Math.max(w, wide);
  const height = node.last ? Math.max(symbolH, tall) : symbolH + tall + labelHeight(node);
  const from = node.last ? (height - symbolH) / 2 : wordsAbove(node) ? tall : 0;
  const port = (e: Ended, i: number, many: number, side: 'WEST' | 'EAST'): ElkPort => ({
    id: e.id,
    width: 0,
    height: 0,
    layoutOptions: { 'elk.port.side': side },
    ...(node.symbol === 'bars' ? {} : { x: side === 'WEST' ? 0 : width, y: from + (e.end.contact ? CONTACTS[e.end.contact] * symbolH : meetsAt(node, symbolH, i, many)) }),
  });
  return {
    id: node.id,
    width,
    height,
    ports: [...west.map((e, i) => port(e, i, west.length, 'WEST')), ...east.map((e, i) => port(e, i, east.length, 'EAST'))],
    layoutOptions: { 'elk.portConstraints': node.symbol === 'bars' ? 'FIXED_SIDE' : 'FIXED_POS' },
  };
}

/** Boxes within boxes: what stands in another vehicle than the bars lies in a frame of its own; every place is of the whole. */
const FRAMED: Readonly<Record<string, string>> = { 'elk.hierarchyHandling': 'INCLUDE_CHILDREN', 'elk.json.shapeCoords': 'ROOT', 'elk.json.edgeCoords': 'ROOT', 'elk.layered.thoroughness': '40' };

function childrenOf(diagram: Diagram): ElkBox[] {
  const boxes = (frame: string | null): ElkBox[] => diagram.nodes.filter((n) => n.frame === frame).map((n) => boxOf(n, diagram));
  const frames = diagram.frames.map(({ id }): ElkBox => ({ id: frameId(id), width: 0, height: 0, children: boxes(id), layoutOptions: { 'elk.padding': '[top=26,left=10,bottom=10,right=10]' } }));
  return [...frames.filter((f) => f.children?.length), ...boxes(null)];
}

export const frameId = (carrier: string): string => `frame:${carrier}`;

/** The diagram as a graph for the layout engine. */
export function elkGraph(diagram: Diagram): ElkGraph {
  return {
    id: 'diagram',
    layoutOptions: { ...OPTIONS, ...(diagram.frames.length ? FRAMED : {}), ...(diagram.nodes.length > MANY ? QUICK : {}) },
    children: childrenOf(diagram),
    edges: diagram.lines.map((l) => ({
      id: l.id,
      sources: [portId(l.id, l.from)],
      targets: [portId(l.id, l.to)],
      ...(l.label ? { labels: [{ id: `${l.id}:label`, text: l.label, width: textWidth(l.label), height: LABEL.height * l.label.split('\n').length }] } : {}),
    })),
  };
}

/** Place and size of a box that has been laid out. */
export function boundsOf(b: ElkBox): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } {
  return { x: b.x ?? 0, y: b.y ?? 0, width: b.width, height: b.height };
}
