import type { Board } from '../design/index.js';
import { BOARD_FACE, boardHoles, type BoardHole, type Gear } from '../places/index.js';
import { gridWay, lay, leavingBoard, type RunEnd, type SizedRun } from '../routes/index.js';
import type { BoardLink } from './board-links.js';
import { corners, Sheet, type OnBoard, type Terminal } from './board-sheet.js';
import { COUNTED_MINUS, type InlinePart } from './inline.js';

/** A cable that lies on the board. */
export interface BoardCable {
  readonly id: string;
  /** The run that it is of; null: a short link between a part in line and what it stands before. */
  readonly run: SizedRun | null;
  readonly name: string;
  /** Both poles side by side, or one alone where the other goes elsewhere. */
  readonly poles: 'both' | 'feed' | 'return';
  /** Of each pole, mm²; null: no size yet. */
  readonly areaMm2: number | null;
  /** Corners from one end to the other, every piece along u or along v. */
  readonly way: readonly OnBoard[];
  /** Where it ends: at another thing on the board, in a gland of it, or over its edge where no gland was left. */
  readonly ends: 'gear' | 'gland' | 'edge';
}

type Wire = Pick<BoardCable, 'id' | 'run' | 'name' | 'poles' | 'areaMm2'> & { readonly from: string; readonly to: string };

const middleOf = (g: Gear): OnBoard => ({ u: g.u + g.outline.w / 2, v: g.v + g.outline.h / 2 });

/** The thing at whose stud a pole of a run ends: what stands in line there, or its gear. */
function studOf(end: RunEnd, pole: 'plus' | 'minus', inline: readonly InlinePart[]): string {
  const node = end[pole];
  const before = inline.find((p) => p.a === node && !node.startsWith('bus'));
  const behind = inline.find((p) => p.b === node && !node.startsWith('bus'));
  const part = before ?? behind;
  return part && !part.onHub ? part.id : end.gear;
}

/** The poles of a run as wires: together where they go the same way. */
function wiresOf(run: SizedRun, inline: readonly InlinePart[]): Wire[] {
  const { spec } = run;
  const shared = { run, name: `run ${spec.number}, ${spec.name}`, areaMm2: run.ok ? run.figures.areaMm2 : null };
  const pole = (p: 'plus' | 'minus'): Pick<Wire, 'from' | 'to'> => ({ from: studOf(spec.from, p, inline), to: studOf(spec.to, p, inline) });
  const [feed, back] = [pole('plus'), pole('minus')];
  if (spec.back === 'chassis') return [{ ...shared, ...feed, id: spec.id, poles: 'feed' }];
  if (feed.from === back.from && feed.to === back.to) return [{ ...shared, ...feed, id: spec.id, poles: 'both' }];
  return [
    { ...shared, ...feed, id: `${spec.id} feed`, poles: 'feed' },
    { ...shared, ...back, id: `${spec.id} return`, poles: 'return' },
  ];
}

/** The short links of the parts in line. */
const linkWires = (links: readonly BoardLink[], inline: readonly InlinePart[]): Wire[] =>
  links.map((l) => {
    const part = inline.find((p) => p.id === l.part)!;
    const to = part.b === COUNTED_MINUS || part.id === 'charging' ? 'switch' : 'bus';
    return { id: `${l.part} link`, run: null, name: `${l.name}, ${l.size}`, poles: part.pole === 'positive' ? 'feed' : 'return', areaMm2: l.areaMm2, from: part.id, to };
  });

/** What a board carries, and what is joined to it. */
export interface BoardContent {
  readonly gear: readonly Gear[];
  readonly runs: readonly SizedRun[];
  readonly inline: readonly InlinePart[];
  readonly links: readonly BoardLink[];
}

/** The gland through which each run leaves, where one is left for it. */
function glandsOf(board: Board, { gear, runs }: BoardContent): ReadonlyMap<string, BoardHole | undefined> {
  const leaving = leavingBoard(gear, runs, board.entry);
  const saws = leaving.map((l) => l.sawMm);
  const glands = boardHoles(board, gear, saws).filter((h) => h.kind === 'gland');
  return new Map(leaving.flatMap((l, i) => l.runs.map((r) => [r.spec.id, glands[i]] as const)));
}

/** A wire with at least one end on the board: first the end that is, then where it is bound. */
interface Bound {
  readonly wire: Wire;
  readonly first: Gear;
  readonly second: Gear | undefined;
  readonly gland: BoardHole | undefined;
  readonly from: OnBoard;
  readonly to: OnBoard;
}

function boundOf(wire: Wire, aboard: ReadonlyMap<string, Gear>, glands: ReadonlyMap<string, BoardHole | undefined>): Bound[] {
  const [a, b] = [aboard.get(wire.from), aboard.get(wire.to)];
  const first = a ?? b;
  if (!first || a === b) return [];
  const second = a ? b : undefined;
  const gland = wire.run ? glands.get(wire.run.spec.id) : undefined;
  const from = middleOf(first);
  return [{ wire, first, second, gland, from, to: second ? middleOf(second) : (gland ?? from) }];
}

const farMm = ({ from, to }: Bound): number => Math.abs(to.u - from.u) + Math.abs(to.v - from.v);

/**
 * How the cables lie on the board: from each terminal in lanes between the things to the other thing, or to the gland where
 * the run leaves; the battery's leads by way of switch and shunt. The shortest are laid first. A cable that finds no lane is
 * left out, as one without place.
 * @example boardCables(design.board, assessment)[0].ends // 'gear'
 */
export function boardCables(board: Board, content: BoardContent): readonly BoardCable[] {
  const { gear, runs, inline, links } = content;
  const aboard = new Map(gear.filter((g) => g.face === BOARD_FACE).map((g) => [g.id, g]));
  const sheet = new Sheet(board, [...aboard.values()]);
  const glands = glandsOf(board, content);
  const bound = [...runs.flatMap((r) => wiresOf(r, inline)), ...linkWires(links, inline)].flatMap((w) => boundOf(w, aboard, glands));
  const terminals = new Map<string, Terminal>();
  for (const g of aboard.values()) {
    const here = bound.filter((b) => b.first === g || b.second === g);
    const places = here.map((b) => (b.first === g ? b.to : b.from));
    sheet.terminals(g, places).forEach((t, i) => terminals.set(`${here[i]!.wire.id} ${g.id}`, t));
  }
  return bound
    .sort((x, y) => farMm(x) - farMm(y))
    .flatMap(({ wire, first, second, gland }): BoardCable[] => {
      const start = terminals.get(`${wire.id} ${first.id}`)!;
      const end = second ? terminals.get(`${wire.id} ${second.id}`)! : gland ? { cell: sheet.cell(gland), at: { u: gland.u, v: gland.v } } : sheet.edge(start.at);
      const cells = gridWay(sheet.grid, start.cell, start.out, end.cell);
      if (!cells) return [];
      lay(sheet.grid, cells);
      const way = cells.map(sheet.at);
      const turn = second ? [] : [{ u: end.at.u, v: way.at(-1)!.v }];
      const { id, run, name, poles, areaMm2 } = wire;
      return [{ id, run, name, poles, areaMm2, way: corners([start.at, ...way, ...turn, end.at]), ends: second ? 'gear' : gland ? 'gland' : 'edge' }];
    });
}
