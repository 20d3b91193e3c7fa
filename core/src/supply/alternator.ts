import type { Brief } from '../design/index.js';

/** Hot output as a share of the nameplate at idle and on the road, what the vehicle itself takes, A, and the share of what is left that charging may want on the road. */
export const ALTERNATOR = { hotIdleShare: 0.55, hotCruiseShare: 0.85, vehicleA: 35, wantAtMost: 0.7 } as const;

/** Amps that charging takes from an alternator, at its own volts in each state. */
export interface AlternatorWants {
  readonly idleA: number;
  readonly roadA: number;
}

/** Idle and road apart: what lasts on the road is judged; what is short at idle the starting battery lends. */
export interface AlternatorBudget {
  readonly hotIdleA: number;
  /** Left for charging at idle and on the road, hot. */
  readonly leftA: number;
  readonly leftCruiseA: number;
  readonly vehicleA: number;
  readonly wanted: AlternatorWants;
  /** AlternatorWants over left on the road, Infinity when nothing is left. */
  readonly share: number;
  readonly over: boolean;
  /** Amps that the starting battery lends at idle; 0: none. */
  readonly shortAtIdleA: number;
}

/** What an alternator has left for charging when hot. @example alternatorBudget(150, { idleA: 46.7, roadA: 44 }).leftA // 47.5 */
export function alternatorBudget(ratedA: number, wanted: AlternatorWants, vehicleA: number = ALTERNATOR.vehicleA): AlternatorBudget {
  const hotIdleA = ratedA * ALTERNATOR.hotIdleShare;
  const leftCruiseA = Math.max(0, ratedA * ALTERNATOR.hotCruiseShare - vehicleA);
  const share = wanted.roadA <= 0 ? 0 : leftCruiseA > 0 ? wanted.roadA / leftCruiseA : Infinity;
  return {
    hotIdleA,
    leftA: Math.max(0, hotIdleA - vehicleA),
    leftCruiseA,
    vehicleA,
    wanted,
    share,
    over: share > ALTERNATOR.wantAtMost + 1e-9,
    shortAtIdleA: wanted.idleA > 0 ? Math.max(0, wanted.idleA + vehicleA - hotIdleA) : 0,
  };
}

/** Nameplate of the alternator that so much charging wants on the road, A. @example alternatorFor(35) // 100 */
export const alternatorFor = (roadA: number, vehicleA: number = ALTERNATOR.vehicleA): number => (roadA / ALTERNATOR.wantAtMost + vehicleA) / ALTERNATOR.hotCruiseShare;

/** Minutes at idle until a full starting battery has lent half of what it holds; Infinity: it lends nothing. */
export const idleMinutes = (startingAh: number, shortA: number): number => (shortA > 0 ? (60 * 0.5 * startingAh) / shortA : Infinity);

/** Volts at the starting battery through a drive; per 12 V. */
export type TraceVolts = NonNullable<Brief['alternator']['measured']>;

/** What each kind of alternator usually holds; a drive with a meter on the battery beats it. */
export const TRACE_VOLTS: Readonly<Record<Brief['alternator']['voltage'], TraceVolts>> = {
  fixed: { coldIdleV: 14.3, cruiseV: 14.2, overrunV: 14.2, warmIdleV: 13.8 },
  variable: { coldIdleV: 13.1, cruiseV: 12.5, overrunV: 14.8, warmIdleV: 12.4 },
};

export interface TracePiece {
  readonly fromS: number;
  readonly toS: number;
  readonly phase: 'cold idle' | 'cruise' | 'overrun' | 'warm idle';
  readonly volts: number;
}

/** Seconds of overrun before each stop, shorter than a sensing isolator waits; and how the drive goes. */
const OVERRUN_S = 8;
const DRIVE: readonly (readonly [TracePiece['phase'], number])[] = [
  ['cold idle', 90],
  ...Array.from({ length: 5 }, (): readonly (readonly [TracePiece['phase'], number])[] => [
    ['cruise', 240],
    ['overrun', OVERRUN_S],
    ['warm idle', 40],
  ]).flat(),
];

/** The volts through a half-hour drive: idle from cold, then cruise, overrun and a stop, again and again. */
export function alternatorTrace(alternator: Brief['alternator'], vehicleV: number): readonly TracePiece[] {
  const v = alternator.measured ?? TRACE_VOLTS[alternator.voltage];
  // A measurement is of this vehicle as it is; the defaults are per 12 V.
  const scale = alternator.measured ? 1 : vehicleV / 12;
  const of: Readonly<Record<TracePiece['phase'], number>> = { 'cold idle': v.coldIdleV, cruise: v.cruiseV, overrun: v.overrunV, 'warm idle': v.warmIdleV };
  let at = 0;
  return DRIVE.map(([phase, s]) => {
    const piece = { fromS: at, toS: at + s, phase, volts: of[phase] * scale };
    at += s;
    return piece;
  });
}

/** What a sensing isolator waits for. */
export interface Sensing {
  readonly closeV: number;
  readonly closeAfterS: number;
  readonly openV: number;
  readonly openAfterS: number;
}

/** When a sensing isolator is closed through a drive: [from, to) in seconds; none: it never closes. */
export function closedSpans(trace: readonly TracePiece[], sensing: Sensing): readonly (readonly [fromS: number, toS: number])[] {
  const spans: [number, number][] = [];
  let [closedFrom, above, below] = [-1, 0, 0];
  for (const piece of trace) {
    for (let s = piece.fromS; s < piece.toS; s++) {
      above = piece.volts >= sensing.closeV ? above + 1 : 0;
      below = piece.volts < sensing.openV ? below + 1 : 0;
      if (closedFrom < 0 && above > sensing.closeAfterS) closedFrom = s;
      if (closedFrom >= 0 && below > sensing.openAfterS) {
        spans.push([closedFrom, s]);
        closedFrom = -1;
      }
    }
  }
  if (closedFrom >= 0) spans.push([closedFrom, trace.at(-1)?.toS ?? 0]);
  return spans;
}

/** Share of a drive in which a sensing isolator is closed, 0–1. */
export function closedShare(trace: readonly TracePiece[], sensing: Sensing): number {
  const whole = trace.at(-1)?.toS ?? 0;
  return whole > 0 ? closedSpans(trace, sensing).reduce((s, [a, b]) => s + b - a, 0) / whole : 0;
}
