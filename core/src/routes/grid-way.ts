import TinyQueue from 'tinyqueue';

/** A sheet as square cells. */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  /** Cells that nothing may be laid over. */
  readonly shut: ReadonlySet<number>;
  /** Cells where something lies already: 1 along u, 2 along v, 3 both. */
  readonly laid: Map<number, number>;
}

/** Directions: along u, against it, along v, against it. */
const STEPS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const;

/** What a corner costs, what lying over another cable does for each cell, and what crossing one does; a cell costs 1. */
const COSTS = { corner: 4, over: 8, across: 2 } as const;

interface Reached {
  readonly state: number;
  readonly cost: number;
  readonly hope: number;
}

const axisOf = (direction: number): number => (direction < 2 ? 1 : 2);

function stepCost(grid: Grid, cell: number, direction: number): number {
  const laid = grid.laid.get(cell) ?? 0;
  return 1 + (laid & axisOf(direction) ? COSTS.over : 0) + (laid & ~axisOf(direction) ? COSTS.across : 0);
}

/**
 * The way between two cells in straight pieces with the fewest corners, clear of what is shut and beside what is laid, by A*
 * (Hart, Nilsson, Raphael 1968); cells from first to last, null where none leads there. It sets out in a direction of
 * {@link STEPS}: 0 along u, 1 against it, 2 along v, 3 against it.
 */
export function gridWay(grid: Grid, from: number, out: number, to: number): readonly number[] | null {
  const { columns, rows } = grid;
  const [tx, ty] = [to % columns, Math.floor(to / columns)];
  const least = new Float64Array(columns * rows * 4).fill(Infinity);
  const back = new Int32Array(columns * rows * 4).fill(-1);
  const hope = (cell: number): number => Math.abs((cell % columns) - tx) + Math.abs(Math.floor(cell / columns) - ty);
  const open = new TinyQueue<Reached>([{ state: from * 4 + out, cost: 0, hope: hope(from) }], (a, b) => a.cost + a.hope - b.cost - b.hope);
  least[from * 4 + out] = 0;
  for (let here = open.pop(); here; here = open.pop()) {
    const [cell, direction] = [here.state >> 2, here.state & 3];
    if (cell === to) return trace(back, here.state);
    if (here.cost > least[here.state]!) continue;
    const [x, y] = [cell % columns, Math.floor(cell / columns)];
    for (const [turn, [dx, dy]] of STEPS.entries()) {
      // Nothing turns on its heel.
      if ((turn ^ 1) === direction) continue;
      const [nx, ny] = [x + dx, y + dy];
      if (nx < 0 || ny < 0 || nx >= columns || ny >= rows) continue;
      const next = ny * columns + nx;
      if (grid.shut.has(next) && next !== to) continue;
      const cost = here.cost + stepCost(grid, next, turn) + (turn === direction ? 0 : COSTS.corner);
      const state = next * 4 + turn;
      if (cost >= least[state]!) continue;
      least[state] = cost;
      back[state] = here.state;
      open.push({ state, cost, hope: hope(next) });
    }
  }
  return null;
}

function trace(back: Int32Array, last: number): number[] {
  const cells = [last >> 2];
  for (let state = back[last]!; state >= 0; state = back[state]!) cells.unshift(state >> 2);
  return cells;
}

/** Notes that something lies along these cells. */
export function lay(grid: Grid, cells: readonly number[]): void {
  cells.forEach((cell, i) => {
    const beside = [cells[i - 1], cells[i + 1]].filter((c) => c !== undefined);
    const axis = beside.reduce((a, c) => a | (Math.abs(c - cell) === 1 ? 1 : 2), 0);
    grid.laid.set(cell, (grid.laid.get(cell) ?? 0) | axis);
  });
}
