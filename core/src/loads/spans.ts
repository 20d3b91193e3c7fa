export type HourSpan = readonly [fromH: number, toH: number];

/** Hours in spans that do not overlap. @example spanHours([[0, 6], [22, 24]]) // 8 */
export function spanHours(spans: readonly HourSpan[]): number {
  return spans.reduce((sum, [from, to]) => sum + to - from, 0);
}

/** What is left of the spans outside the others. @example spansWithout([[8, 20]], [[9, 12]]) // [[8, 9], [12, 20]] */
export function spansWithout(spans: readonly HourSpan[], taken: readonly HourSpan[]): readonly HourSpan[] {
  return taken.reduce<readonly HourSpan[]>(
    (left, [from, to]) =>
      left.flatMap(([a, b]): HourSpan[] => {
        const pieces: HourSpan[] = [
          [a, Math.min(b, from)],
          [Math.max(a, to), b],
        ];
        return to <= a || from >= b ? [[a, b]] : pieces.filter(([x, y]) => y > x);
      }),
    spans,
  );
}

/** All hours of both, none of them twice. @example spansTogether([[18, 24]], [[16, 19]]) // [[18, 24], [16, 18]] */
export const spansTogether = (spans: readonly HourSpan[], more: readonly HourSpan[]): readonly HourSpan[] => [...spans, ...spansWithout(more, spans)];

/** Hours of the spans within [fromH, toH). @example hoursWithin([[8, 20]], 7, 9) // 1 */
export function hoursWithin(spans: readonly HourSpan[], fromH: number, toH: number): number {
  return spans.reduce((sum, [a, b]) => sum + Math.max(0, Math.min(b, toH) - Math.max(a, fromH)), 0);
}
