import { CHEMISTRY, restV, type ChemistryFigures } from '../catalogue/index.js';
import { Disconnect } from './disconnect.js';
import type { TripInput } from './input.js';
import { dayProfile, type DayProfile } from './profile.js';
import { terminalV, type Balance } from './settle.js';

export interface TripResult {
  readonly finalSoc: number;
  readonly minSoc: number;
  /** Hours since the start at which the lowest charge was reached. */
  readonly minSocAtH: number;
  readonly endOfDaySoc: readonly number[];
  /** Ah by day. */
  readonly loadAh: readonly number[];
  readonly sunAh: readonly number[];
  readonly alternatorAh: readonly number[];
  readonly mainsAh: readonly number[];
  readonly belowReserveH: number;
  readonly criticalOffH: number;
  readonly disconnectOperations: number;
  /** State of charge at each full hour, the start included; for pictures. */
  readonly hourlySoc: readonly number[];
}

/** Constants of one trip. */
interface Setting {
  readonly input: TripInput;
  readonly figures: ChemistryFigures;
  readonly profile: DayProfile;
  readonly kH: number;
  readonly ohm: number;
  readonly chargeOhm: number;
  readonly mayCharge: boolean;
  readonly sunMaxA: number;
}

/** What moves. */
interface State {
  chargeAh: number;
  readonly gate: Disconnect;
  readonly balance: Balance;
  criticalOffH: number;
  volts: number;
  batteryA: number;
  loadA: number;
}

function setting(input: TripInput): Setting {
  const figures = CHEMISTRY[input.battery.chemistry];
  const ohm = (figures.milliohmAt100Ah / 1000) * (100 / input.battery.capacityAh);
  const [coldC, hotC] = figures.chargeRangeC;
  return {
    input,
    figures,
    profile: dayProfile(input),
    kH: input.stepS / 3600,
    ohm,
    chargeOhm: ohm * figures.chargeResistance,
    mayCharge: input.battery.ambientC >= coldC && input.battery.ambientC <= hotC,
    sunMaxA: input.sunMaxA ?? Infinity,
  };
}

/** Current a battery takes, A: what is offered, held down by absorption volts, C-rate, taper and the room left. */
function acceptedA(offeredA: number, vocV: number, chargeAh: number, t: Setting): number {
  const { capacityAh } = t.input.battery;
  const f = t.figures;
  if (!t.mayCharge || chargeAh >= capacityAh) return 0;
  const byVolts = (f.absorptionV - vocV) / t.chargeOhm;
  const byTaper = (capacityAh * (1 - chargeAh / capacityAh)) / f.taperH;
  const byRoom = (capacityAh - chargeAh) / (f.coulombic * t.kH);
  return Math.max(0, Math.min(offeredA, byVolts, f.maxChargeC * capacityAh, byTaper, byRoom));
}

/** Settles volts and battery current of one step; a collapse opens the disconnect and settles again without loads. */
function settle(s: State, t: Setting, criticalShare: number): void {
  const b = s.balance;
  const vocV = restV(t.input.battery.chemistry, s.chargeAh / t.input.battery.capacityAh);
  let v = terminalV(vocV, t.ohm, b);
  if (Number.isNaN(v)) {
    s.gate.open(false);
    b.loadW = b.loadA = 0;
    s.criticalOffH += t.kH * criticalShare;
    v = terminalV(vocV, t.ohm, b);
  }
  let i = (v - vocV) / t.ohm;
  if (i > 0) {
    i = Math.max(0, (terminalV(vocV, t.chargeOhm, b) - vocV) / t.chargeOhm);
    i = acceptedA(i, vocV, s.chargeAh, t);
    v = vocV + i * t.chargeOhm;
  }
  s.volts = v;
  s.batteryA = i;
  s.loadA = b.loadW / v + b.loadA;
}

function moveCharge(s: State, t: Setting): void {
  if (s.batteryA > 0) {
    s.chargeAh += s.batteryA * t.figures.coulombic * t.kH;
    return;
  }
  const needAh = -s.batteryA * t.kH;
  if (needAh < s.chargeAh) {
    s.chargeAh -= needAh;
    return;
  }
  const lackA = (needAh - s.chargeAh) / t.kH;
  s.loadA = Math.max(0, s.loadA - lackA);
  s.batteryA += lackA;
  s.chargeAh = 0;
  s.gate.open(true);
}

class Ledger {
  readonly loadAh: number[] = [];
  readonly sunAh: number[] = [];
  readonly alternatorAh: number[] = [];
  readonly mainsAh: number[] = [];
  private load = 0;
  private sun = 0;
  private alternator = 0;
  private mains = 0;

  /** Books one step: what was used is taken from the sun first, then the alternator, then the mains. */
  book(s: State, t: Setting, alternatorA: number): void {
    const b = s.balance;
    let left = Math.max(0, s.loadA + s.batteryA);
    const sunA = Math.min(left, b.sunW / s.volts, t.sunMaxA);
    left -= sunA;
    const fromAlternatorA = Math.min(left, alternatorA);
    left -= fromAlternatorA;
    this.load += s.loadA * t.kH;
    this.sun += sunA * t.kH;
    this.alternator += fromAlternatorA * t.kH;
    this.mains += Math.min(left, b.chargeA - alternatorA) * t.kH;
  }

  closeDay(): void {
    this.loadAh.push(this.load);
    this.sunAh.push(this.sun);
    this.alternatorAh.push(this.alternator);
    this.mainsAh.push(this.mains);
    this.load = this.sun = this.alternator = this.mains = 0;
  }
}

function prepare(s: State, t: Setting, step: number, clearness: number): void {
  const p = t.profile;
  const b = s.balance;
  b.loadW = s.gate.isOpen ? 0 : p.loadW[step]!;
  b.loadA = s.gate.isOpen ? 0 : p.loadA[step]!;
  b.sunW = p.sunW[step]! * clearness;
  b.chargeA = p.alternatorA[step]! + p.mainsA[step]!;
  if (s.gate.isOpen) s.criticalOffH += t.kH * p.criticalShare[step]!;
}

/**
 * A trip, stepped with a fixed step: charge over the days, what each source gave, and when critical loads were off.
 * @example simulateTrip(input).minSoc // 0.543561
 */
export function simulateTrip(input: TripInput): TripResult {
  const t = setting(input);
  const { capacityAh, startSoc } = input.battery;
  const s: State = {
    chargeAh: capacityAh * startSoc,
    gate: new Disconnect(input.cutoff.openV, input.cutoff.closeV),
    balance: { loadW: 0, loadA: 0, sunW: 0, sunMaxA: t.sunMaxA, chargeA: 0 },
    criticalOffH: 0,
    volts: 0,
    batteryA: 0,
    loadA: 0,
  };
  const ledger = new Ledger();
  const endOfDaySoc: number[] = [];
  const hourlySoc = [startSoc];
  const stepsPerHour = 3600 / input.stepS;
  let [minSoc, minSocAtH, belowReserveH] = [startSoc, 0, 0];
  for (let day = 0; day < input.days; day++) {
    const clearness = input.clearness?.[day] ?? 1;
    for (let step = 0; step < t.profile.steps; step++) {
      prepare(s, t, step, clearness);
      settle(s, t, t.profile.criticalShare[step]!);
      moveCharge(s, t);
      ledger.book(s, t, t.profile.alternatorA[step]!);
      const soc = s.chargeAh / capacityAh;
      s.gate.watch(s.volts, soc, input.stepS);
      if (soc < minSoc) [minSoc, minSocAtH] = [soc, day * 24 + (step + 1) * t.kH];
      if (soc < input.reserveSoc) belowReserveH += t.kH;
      if ((step + 1) % stepsPerHour === 0) hourlySoc.push(soc);
    }
    endOfDaySoc.push(s.chargeAh / capacityAh);
    ledger.closeDay();
  }
  return {
    finalSoc: s.chargeAh / capacityAh,
    minSoc,
    minSocAtH,
    endOfDaySoc,
    loadAh: ledger.loadAh,
    sunAh: ledger.sunAh,
    alternatorAh: ledger.alternatorAh,
    mainsAh: ledger.mainsAh,
    belowReserveH,
    criticalOffH: s.criticalOffH,
    disconnectOperations: s.gate.operations,
    hourlySoc,
  };
}
