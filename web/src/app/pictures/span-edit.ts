import type { HourSpan } from '@meridex/core';

/** Half hours. */
export function snapHour(h: number): number {
  return Math.round(h * 2) / 2;
}

/** Spans in order, those that touch made one, empty ones left out. */
export function joinSpans(spans: readonly HourSpan[]): readonly HourSpan[] {
  const sorted = spans.filter(([a, b]) => b > a).sort(([a], [b]) => a - b);
  return sorted.reduce<HourSpan[]>((done, [a, b]) => {
    const last = done.at(-1);
    if (last && a <= last[1]) done[done.length - 1] = [last[0], Math.max(last[1], b)];
    else done.push([a, b]);
    return done;
  }, []);
}

export function withoutSpan(spans: readonly HourSpan[], index: number): readonly HourSpan[] {
  return spans.filter((_, i) => i !== index);
}

/** A span moved whole, kept within the day. */
export function moveSpan(spans: readonly HourSpan[], index: number, by: number): readonly HourSpan[] {
  return spans.map(([a, b], i) => {
    if (i !== index) return [a, b];
    const shift = Math.min(24 - b, Math.max(-a, by));
    return [a + shift, b + shift];
  });
}

/** One end moved, never past the other or out of the day. */
export function handleMoved(spans: readonly HourSpan[], index: number, end: 0 | 1, to: number): readonly HourSpan[] {
  return spans.map(([a, b], i) => {
    if (i !== index) return [a, b];
    return end === 0 ? [Math.max(0, Math.min(b - 0.5, to)), b] : [a, Math.min(24, Math.max(a + 0.5, to))];
  });
}
