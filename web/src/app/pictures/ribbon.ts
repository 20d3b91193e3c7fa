/** One coordinate of a cubic Bézier curve at a share t of it, 0–1, by those of its four points. */
export const onCurve = (t: number, a: number, b: number, c: number, d: number): number => (1 - t) ** 3 * a + 3 * t * (1 - t) ** 2 * b + 3 * t ** 2 * (1 - t) * c + t ** 3 * d;
