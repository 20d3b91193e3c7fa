import { gridWay, lay, type Grid } from './index.js';

/** Repeatable numbers from 0 to 1. */
function dice(seed: number): () => number {
  let s = seed;
  return () => (s = (s * 16807) % 2147483647) / 2147483647;
}

const empty = (columns: number, rows: number, shut: readonly number[] = []): Grid => ({ columns, rows, shut: new Set(shut), laid: new Map() });
const cornersOf = (cells: readonly number[], out: number): number => {
  const steps = [[1, -1, 0, 0][out] ?? 0, ...cells.slice(1).map((c, i) => c - cells[i]!)];
  const axis = [out < 2 ? 1 : 2, ...steps.slice(1).map((d) => (Math.abs(d) === 1 ? 1 : 2))];
  return axis.filter((a, i) => i > 0 && a !== axis[i - 1]).length;
};

/** Fewest cells plus four for each corner, by trying every way that meets no cell twice in the same direction. */
function byTrying(grid: Grid, from: number, out: number, to: number): number {
  const { columns, rows, shut } = grid;
  let best = Infinity;
  const walk = (cell: number, direction: number, cost: number, seen: ReadonlySet<number>): void => {
    if (cost >= best) return;
    if (cell === to) {
      best = cost;
      return;
    }
    const [x, y] = [cell % columns, Math.floor(cell / columns)];
    for (const [turn, [dx, dy]] of (
      [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const
    ).entries()) {
      const [nx, ny] = [x + dx, y + dy];
      const next = ny * columns + nx;
      if ((turn ^ 1) === direction || nx < 0 || ny < 0 || nx >= columns || ny >= rows || seen.has(next * 4 + turn) || (shut.has(next) && next !== to)) continue;
      walk(next, turn, cost + 1 + (turn === direction ? 0 : 4), new Set([...seen, next * 4 + turn]));
    }
  };
  walk(from, out, 0, new Set([from * 4 + out]));
  return best;
}

describe('a way over a grid', () => {
  it('is the cheapest there is, on sheets small enough to try every way', () => {
    const roll = dice(7);
    let ways = 0;
    for (let n = 0; n < 120; n++) {
      const [columns, rows] = [3 + Math.floor(roll() * 2), 3 + Math.floor(roll() * 2)];
      const cells = columns * rows;
      const [from, to, out] = [Math.floor(roll() * cells), Math.floor(roll() * cells), Math.floor(roll() * 4)];
      const shut = Array.from({ length: cells }, (_, i) => i).filter((i) => i !== from && roll() < 0.25);
      if (from === to) continue;
      const grid = empty(columns, rows, shut);
      const way = gridWay(grid, from, out, to);
      const best = byTrying(grid, from, out, to);
      if (!way) expect(best).toBe(Infinity);
      else {
        ways++;
        expect(way.length - 1 + 4 * cornersOf(way, out)).toBe(best);
        expect(way.slice(1, -1).some((c) => grid.shut.has(c))).toBeFalse();
      }
    }
    expect(ways).toBeGreaterThan(40);
  });

  it('keeps beside what lies there already, and crosses it square', () => {
    const grid = empty(9, 5);
    const first = gridWay(grid, 18, 0, 26)!;
    expect(first).toEqual([18, 19, 20, 21, 22, 23, 24, 25, 26]);
    lay(grid, first);
    const beside = gridWay(grid, 18, 0, 26)!;
    expect(beside.filter((c) => first.includes(c)).length).toBeLessThan(4);
    expect(gridWay(grid, 4, 2, 40)).toEqual([4, 13, 22, 31, 40]);
  });

  it('is none where everything around is shut', () => {
    expect(gridWay(empty(3, 3, [1, 3, 5, 7]), 4, 0, 8)).toBeNull();
  });
});
