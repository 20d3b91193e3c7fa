import { along, box, line, round, type Stroke } from './strokes';

/** Two bars with their studs, feed above return. */
export function barsFront(w: number, h: number): Stroke[] {
  const bar = h * 0.26;
  const studs = Math.max(3, Math.min(7, Math.round(w / 36)));
  const row = (y: number, look: 'feed' | 'return'): Stroke[] => [
    box(look, w * 0.05, y - bar / 2, w * 0.9, bar, bar * 0.2),
    ...along(studs, w * 0.07, w * 0.86).map((x) => round('face', x, y, Math.min(bar * 0.32, w * 0.05))),
  ];
  return [box('case', 0, 0, w, h, Math.min(w, h) * 0.06), ...row(h * 0.29, 'feed'), ...row(h * 0.71, 'return')];
}

/** A fuse block: two columns of blades under their cover, the stud of its feed at the foot. */
export function blockFront(w: number, h: number): Stroke[] {
  const ways = Math.max(3, Math.min(6, Math.round(h / 28)));
  const blades = along(ways, h * 0.07, h * 0.74).flatMap((y) => [0.13, 0.55].map((x) => box('dark', w * x, y - (h * 0.74) / ways / 3.2, w * 0.32, ((h * 0.74) / ways) * 0.62, 3)));
  return [
    box('case', 0, 0, w, h, Math.min(w, h) * 0.08),
    box('face', w * 0.06, h * 0.05, w * 0.88, h * 0.78, Math.min(w, h) * 0.05),
    ...blades,
    round('feed', w / 2, h * 0.91, Math.min(w * 0.1, h * 0.055)),
  ];
}

/** A battery switch: a square foot, its round knob turned on. */
export function switchFront(w: number, h: number): Stroke[] {
  const r = Math.min(w, h) * 0.4;
  return [box('case', 0, 0, w, h, Math.min(w, h) * 0.14), round('face', w / 2, h / 2, r), box('feed', w / 2 - r * 0.22, h / 2 - r * 0.95, r * 0.44, r * 1.9, r * 0.2)];
}

/** A shunt: two blocks with their bolts, the strips of its resistance between them. */
export function shuntFront(w: number, h: number): Stroke[] {
  const [flat, m] = [w >= h, Math.min(w, h)];
  const [long, across] = flat ? [w, h] : [h, w];
  const place = (x: number, y: number, l: number, a: number): Stroke => (flat ? box('return', x, y, l, a, m * 0.06) : box('return', y, x, a, l, m * 0.06));
  const head = Math.min(across * 0.2, long * 0.1);
  const bolt = (x: number): Stroke => (flat ? round('face', x, h / 2, head) : round('face', w / 2, x, head));
  return [
    box('case', 0, 0, w, h, m * 0.06),
    place(long * 0.04, across * 0.14, long * 0.28, across * 0.72),
    place(long * 0.68, across * 0.14, long * 0.28, across * 0.72),
    ...[0.3, 0.5, 0.7].map((y) => (flat ? line([w * 0.32, h * y], [w * 0.68, h * y]) : line([w * y, h * 0.32], [w * y, h * 0.68]))),
    bolt(long * 0.18),
    bolt(long * 0.82),
  ];
}

/** A low-voltage disconnect or a relay: two studs and a lamp. */
export function relayFront(w: number, h: number): Stroke[] {
  const r = Math.min(w, h) * 0.14;
  return [
    box('case', 0, 0, w, h, r),
    box('face', w * 0.14, h * 0.12, w * 0.72, h * 0.46, r * 0.5),
    line([w * 0.26, h * 0.4], [w * 0.46, h * 0.4], [w * 0.66, h * 0.24]),
    line([w * 0.62, h * 0.4], [w * 0.76, h * 0.4]),
    round('feed', w * 0.28, h * 0.78, r),
    round('feed', w * 0.72, h * 0.78, r),
  ];
}

/** A display: its screen, and keys beneath. */
export function displayFront(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('case', 0, 0, w, h, m * 0.12),
    box('screen', w * 0.12, h * 0.14, w * 0.76, h * 0.5, m * 0.04),
    line([w * 0.22, h * 0.5], [w * 0.4, h * 0.34], [w * 0.56, h * 0.44], [w * 0.76, h * 0.26]),
    ...[0.28, 0.5, 0.72].map((x) => round('dark', w * x, h * 0.82, m * 0.06)),
  ];
}
