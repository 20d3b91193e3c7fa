import type { BuildTask } from './task.js';

/**
 * Minutes of changes below which no order can stay: each place is arrived at, and each tool used there beyond the first of a
 * visit is picked up, or costs a visit more.
 */
export function leastChangeMin({ steps, startPlace, placeChangeMin, toolChangeMin }: BuildTask): number {
  return [...new Set(steps.map((s) => s.place))].reduce((sum, place) => {
    const tools = new Set(steps.flatMap((s) => (s.place === place && s.tool != null ? [s.tool] : []))).size;
    const visits = Array.from({ length: Math.max(1, tools) }, (_, i) => i + 1);
    const arrivals = (n: number): number => (place === startPlace ? n - 1 : n);
    return sum + Math.min(...visits.map((n) => arrivals(n) * placeChangeMin + Math.max(0, tools - n) * toolChangeMin));
  }, 0);
}
