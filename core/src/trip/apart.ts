import { acceptedA, SOME_SUN_A } from './accepted.js';
import type { BankPlan, TripPlan } from './plan.js';
import type { DayProfile } from './profile.js';
import { terminalV } from './settle.js';

/** What a day of charging apart comes to: A summed over its steps, and W. */
export interface ApartSums {
  sun: number;
  alternator: number;
  mains: number;
  clipped: number;
  spare: number;
  givenWh: number;
  storedWh: number;
  lostWh: number;
}

export const noSums = (): ApartSums => ({ sun: 0, alternator: 0, mains: 0, clipped: 0, spare: 0, givenWh: 0, storedWh: 0, lostWh: 0 });

/** What is offered in a step, and what of it is let in. */
export interface ApartOffer {
  readonly profile: DayProfile;
  readonly step: number;
  readonly light: number;
  readonly mayCharge: boolean;
  /** The sun of the first regulator, and of those beside it. */
  readonly sunOn: boolean;
  readonly besideOn: readonly boolean[];
}

/**
 * The bank on charge while another carries the loads: the same law as the one in use, without loads. What the chargers
 * offer comes to it alone, each regulator held to its limit at the volts of the step before.
 */
export class ChargedApart {
  private volts: number;

  constructor(
    private readonly plan: TripPlan,
    private readonly bank: BankPlan,
    /** Charge in it, Ah. */
    public chargeAh: number,
  ) {
    this.volts = this.restV();
  }

  private restV(): number {
    const x = this.chargeAh / this.bank.capacityAh;
    const cell = x >= 1 ? 99 : (x * 100) | 0;
    return this.bank.baseV[cell]! + this.bank.slopeV[cell]! * x;
  }

  /** One step; what came of it is added to the day's sums. */
  step({ profile, step, light, mayCharge, sunOn, besideOn }: ApartOffer, sums: ApartSums): void {
    const { plan: p, bank: b, volts } = this;
    let sunW = sunOn ? profile.sunW[step]! * light : 0;
    let altA = profile.alternatorA[step]!;
    const mainsA = profile.mainsA[step]!;
    let sharing = false;
    if (p.sharedA > 0 && altA > 0) {
      if (p.sharedWay === 'sun first') sharing = sunW > 0;
      else if (p.sharedWay === 'vehicle first' || sunW / volts < SOME_SUN_A) sunW = 0;
      else altA = 0;
    }
    const suns = [{ watts: sunW, maxA: p.sunMaxA }, ...p.beside.map(({ maxA }, j) => ({ watts: besideOn[j] ? profile.besideW[j]![step]! * light : 0, maxA }))];
    // A shared output gives its whole current, whichever input it comes from.
    const regulators = sharing ? suns.slice(1) : suns;
    const held = (s: { watts: number; maxA: number }): boolean => s.watts / volts > s.maxA;
    const limitedA = regulators.reduce((sum, s) => sum + (held(s) ? s.maxA : 0), 0);
    const offerW = regulators.reduce((sum, s) => sum + (held(s) ? 0 : s.watts), 0);
    const vocV = this.restV();
    // One regulator is held to its limit exactly; of several each at the volts of the step before.
    const pressedV = p.beside.length
      ? terminalV(vocV, b.chargeOhm, 0, 0, offerW, Infinity, altA + mainsA + limitedA)
      : terminalV(vocV, b.chargeOhm, 0, 0, sharing ? 0 : sunW, p.sunMaxA, altA + mainsA);
    const offeredA = (pressedV - vocV) / b.chargeOhm;
    const takesA = offeredA > 0 && mayCharge ? acceptedA(b, offeredA, vocV, this.chargeAh, p.kH) : 0;
    const v = vocV + takesA * b.chargeOhm;
    this.chargeAh += takesA * b.coulombic * p.kH;
    this.volts = v;
    this.book(sums, { v, vocV, takesA, altA, mainsA, suns, sharing });
  }

  /** From the sun first, then the alternator, then the mains. */
  private book(
    sums: ApartSums,
    { v, vocV, takesA, altA, mainsA, suns, sharing }: { v: number; vocV: number; takesA: number; altA: number; mainsA: number; suns: readonly { watts: number; maxA: number }[]; sharing: boolean },
  ): void {
    let left = takesA;
    const take = (offeredA: number): number => {
      const taken = Math.min(left, offeredA);
      left -= taken;
      return taken;
    };
    let vehicleA = altA;
    for (const [j, s] of suns.entries()) {
      const wouldA = s.watts / v;
      const offeredA = Math.min(wouldA, s.maxA, j === 0 && sharing ? altA : Infinity);
      if (j === 0 && sharing) vehicleA -= offeredA;
      const taken = take(offeredA);
      sums.sun += taken;
      sums.clipped += wouldA - offeredA;
      sums.spare += offeredA - taken;
    }
    sums.alternator += take(vehicleA);
    sums.mains += take(mainsA);
    sums.givenWh += v * (takesA - left);
    sums.storedWh += vocV * takesA * this.bank.coulombic;
    sums.lostWh += (v - vocV) * takesA + vocV * takesA * (1 - this.bank.coulombic);
  }
}
