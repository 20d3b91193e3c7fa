import { boundsOf, CONTACTS, frameId, labelHeight, MEETS, SYMBOL_PX, wordsAbove, wordsHeight, wordsOf, type ElkBox, type ElkGraph, type ElkPoint } from './elk.js';
import type { Diagram, DiagramEnd, DiagramLine, DiagramNode, LineKind } from './element.js';
import { LABEL } from './words.js';
import { SYMBOLS, type Arm, type Stroke } from './symbols.js';

export interface DrawnLine {
  readonly id: string;
  readonly kind: LineKind;
  readonly run: string | null;
  readonly points: readonly ElkPoint[];
  readonly d: string;
}

export interface DrawnText {
  /** What it belongs to: a line's or a node's id. */
  readonly of: string;
  readonly run: string | null;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle';
  readonly lines: readonly string[];
  readonly what: 'label' | 'title';
}

export interface DrawnNode {
  readonly node: DiagramNode;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly strokes: readonly Stroke[];
}

/** A joint at a bar, a line that runs through its symbol to it, px. */
export interface DrawnDot {
  readonly x: number;
  readonly y: number;
  readonly pole: 'plus' | 'minus' | 'signal';
}

/** A vehicle that part of the rig lies in, with its name at its upper left corner. */
export interface DrawnFrame {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** From the top of a frame to the foot of its name, px. */
export const FRAME_NAME_PX = 16;

/** A laid-out diagram as strokes and words: the same for screen, SVG and paper. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly DrawnLine[];
  readonly nodes: readonly DrawnNode[];
  readonly texts: readonly DrawnText[];
  readonly dots: readonly DrawnDot[];
  readonly frames: readonly DrawnFrame[];
}

const path = (points: readonly ElkPoint[]): string => points.map((p, i) => `${i ? 'L' : 'M'}${Math.round(p.x * 10) / 10} ${Math.round(p.y * 10) / 10}`).join('');

interface Placed {
  readonly node: DiagramNode;
  readonly box: Required<Pick<ElkBox, 'x' | 'y' | 'width' | 'height'>>;
}

/** Where a symbol stands within the room that its words take too. */
function symbolBox({ node, box }: Placed): { x: number; y: number; w: number; h: number } {
  const [w] = SYMBOL_PX[node.symbol];
  const words = wordsHeight(node);
  if (node.last) return { x: box.x, y: box.y + (box.height - SYMBOL_PX[node.symbol][1]) / 2, w, h: SYMBOL_PX[node.symbol][1] };
  return { x: box.x + (box.width - w) / 2, y: box.y + (wordsAbove(node) ? words : 0), w, h: box.height - words - labelHeight(node) };
}

/** Bars of a bus: the plus to the left, the minus to the right, each as tall as its lines ask. */
export const BAR_X = { plus: 0.28, minus: 0.72 } as const;

const ROUND: readonly DiagramNode['symbol'][] = ['generator', 'inlet', 'meter', 'lamp', 'motor'];

/** The last bit of a line, from the box's side to its symbol or bar. */
function inward(p: Placed, at: ElkPoint, { side, pole, contact }: DiagramEnd): readonly ElkPoint[] {
  const s = symbolBox(p);
  if (p.node.symbol === 'bars' && pole !== 'signal') return [{ x: s.x + s.w * BAR_X[pole], y: at.y }];
  const x = side === 'west' ? s.x : s.x + s.w;
  const stud = contact ? CONTACTS[contact] : MEETS[p.node.symbol];
  if (p.node.symbol === 'earth') return [{ x: s.x + s.w / 2, y: s.y }];
  if (stud !== undefined) {
    // All lines at one stud meet at it, over a short upright.
    const y = s.y + stud * s.h;
    return Math.abs(y - at.y) < 0.5
      ? [{ x, y }]
      : [
          { x, y },
          { x, y: at.y },
        ];
  }
  const reach = ROUND.includes(p.node.symbol) ? (s.w / 2 - Math.sqrt(Math.max(0, (s.w / 2) ** 2 - (at.y - s.y - s.h / 2) ** 2))) * (side === 'west' ? 1 : -1) : 0;
  return Math.abs(x + reach - at.x) > 0.5 ? [{ x: x + reach, y: at.y }] : [];
}

/** Puts strokes and words where the layout engine has placed their boxes. */
export function drawingOf(diagram: Diagram, laid: ElkGraph): Drawing {
  const boxes = new Map(laid.children.flatMap((b) => [b, ...(b.children ?? [])]).map((b) => [b.id, boundsOf(b)]));
  const placed = new Map(diagram.nodes.map((node): [string, Placed] => [node.id, { node, box: boxes.get(node.id)! }]));
  const byId = new Map(diagram.lines.map((l) => [l.id, l]));
  const dots: DrawnDot[] = [];
  const end = (l: DiagramLine, which: 'from' | 'to', at: ElkPoint): ElkPoint[] => {
    const here = l[which];
    const p = placed.get(here.node)!;
    const inner = inward(p, at, here);
    if (p.node.symbol === 'bars' && inner[0]) dots.push({ ...inner[0], pole: here.pole });
    return which === 'from' ? [...inner] : [...inner].reverse();
  };
  const lines = laid.edges.map((e): DrawnLine => {
    const l = byId.get(e.id)!;
    const points = (e.sections ?? []).flatMap((s) => [...end(l, 'from', s.startPoint), s.startPoint, ...(s.bendPoints ?? []), s.endPoint, ...end(l, 'to', s.endPoint)]);
    return { id: l.id, kind: l.kind, run: l.run, points, d: path(points) };
  });
  const nodes = [...placed.values()].map((p): DrawnNode => {
    const s = symbolBox(p);
    return { node: p.node, ...s, strokes: p.node.symbol === 'bars' ? bars(s.w, s.h) : SYMBOLS[p.node.symbol](s.w, s.h) };
  });
  const labels = laid.edges.flatMap((e) =>
    (e.labels ?? []).map((t): DrawnText => ({ of: e.id, run: byId.get(e.id)!.run, x: t.x! + t.width / 2, y: t.y! + LABEL.height - 3, anchor: 'middle', lines: t.text.split('\n'), what: 'label' })),
  );
  const frames = diagram.frames.flatMap(({ id, name }): DrawnFrame[] => {
    const b = boxes.get(frameId(id));
    return b ? [{ id, name, x: b.x, y: b.y, w: b.width, h: b.height }] : [];
  });
  const titles = [...placed.values()].flatMap((p) => titleOf(p));
  return { width: Math.ceil(laid.width ?? 0), height: Math.ceil(laid.height ?? 0), lines, nodes, texts: [...labels, ...titles], dots, frames };
}

/** Strokes of a symbol as it stands in a state. */
export const strokesAt = ({ node, w, h }: Pick<DrawnNode, 'node' | 'w' | 'h'>, arm: Arm): readonly Stroke[] => SYMBOLS[node.symbol](w, h, arm);

function bars(w: number, h: number): Stroke[] {
  return (['plus', 'minus'] as const).map((pole) => ({ d: `M${w * BAR_X[pole]} 4V${h - 4}`, thick: true }));
}

function titleOf(p: Placed): DrawnText[] {
  const lines = wordsOf(p.node);
  const s = symbolBox(p);
  const middle = s.x + s.w / 2;
  const label: DrawnText[] = p.node.label
    ? [{ of: p.node.id, run: p.node.run, x: middle, y: p.box.y + p.box.height - labelHeight(p.node) + LABEL.height - 2, anchor: 'middle', lines: p.node.label.split('\n'), what: 'label' }]
    : [];
  if (!lines.length) return label;
  const common = { of: p.node.id, run: p.node.run, lines, what: 'title' as const };
  if (p.node.last) return [{ ...common, x: s.x + s.w + 6, y: s.y + s.h / 2 + 4 - ((lines.length - 1) * LABEL.height) / 2, anchor: 'start' }];
  const y = wordsAbove(p.node) ? p.box.y + LABEL.height - 3 : s.y + s.h + LABEL.height - 2;
  return [{ ...common, x: middle, y, anchor: 'middle' }, ...label];
}
