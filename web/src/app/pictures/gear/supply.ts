import { along, box, line, round, type Stroke } from './strokes';

/** A battery from above: its lid, two posts, the handle between them. */
export function batteryTop(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  const [r, inset] = [m * 0.1, m * 0.07];
  const wide = w >= h;
  const posts: readonly [number, number][] = wide
    ? [
        [w - inset - 2 * r, h / 2],
        [inset + 2 * r, h / 2],
      ]
    : [
        [w / 2, inset + 2 * r],
        [w / 2, h - inset - 2 * r],
      ];
  return [
    box('case', 0, 0, w, h, m * 0.06),
    box('face', inset, inset, w - 2 * inset, h - 2 * inset, m * 0.05),
    wide ? box('dark', w * 0.34, h * 0.42, w * 0.32, h * 0.16, m * 0.05) : box('dark', w * 0.42, h * 0.34, w * 0.16, h * 0.32, m * 0.05),
    round('feed', ...posts[0]!, r),
    round('return', ...posts[1]!, r),
  ];
}

/** A battery from its side: posts on the lid, ribs in the case. */
export function batteryFront(w: number, h: number): Stroke[] {
  const [post, lid] = [h * 0.1, h * 0.16];
  const wide = Math.min(w * 0.14, h * 0.2);
  return [
    box('feed', w * 0.16 - wide / 2, 0, wide, post + 1),
    box('return', w * 0.84 - wide / 2, 0, wide, post + 1),
    box('case', 0, post, w, h - post, h * 0.04),
    box('dark', 0, post, w, lid, h * 0.03),
    ...along(Math.max(3, Math.round(w / 70)), w * 0.06, w * 0.88).map((x) => line([x, post + lid + h * 0.08], [x, h * 0.94])),
  ];
}

/** The cells of a solar panel in their frame. */
export function panelFace(w: number, h: number): Stroke[] {
  const [m, frame] = [Math.min(w, h), Math.min(w, h) * 0.04];
  const [across, up] = [Math.max(1, Math.round((w / m) * 4)), Math.max(1, Math.round((h / m) * 4))];
  return [
    box('face', 0, 0, w, h, frame),
    box('cell', frame, frame, w - 2 * frame, h - 2 * frame),
    ...Array.from({ length: across - 1 }, (_, i) => line([frame + ((i + 1) * (w - 2 * frame)) / across, frame], [frame + ((i + 1) * (w - 2 * frame)) / across, h - frame])),
    ...Array.from({ length: up - 1 }, (_, i) => line([frame, frame + ((i + 1) * (h - 2 * frame)) / up], [w - frame, frame + ((i + 1) * (h - 2 * frame)) / up])),
  ];
}

/** A case with cooling fins on both sides of a smooth middle, its terminals at the foot. */
function finned(w: number, h: number): Stroke[] {
  const foot = h * 0.16;
  const fins = [...along(4, w * 0.03, w * 0.22), ...along(4, w * 0.75, w * 0.22)];
  return [
    box('case', 0, 0, w, h, Math.min(w, h) * 0.05),
    ...fins.map((x) => line([x, h * 0.06], [x, h - foot - h * 0.04])),
    box('dark', w * 0.06, h - foot, w * 0.88, foot * 0.8, foot * 0.1),
    ...along(4, w * 0.1, w * 0.8).map((x, i) => round(i < 2 ? 'feed' : 'return', x, h - foot * 0.6, foot * 0.24)),
  ];
}

export function chargerFront(w: number, h: number): Stroke[] {
  const m = Math.min(w * 0.44, h * 0.6);
  return [
    ...finned(w, h),
    box('face', w / 2 - m / 2, h * 0.4 - m / 2, m, m, m * 0.1),
    line([w / 2 - m * 0.3, h * 0.4 + m * 0.14], [w / 2 - m * 0.08, h * 0.4 + m * 0.14], [w / 2 + m * 0.04, h * 0.4 - m * 0.16], [w / 2 + m * 0.3, h * 0.4 - m * 0.16]),
    round('feed', w / 2 + m * 0.34, h * 0.4 + m * 0.34, m * 0.06),
  ];
}

export function controllerFront(w: number, h: number): Stroke[] {
  return [...finned(w, h), box('screen', w * 0.3, h * 0.14, w * 0.4, h * 0.26, h * 0.03), ...[0.38, 0.5, 0.62].map((x) => round('dark', w * x, h * 0.58, Math.min(w, h) * 0.05))];
}

export function inverterFront(w: number, h: number): Stroke[] {
  const r = Math.min(w * 0.12, h * 0.22);
  const fan = Math.min(w * 0.16, h * 0.3);
  return [
    box('case', 0, 0, w, h, Math.min(w, h) * 0.05),
    box('face', w * 0.05, h * 0.08, w * 0.9, h * 0.84, Math.min(w, h) * 0.04),
    round('dark', w * 0.24, h * 0.42, fan),
    round('face', w * 0.24, h * 0.42, fan * 0.3),
    ...[0, 60, 120].map((a) =>
      line(
        [w * 0.24 - fan * Math.cos((a * Math.PI) / 180), h * 0.42 - fan * Math.sin((a * Math.PI) / 180)],
        [w * 0.24 + fan * Math.cos((a * Math.PI) / 180), h * 0.42 + fan * Math.sin((a * Math.PI) / 180)],
      ),
    ),
    ...[0.56, 0.8].flatMap((x) => [
      round('case', w * x, h * 0.42, r),
      line([w * x - r * 0.4, h * 0.42 - r * 0.3], [w * x - r * 0.2, h * 0.42 + r * 0.1]),
      line([w * x + r * 0.4, h * 0.42 - r * 0.3], [w * x + r * 0.2, h * 0.42 + r * 0.1]),
      line([w * x, h * 0.42 + r * 0.25], [w * x, h * 0.42 + r * 0.6]),
    ]),
    round('feed', w * 0.44, h * 0.82, Math.min(w, h) * 0.07),
    round('return', w * 0.56, h * 0.82, Math.min(w, h) * 0.07),
  ];
}

/** A charger on 230 V: fins, and the lead with its plug's pins. */
export function mainsFront(w: number, h: number): Stroke[] {
  const m = Math.min(w * 0.4, h * 0.5);
  return [
    ...finned(w, h),
    box('face', w / 2 - m / 2, h * 0.36 - m / 2, m, m, m * 0.5),
    line([w / 2 - m * 0.18, h * 0.36 - m * 0.2], [w / 2 - m * 0.18, h * 0.36 + m * 0.08]),
    line([w / 2 + m * 0.18, h * 0.36 - m * 0.2], [w / 2 + m * 0.18, h * 0.36 + m * 0.08]),
    line([w / 2, h * 0.36 + m * 0.12], [w / 2, h * 0.36 + m * 0.32]),
  ];
}

/** Any warm case from its edge: fins alone. */
export function finsEdge(w: number, h: number): Stroke[] {
  const flat = w >= h;
  const count = Math.max(3, Math.min(9, Math.round(Math.max(w, h) / 30)));
  return [box('case', 0, 0, w, h, Math.min(w, h) * 0.08), ...along(count, 0, flat ? w : h).map((at) => (flat ? line([at, h * 0.2], [at, h * 0.8]) : line([w * 0.2, at], [w * 0.8, at])))];
}
