import { MPPT_YIELD } from '../supply/index.js';
import { acceptedA, DISCONNECT, plannedRestV } from '../trip/index.js';
import { arrayW, shareAt, type ChargerPlan, type RigPlan } from './plan.js';
import { Selectors } from './selectors.js';
import { chargerA, inputA, sumA, workingPoint, type Offers } from './working-point.js';

/** In use is a share above this. */
const IN_USE = 1e-6;
/** Sun that gives less than this, A, counts as none to a charger that takes one source at a time. */
const SOME_SUN_A = 1;

/** What one bank has gone through. */
export interface BankLog {
  chargeAh: number;
  minSoc: number;
  minSocAtH: number;
  belowReserveH: number;
  criticalOffH: number;
  operations: number;
  readonly endOfDaySoc: number[];
  readonly loadAh: Float64Array;
  /** Given to other banks by leads, Ah by day. */
  readonly givenAh: Float64Array;
  /** Energies that must balance, Wh: from the chargers, used by loads and leads, stored, lost. */
  givenWh: number;
  usedWh: number;
  storedWh: number;
  lostWh: number;
}

interface Switch {
  open: boolean;
  latched: boolean;
  belowS: number;
  aboveS: number;
  offS: number;
}

/** A trip of a whole rig while it is stepped through, and what it has come to. */
export class RigRun implements Offers {
  readonly a: Float64Array;
  readonly p: Float64Array;
  readonly banks: readonly BankLog[];
  /** Ah of each input by day, and what its array could have given beyond it; Wh that a vehicle was asked for. */
  readonly inputAh: readonly Float64Array[];
  readonly clippedAh: readonly Float64Array[];
  readonly inputWh: readonly Float64Array[];
  /** Hours in which each input’s lead is plugged in and rests: the giving bank is at its floor, switched off, or could not carry it. */
  readonly restsH: Float64Array;
  readonly selectors: Selectors;
  private readonly switches: readonly Switch[];
  /** Banks that took charge in the step before. */
  private readonly charging: boolean[];
  private readonly running: boolean[];
  private readonly sunW: Float64Array;
  private readonly vocV: Float64Array;
  private readonly loadW: Float64Array;
  private readonly loadA: Float64Array;
  private readonly critical: Float64Array;
  /** Power that leads drew from each bank in this step, W. */
  private readonly leadW: Float64Array;
  private steps = 0;

  constructor(private readonly plan: RigPlan) {
    const { banks, inputs, rig } = plan;
    const days = (): Float64Array => new Float64Array(rig.days);
    [this.a, this.p, this.sunW] = [new Float64Array(inputs.length), new Float64Array(inputs.length), new Float64Array(inputs.length)];
    [this.vocV, this.loadW, this.loadA, this.critical, this.leadW] = [0, 1, 2, 3, 4].map(() => new Float64Array(banks.length)) as [
      Float64Array,
      Float64Array,
      Float64Array,
      Float64Array,
      Float64Array,
    ];
    this.banks = banks.map(({ startSoc, capacityAh }) => ({
      chargeAh: startSoc * capacityAh,
      minSoc: startSoc,
      minSocAtH: 0,
      belowReserveH: 0,
      criticalOffH: 0,
      operations: 0,
      endOfDaySoc: [],
      loadAh: days(),
      givenAh: days(),
      givenWh: 0,
      usedWh: 0,
      storedWh: 0,
      lostWh: 0,
    }));
    this.selectors = new Selectors(plan);
    this.charging = banks.map(() => false);
    this.switches = banks.map(() => ({ open: false, latched: false, belowS: 0, aboveS: 0, offS: 0 }));
    this.inputAh = inputs.map(days);
    this.clippedAh = inputs.map(days);
    this.inputWh = inputs.map(days);
    this.restsH = new Float64Array(inputs.length);
    this.running = inputs.map((i) => i.of === 'array' && banks[plan.chargers[i.charger]!.bank]!.startSoc < i.startBelowSoc);
  }

  run(): this {
    const { rig, stepsPerDay } = this.plan;
    for (let day = 0; day < rig.days; day++) {
      for (let step = 0; step < stepsPerDay; step++) this.step(day, step);
      this.banks.forEach((b, n) => b.endOfDaySoc.push(b.chargeAh / this.plan.banks[n]!.capacityAh));
    }
    return this;
  }

  private soc(bank: number): number {
    return this.banks[bank]!.chargeAh / this.plan.banks[bank]!.capacityAh;
  }

  private step(day: number, step: number): void {
    this.selectors.turn(day, step, (n) => ({ soc: this.soc(n), reserveSoc: this.plan.banks[n]!.reserveSoc, charging: this.charging[n]! }));
    this.wanted(day, step);
    this.offered(day, step);
    this.leadsOn(day, step);
    this.oneAtATime(day, step);
    this.budgets(day, step);
    this.steps++;
    for (const bank of this.plan.order) this.settle(bank, day);
  }

  /** Volts at rest, and what each bank is asked for. */
  private wanted(day: number, step: number): void {
    const { plan, vocV, loadW, loadA, critical } = this;
    loadW.fill(0);
    loadA.fill(0);
    critical.fill(0);
    this.leadW.fill(0);
    plan.banks.forEach((b, n) => (vocV[n] = plannedRestV(b, this.soc(n))));
    for (const l of plan.loads) {
      if (!l.on[day]) continue;
      const n = l.selector === null ? l.bank : this.selectors.at(l.selector);
      critical[n] = Math.max(critical[n]!, l.critical[step]!);
      if (this.switches[n]!.open) continue;
      loadW[n]! += l.watt[step]!;
      loadA[n]! += l.amp[step]!;
    }
  }

  /** True of a charger whose selector stands at its bank. */
  private isOn(charger: number): boolean {
    const { behind, bank } = this.plan.chargers[charger]!;
    return this.selectors.reaches(behind, bank);
  }

  /** What each input could give by itself; leads come after. */
  private offered(day: number, step: number): void {
    const { plan, a, p, sunW } = this;
    const hour = Math.floor(step * plan.kH + 1e-9);
    plan.inputs.forEach((i, j) => {
      p[j] = Infinity;
      if (!this.isOn(i.charger)) a[j] = p[j] = sunW[j] = 0;
      else if (i.of === 'vehicle') a[j] = i.limitA * shareAt(plan.driving[i.index]!, day, step);
      else if (i.of === 'inlet') a[j] = i.limitA * shareAt(plan.plugged[i.index]!, day, step);
      else if (i.of === 'bank') a[j] = 0;
      else {
        sunW[j] = arrayW(plan, i.index, day, step, hour);
        const soc = this.soc(plan.chargers[i.charger]!.bank);
        if (i.startBelowSoc < Infinity) this.running[j] = this.running[j] ? soc < i.stopAtSoc : soc < i.startBelowSoc;
        const runs = i.startBelowSoc === Infinity || this.running[j];
        a[j] = !runs ? 0 : i.vmpV ? Math.min(i.limitA, sunW[j]! / i.vmpV) : i.limitA;
        p[j] = runs ? MPPT_YIELD * sunW[j]! : 0;
      }
    });
  }

  /** Leads of each bank, on together while it alone could carry them beside its loads. */
  private leadsOn(day: number, step: number): void {
    const { plan, a } = this;
    plan.banks.forEach((b, n) => {
      const asking = b.leads.flatMap((j) => {
        const i = plan.inputs[j]!;
        const share = i.of === 'bank' && this.isOn(i.charger) && this.selectors.reaches(i.behind, n) ? shareAt(i.times, day, step) : 0;
        this.restsH[j]! += plan.kH * share;
        return i.of === 'bank' && share > IN_USE && !this.switches[n]!.open && this.soc(n) > i.floorSoc
          ? [{ j, amp: i.limitA * share, watt: (i.limitA * share * this.absorptionOf(i.charger)) / i.efficiency }]
          : [];
      });
      if (!asking.length) return;
      const watt = asking.reduce((sum, l) => sum + l.watt, 0);
      const v = workingPoint([], this, this.vocV[n]!, b.ohm, this.loadA[n]!, this.loadW[n]! + watt);
      if (!(v > 0) || ((this.vocV[n]! - v) / b.ohm) * plan.kH >= this.banks[n]!.chargeAh) return;
      for (const l of asking) {
        a[l.j] = l.amp;
        this.restsH[l.j]! -= plan.kH * (l.amp / (plan.inputs[l.j]!.limitA || 1));
      }
    });
  }

  private absorptionOf(charger: number): number {
    return this.plan.banks[this.plan.chargers[charger]!.bank]!.absorptionV;
  }

  private isThere(j: number, c: ChargerPlan, day: number, step: number): boolean {
    const i = this.plan.inputs[j]!;
    if (i.of === 'vehicle') return shareAt(this.plan.driving[i.index]!, day, step) > IN_USE;
    if (i.of === 'inlet') return shareAt(this.plan.plugged[i.index]!, day, step) > IN_USE;
    if (i.of === 'bank') return this.a[j]! > 0;
    return inputA(this, j, this.vocV[c.bank]!) >= SOME_SUN_A;
  }

  /** Of a charger that takes one source at a time the first that is there keeps its amps. */
  private oneAtATime(day: number, step: number): void {
    for (const c of this.plan.chargers) {
      if (c.rule !== 'one at a time') continue;
      let taken = false;
      for (let j = c.from; j < c.to; j++) {
        const takes: boolean = !taken && this.isThere(j, c, day, step);
        taken ||= takes;
        if (!takes) this.a[j] = 0;
      }
    }
  }

  /** Inputs of a vehicle with a budget share it, each by what it could take at full output. */
  private budgets(day: number, step: number): void {
    const { plan, a } = this;
    plan.rig.vehicles.forEach(({ budgetW }, n) => {
      if (budgetW === null || shareAt(plan.driving[n]!, day, step) <= IN_USE) return;
      let wantedW = 0;
      plan.inputs.forEach((i, j) => {
        if (i.of === 'vehicle' && i.index === n && a[j]! > 0) wantedW += (i.limitA * this.absorptionOf(i.charger)) / i.efficiency;
      });
      if (wantedW <= budgetW) return;
      plan.inputs.forEach((i, j) => {
        if (i.of === 'vehicle' && i.index === n) a[j]! *= budgetW / wantedW;
      });
    });
  }

  private settle(n: number, day: number): void {
    const b = this.plan.banks[n]!;
    const log = this.banks[n]!;
    const s = this.switches[n]!;
    const k = this.plan.kH;
    const voc = this.vocV[n]!;
    const leadW = this.leadW[n]!;
    let without = s.open;
    const solve = (ohm: number): number => workingPoint(b.chargers, this, voc, ohm, this.loadA[n]!, this.loadW[n]! + leadW);
    let v = solve(b.ohm);
    if (!(v > 0)) {
      if (!s.open) log.operations++;
      Object.assign(s, { open: true, belowS: 0, aboveS: 0, offS: 0 });
      without = true;
      this.loadW[n] = this.loadA[n] = 0;
      v = solve(b.ohm);
    }
    if (without) log.criticalOffH += k * this.critical[n]!;
    let i = (v - voc) / b.ohm;
    if (i > 0) {
      i = (solve(b.chargeOhm) - voc) / b.chargeOhm;
      i = i > 0 && b.mayCharge ? acceptedA(b, i, voc, log.chargeAh, k) : 0;
      v = voc + i * b.chargeOhm;
    }
    this.charging[n] = i > 0;
    const leadA = leadW / v;
    const { loadA, batteryA } = this.move(n, i, this.loadW[n]! / v + this.loadA[n]!, leadA, v, day);
    this.book(n, Math.max(0, loadA + leadA + batteryA), v, day);
    this.watch(n, v);
  }

  /** Charge moves; what the loads got and what went into the bank, A. */
  private move(n: number, amp: number, wantedA: number, leadA: number, v: number, day: number): { readonly loadA: number; readonly batteryA: number } {
    const b = this.plan.banks[n]!;
    const log = this.banks[n]!;
    const s = this.switches[n]!;
    const k = this.plan.kH;
    const voc = this.vocV[n]!;
    let [i, into, drawnA] = [amp, amp, wantedA];
    if (i > 0) {
      into = i * b.coulombic;
      log.chargeAh += into * k;
    } else if (-i * k < log.chargeAh) log.chargeAh += i * k;
    else {
      const lackA = -i - log.chargeAh / k;
      drawnA = Math.max(0, drawnA - lackA);
      i = into = i + lackA;
      log.chargeAh = 0;
      if (!s.open) log.operations++;
      Object.assign(s, { open: true, latched: true, belowS: 0, aboveS: 0, offS: 0 });
    }
    log.loadAh[day]! += drawnA * k;
    log.givenAh[day]! += leadA * k;
    log.usedWh += v * (drawnA + leadA) * k;
    log.storedWh += voc * into * k;
    log.lostWh += ((v - voc) * i + voc * (i - into)) * k;
    return { loadA: drawnA, batteryA: i };
  }

  /** What was used is taken from the chargers in their order, and within each by its rule. */
  private book(n: number, usedA: number, v: number, day: number): void {
    const { plan } = this;
    let left = usedA;
    for (const c of plan.banks[n]!.chargers) {
      const whole = sumA(c, this, v);
      const gives = Math.min(chargerA(c, this, v), left);
      left -= gives;
      let rest = gives;
      for (let j = c.from; j < c.to; j++) {
        const could = inputA(this, j, v);
        const amp = c.rule === 'own limits' ? (whole > 0 ? (gives * could) / whole : 0) : Math.min(could, rest);
        rest -= amp;
        this.bookInput(j, amp, v, day);
      }
      this.banks[n]!.givenWh += v * gives * plan.kH;
    }
  }

  private bookInput(j: number, amp: number, v: number, day: number): void {
    const i = this.plan.inputs[j]!;
    const k = this.plan.kH;
    this.inputAh[j]![day]! += amp * k;
    if (i.of === 'vehicle') this.inputWh[j]![day]! += ((v * amp) / i.efficiency) * k;
    if (i.of === 'bank') this.leadW[i.index]! += (v * amp) / i.efficiency;
    if (i.of === 'array') {
      const sunW = this.sunW[j]!;
      const couldA = i.vmpV ? Math.min((MPPT_YIELD * sunW) / v, sunW / i.vmpV) : (MPPT_YIELD * sunW) / v;
      this.clippedAh[j]![day]! += (couldA - amp) * k;
    }
  }

  /** The disconnect watches, and the records are kept; what it decides acts from the next step. */
  private watch(n: number, v: number): void {
    const b = this.plan.banks[n]!;
    const log = this.banks[n]!;
    const s = this.switches[n]!;
    const { stepS } = this.plan.rig;
    const soc = this.soc(n);
    if (s.latched && soc >= DISCONNECT.releaseSoc) s.latched = false;
    if (s.open) {
      s.offS += stepS;
      s.aboveS = v > b.closeV ? s.aboveS + stepS : 0;
      if (s.offS >= DISCONNECT.offAtLeastS && s.aboveS >= DISCONNECT.closeAfterS && !s.latched) {
        Object.assign(s, { open: false, belowS: 0, aboveS: 0, offS: 0 });
        log.operations++;
      }
    } else {
      s.belowS = v < b.openV ? s.belowS + stepS : 0;
      if (s.belowS >= DISCONNECT.openAfterS) {
        Object.assign(s, { open: true, belowS: 0, aboveS: 0, offS: 0 });
        log.operations++;
      }
    }
    if (soc < log.minSoc) {
      log.minSoc = soc;
      log.minSocAtH = this.steps * this.plan.kH;
    }
    if (soc < b.reserveSoc) log.belowReserveH += this.plan.kH;
  }
}
