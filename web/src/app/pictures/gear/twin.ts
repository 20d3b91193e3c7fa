interface At {
  readonly x: number;
  readonly y: number;
}

const path = (points: readonly At[]): string => points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('');

/** A line of pieces along x and along y, moved to its left by so much all along. */
function moved(points: readonly At[], by: number): At[] {
  // Each piece moves square to itself: a corner takes x from its upright piece and y from its level one.
  const off = points.slice(1).map((q, i) => {
    const p = points[i]!;
    return { x: Math.sign(q.y - p.y) * by, y: -Math.sign(q.x - p.x) * by };
  });
  return points.map((p, i) => {
    const [before, after] = [off[i - 1], off[i]];
    return { x: p.x + (before?.x || after?.x || 0), y: p.y + (before?.y || after?.y || 0) };
  });
}

/** Feed and return beside each other along one way, as two paths `apart` from its middle; none apart, both the way itself. */
export const twin = (points: readonly At[], apart: number): readonly [string, string] => [path(moved(points, apart)), path(moved(points, -apart))];
