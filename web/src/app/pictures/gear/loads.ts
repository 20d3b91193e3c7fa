import { along, box, line, round, type Stroke } from './strokes';

/** A fridge from its front: the lid on top with its catch, vents of the compressor at the foot. */
export function fridgeFront(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('face', 0, h * 0.04, w, h * 0.96, m * 0.05),
    box('case', 0, 0, w, h * 0.2, m * 0.06),
    box('dark', w * 0.42, h * 0.15, w * 0.16, h * 0.1, m * 0.02),
    box('screen', w * 0.08, h * 0.32, w * 0.18, h * 0.12, m * 0.02),
    ...along(4, h * 0.62, h * 0.26).map((y) => line([w * 0.66, y], [w * 0.92, y])),
    box('dark', w * 0.06, h * 0.95, w * 0.14, h * 0.05),
    box('dark', w * 0.8, h * 0.95, w * 0.14, h * 0.05),
  ];
}

/** A fridge from above: the lid with its hinges and catch. */
export function fridgeTop(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('face', 0, 0, w, h, m * 0.07),
    box('case', w * 0.04, h * 0.06, w * 0.72, h * 0.88, m * 0.05),
    box('dark', w * 0.34, h * 0.88, w * 0.14, h * 0.1, m * 0.02),
    ...[0.16, 0.56].map((x) => box('dark', w * x, h * 0.02, w * 0.1, h * 0.06)),
    ...along(5, h * 0.12, h * 0.76).map((y) => line([w * 0.81, y], [w * 0.95, y])),
  ];
}

/** A pump: the motor and its head with both ports. */
export function pump(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('dark', w * 0.02, h * 0.2, w * 0.52, h * 0.6, m * 0.14),
    ...[0.16, 0.28, 0.4].map((x) => line([w * x, h * 0.24], [w * x, h * 0.76])),
    box('case', w * 0.54, h * 0.08, w * 0.4, h * 0.84, m * 0.08),
    round('face', w * 0.74, h * 0.5, m * 0.22),
    box('face', w * 0.66, 0, w * 0.16, h * 0.1),
    box('face', w * 0.66, h * 0.9, w * 0.16, h * 0.1),
  ];
}

/** A strip of lamps, or a round one. */
export function light(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  if (Math.max(w, h) < 2.5 * m) return [round('case', w / 2, h / 2, m * 0.48), round('screen', w / 2, h / 2, m * 0.34)];
  const flat = w >= h;
  return [
    box('case', 0, 0, w, h, m * 0.4),
    ...along(Math.round(Math.max(w, h) / m / 1.4), 0, flat ? w : h).map((at) => (flat ? round('screen', at, h / 2, m * 0.28) : round('screen', w / 2, at, m * 0.28))),
  ];
}

/** Sockets in their plate. */
export function sockets(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  const flat = w >= h;
  const places = along(Math.max(1, Math.round(Math.max(w, h) / m)), 0, flat ? w : h);
  return [
    box('case', 0, 0, w, h, m * 0.14),
    ...places.flatMap((at) => {
      const [x, y] = flat ? [at, h / 2] : [w / 2, at];
      return [round('dark', x, y, m * 0.34), round('face', x, y, m * 0.12)];
    }),
  ];
}

/** A set with its screen: radio, router, instrument. */
export function set(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('case', 0, 0, w, h, m * 0.1),
    box('screen', w * 0.08, h * 0.16, w * 0.56, h * 0.68, m * 0.05),
    round('dark', w * 0.82, h * 0.36, m * 0.13),
    ...[0.66, 0.8].map((y) => line([w * 0.72, h * y], [w * 0.92, h * y])),
  ];
}

/** A fan: blades in their ring. */
export function fan(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  const blade = (a: number): Stroke => line([w / 2, h / 2], [w / 2 + m * 0.4 * Math.cos(a), h / 2 + m * 0.4 * Math.sin(a)]);
  return [box('case', 0, 0, w, h, m * 0.14), round('face', w / 2, h / 2, m * 0.43), ...[0, 1, 2, 3, 4].map((i) => blade((i * 2 * Math.PI) / 5)), round('dark', w / 2, h / 2, m * 0.12)];
}

/** A heater: its outlet behind bars. */
export function heater(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('case', 0, 0, w, h, m * 0.16),
    round('dark', w * 0.2, h / 2, m * 0.32),
    round('face', w * 0.2, h / 2, m * 0.12),
    ...[0.46, 0.56, 0.66, 0.76, 0.86].map((x) => line([w * x, h * 0.22], [w * x, h * 0.78])),
  ];
}

/** Anything else that draws: a case with its plate. */
export function appliance(w: number, h: number): Stroke[] {
  const m = Math.min(w, h);
  return [
    box('case', 0, 0, w, h, m * 0.07),
    box('face', w * 0.12, h * 0.16, w * 0.76, h * 0.4, m * 0.04),
    line([w * 0.2, h * 0.3], [w * 0.66, h * 0.3]),
    line([w * 0.2, h * 0.42], [w * 0.5, h * 0.42]),
    round('dark', w * 0.78, h * 0.78, m * 0.08),
  ];
}

/** What was there before: known by its outline alone. */
export const there = (w: number, h: number): Stroke[] => [box('face', 0, 0, w, h, Math.min(w, h) * 0.05), line([0, 0], [w, h]), line([w, 0], [0, h])];
