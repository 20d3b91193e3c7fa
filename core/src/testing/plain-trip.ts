import { CHEMISTRY, restV } from '../catalogue/index.js';
import { MPPT_YIELD } from '../supply/index.js';
import { shareInside, type TripInput } from '../trip/index.js';

/** The trip model written down as plainly as it reads, with an object for every step: what the fast one is held against. */
export interface PlainResult {
  readonly endOfDaySoc: readonly number[];
  readonly loadAh: readonly number[];
  readonly sunAh: readonly number[];
  readonly minSoc: number;
  readonly criticalOffH: number;
  readonly belowReserveH: number;
  readonly disconnectOperations: number;
}

interface Gate {
  readonly open: boolean;
  readonly latched: boolean;
  readonly belowS: number;
  readonly aboveS: number;
  readonly offS: number;
  readonly operations: number;
}

interface Wants {
  readonly loadW: number;
  readonly loadA: number;
  readonly criticalShare: number;
}

interface Offers {
  readonly sunW: number;
  readonly alternatorA: number;
  readonly mainsA: number;
}

interface Balance {
  readonly v: number;
  readonly i: number;
  readonly collapsed: boolean;
}

const CLOSED: Gate = { open: false, latched: false, belowS: 0, aboveS: 0, offS: 0, operations: 0 };
const opened = (g: Gate, latch: boolean): Gate => ({ open: true, latched: g.latched || latch, belowS: 0, aboveS: 0, offS: 0, operations: g.operations + (g.open ? 0 : 1) });

function wantsAt(input: TripInput, h0: number, k: number): Wants {
  const each = input.loads.map((l) => ({ l, share: shareInside(l.hours, h0, h0 + k) }));
  const mean = (kind: 'power' | 'current'): number => each.filter((e) => e.l.kind === kind).reduce((s, e) => s + e.l.value * e.l.duty * e.share, 0);
  return { loadW: mean('power'), loadA: mean('current'), criticalShare: Math.max(0, ...each.filter((e) => e.l.critical).map((e) => e.share)) };
}

function offersAt(input: TripInput, day: number, h0: number, k: number): Offers {
  const { alternator, mains } = input;
  return {
    sunW: (input.sunWatts?.[Math.floor(h0)] ?? 0) * (input.clearness?.[day] ?? 1) * MPPT_YIELD,
    alternatorA: alternator ? alternator.ratedA * alternator.setting * shareInside(alternator.driveHours, h0, h0 + k) : 0,
    mainsA: mains ? mains.ratedA * shareInside(mains.hours, h0, h0 + k) : 0,
  };
}

/** V = A − r·(P_load − P_sun)/V with A = Voc − r·(I_load − I_charge), by its formula. */
function terminal(voc: number, r: number, w: Wants, o: Offers, sunMaxA: number): number {
  const solve = (a: number, p: number): number => (a + Math.sqrt(a * a - 4 * r * p)) / 2;
  const a = voc - r * (w.loadA - o.alternatorA - o.mainsA);
  const v = solve(a, w.loadW - o.sunW);
  const settled = o.sunW > 0 && o.sunW / v > sunMaxA ? solve(a + r * sunMaxA, w.loadW) : v;
  return settled > 0 ? settled : NaN;
}

function settle(input: TripInput, q: number, w: Wants, o: Offers): Balance {
  const { chemistry, capacityAh: c, ambientC } = input.battery;
  const f = CHEMISTRY[chemistry];
  const [r, sunMaxA, k] = [(f.milliohmAt100Ah / 1000) * (100 / c), input.sunMaxA ?? Infinity, input.stepS / 3600];
  const voc = restV(chemistry, q / c);
  const first = terminal(voc, r, w, o, sunMaxA);
  if (Number.isNaN(first)) return { ...settle(input, q, { ...w, loadW: 0, loadA: 0 }, o), collapsed: true };
  if (first <= voc) return { v: first, i: (first - voc) / r, collapsed: false };
  const rCh = r * f.chargeResistance;
  const offered = Math.max(0, (terminal(voc, rCh, w, o, sunMaxA) - voc) / rCh);
  const takes = q < c && ambientC >= f.chargeRangeC[0] && ambientC <= f.chargeRangeC[1];
  const i = takes ? Math.max(0, Math.min(offered, (f.absorptionV - voc) / rCh, f.maxChargeC * c, (c * (1 - q / c)) / f.taperH, (c - q) / (f.coulombic * k))) : 0;
  return { v: voc + i * rCh, i, collapsed: false };
}

function watch(g: Gate, v: number, soc: number, input: TripInput): Gate {
  const { openV, closeV } = input.cutoff;
  const latched = g.latched && soc < 0.05;
  if (!g.open) {
    const belowS = v < openV ? g.belowS + input.stepS : 0;
    return belowS >= 60 ? opened({ ...g, latched }, false) : { ...g, latched, belowS };
  }
  const [offS, aboveS] = [g.offS + input.stepS, v > closeV ? g.aboveS + input.stepS : 0];
  return offS >= 600 && aboveS >= 60 && !latched ? { ...CLOSED, operations: g.operations + 1 } : { ...g, latched, offS, aboveS };
}

export function plainTrip(input: TripInput): PlainResult {
  const { capacityAh: c, startSoc, chemistry } = input.battery;
  const k = input.stepS / 3600;
  const [endOfDaySoc, loadAh, sunAh]: [number[], number[], number[]] = [[], [], []];
  let [q, gate, minSoc, criticalOffH, belowReserveH] = [c * startSoc, CLOSED, startSoc, 0, 0];
  for (let day = 0; day < input.days; day++) {
    let [load, sun] = [0, 0];
    for (let step = 0; step < 86400 / input.stepS; step++) {
      const wants = wantsAt(input, step * k, k);
      const w = gate.open ? { ...wants, loadW: 0, loadA: 0 } : wants;
      const o = offersAt(input, day, step * k, k);
      const b = settle(input, q, w, o);
      if (gate.open) criticalOffH += k * wants.criticalShare;
      if (b.collapsed) {
        gate = opened(gate, false);
        criticalOffH += k * wants.criticalShare;
      }
      let [drawn, i] = [b.collapsed ? 0 : w.loadW / b.v + w.loadA, b.i];
      if (i > 0) q += i * CHEMISTRY[chemistry].coulombic * k;
      else if (-i * k < q) q -= -i * k;
      else {
        const lack = (-i * k - q) / k;
        [drawn, i, q, gate] = [Math.max(0, drawn - lack), i + lack, 0, opened(gate, true)];
      }
      load += drawn * k;
      sun += Math.min(Math.max(0, drawn + i), o.sunW / b.v, input.sunMaxA ?? Infinity) * k;
      gate = watch(gate, b.v, q / c, input);
      minSoc = Math.min(minSoc, q / c);
      if (q / c < input.reserveSoc) belowReserveH += k;
    }
    endOfDaySoc.push(q / c);
    loadAh.push(load);
    sunAh.push(sun);
  }
  return { endOfDaySoc, loadAh, sunAh, minSoc, criticalOffH, belowReserveH, disconnectOperations: gate.operations };
}
