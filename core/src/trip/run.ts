import { acceptedA, SOME_SUN_A } from './accepted.js';
import { ChargedApart, noSums } from './apart.js';
import { DISCONNECT } from './disconnect.js';
import type { BankPlan, TripPlan } from './plan.js';
import { terminalV } from './settle.js';

/** What is booked for each day, in this order: Ah by purpose, then the energies that must balance. */
export const LEDGER = ['load', 'sun', 'alternator', 'mains', 'clipped', 'spare', 'givenWh', 'usedWh', 'storedWh', 'lostWh'] as const;
const PER_DAY = LEDGER.length;

/** Why a disconnect opened. */
export const CAUSES = ['none', 'low volts', 'flat', 'more than the battery can give'] as const;
export type Cause = (typeof CAUSES)[number];
const [LOW, FLAT, COLLAPSE] = [1, 2, 3];

/** A selector is turned when the bank in use is down to the reserve, or full, and the other is better placed. */
export const NEARLY_FULL = 0.98;

/** Where a run writes: shared by many runs, so that none allocates. */
export interface TripLog {
  /** State of charge of all banks together at each full hour, the start included. */
  readonly hourlySoc: Float64Array;
  /** {@link LEDGER} by day. */
  readonly ledger: Float64Array;
  minSoc: number;
  minSocAtH: number;
  belowReserveH: number;
  /** Hours in which the bank was too cold or too hot to be charged. */
  lockedH: number;
  criticalOffH: number;
  operations: number;
  /** How often the selector is turned, and that of the chargers where they have one. */
  turnsOfLoads: number;
  turnsOfCharge: number;
  /** Hours until a critical load first went without, −1: never; and the index of the cause. */
  firstOffH: number;
  firstCause: number;
}

export function tripLog(p: TripPlan): TripLog {
  return {
    hourlySoc: new Float64Array(p.days * 24 + 1),
    ledger: new Float64Array(p.days * PER_DAY),
    minSoc: 1,
    minSocAtH: 0,
    belowReserveH: 0,
    lockedH: 0,
    criticalOffH: 0,
    operations: 0,
    turnsOfLoads: 0,
    turnsOfCharge: 0,
    firstOffH: -1,
    firstCause: 0,
  };
}

/** The bank to use in the coming hour. */
function turnSelector(p: TripPlan, bank: number, charge: Float64Array, charging: boolean): number {
  const other = 1 - bank;
  const [here, there] = [charge[bank]! / p.banks[bank]!.capacityAh, charge[other]! / p.banks[other]!.capacityAh];
  return (here <= p.reserveSoc && there > here) || (here >= NEARLY_FULL && charging && there < NEARLY_FULL) ? other : bank;
}

/** With a selector of their own for the chargers: the loads' one is turned at the reserve alone. */
function turnLoads(p: TripPlan, bank: number, charge: Float64Array): number {
  const other = 1 - bank;
  const [here, there] = [charge[bank]! / p.banks[bank]!.capacityAh, charge[other]! / p.banks[other]!.capacityAh];
  return here <= p.reserveSoc && there > here ? other : bank;
}

/** And the chargers' one when its bank is full, or when the other is down to the reserve and this one is not. */
function turnCharge(p: TripPlan, bank: number, charge: Float64Array): number {
  const other = 1 - bank;
  const [here, there] = [charge[bank]! / p.banks[bank]!.capacityAh, charge[other]! / p.banks[other]!.capacityAh];
  return (here >= NEARLY_FULL && there < NEARLY_FULL) || (there <= p.reserveSoc && here > p.reserveSoc) ? other : bank;
}

function mayChargeIn(p: TripPlan, b: BankPlan, hour: number, offsetK: number): boolean {
  const air = (p.airByHour ? p.airByHour[hour]! : p.ambientC) + offsetK;
  return air >= b.coldC && air <= b.hotC;
}

/**
 * Steps a planned trip through. `clearness` by day; `offsetK` warms or cools the whole trip. Everything is written into
 * `log`. One flat loop with its state in locals, since a thousand trips are twenty million steps: spread over functions
 * and objects it takes three times as long. `testing/plain-trip.ts` says the same plainly, and the two are compared.
 */
// eslint-disable-next-line max-lines-per-function
export function runTrip(p: TripPlan, clearness: ArrayLike<number>, offsetK: number, log: TripLog): void {
  const { kH: k, stepS, stepsPerHour, openV, closeV, reserveSoc, sunMaxA } = p;
  const { hourlySoc, ledger } = log;
  const charge = Float64Array.from(p.banks, (x) => x.capacityAh * x.startSoc);
  const totalAh = p.banks.reduce((s, x) => s + x.capacityAh, 0);
  const hasShared = p.sharedA > 0;
  const sums = noSums();
  let [onCharge, turnsOfLoads, turnsOfCharge] = [0, 0, 0];
  let apart: ChargedApart | null = null;
  const besideOn = p.beside.map(() => true);
  let bank = 0;
  let [idleAh, q] = [totalAh > 0 && p.banks.length > 1 ? charge[1]! : 0, charge[0]!];
  let [volts, batteryA, sunOn] = [p.banks[0]!.baseV[0]!, 0, true];
  let [open, latched, belowS, aboveS, offS, operations, cause] = [false, false, 0, 0, 0, 0, 0];
  let [criticalOffH, firstOff, firstCause, belowReserveH, lockedH] = [0, -1, 0, 0, 0];
  let soc = (q + idleAh) / totalAh;
  let [minSoc, minAt, at] = [soc, 0, 0];
  hourlySoc[0] = soc;
  for (let day = 0; day < p.days; day++) {
    const profile = p.profiles[p.kindOfDay[day]!]!;
    const light = clearness[day]!;
    let [load, sun, alternator, mains, clipped, spare, givenWh, usedWh, storedWh, lostWh] = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
    let step = 0;
    for (let hour = 0; hour < 24; hour++) {
      if (p.banks.length > 1) {
        charge[bank] = q;
        charge[1 - bank] = idleAh;
        const inUse = bank;
        bank = p.chargesApart ? turnLoads(p, bank, charge) : turnSelector(p, bank, charge, batteryA > 0);
        if (bank !== inUse) turnsOfLoads++;
        q = charge[bank]!;
        idleAh = charge[1 - bank]!;
        if (p.chargesApart) {
          const was = onCharge;
          onCharge = turnCharge(p, onCharge, charge);
          if (was !== onCharge) turnsOfCharge++;
          apart = onCharge === bank ? null : apart && was === onCharge ? apart : new ChargedApart(p, p.banks[onCharge]!, idleAh);
        }
      }
      const b = p.banks[bank]!;
      // While the chargers stand on the other bank, this one sees none of them.
      const besides = apart ? 0 : p.beside.length;
      const { capacityAh, ohm, chargeOhm, coulombic, baseV, slopeV } = b;
      const mayCharge = mayChargeIn(p, apart ? p.banks[onCharge]! : b, hour, offsetK);
      if (!mayCharge) lockedH++;
      for (let n = 0; n < stepsPerHour; n++, step++, at++) {
        // Loads and offers.
        let loadW = open ? 0 : profile.loadW[step]!;
        let loadA = open ? 0 : profile.loadA[step]!;
        let sunW = sunOn && !apart ? profile.sunW[step]! * light : 0;
        let altA = apart ? 0 : profile.alternatorA[step]!;
        const mainsA = apart ? 0 : profile.mainsA[step]!;
        if (apart) {
          apart.step({ profile, step, light, mayCharge, sunOn, besideOn }, sums);
          idleAh = apart.chargeAh;
        }
        let sharing = false;
        if (hasShared && altA > 0) {
          if (p.sharedWay === 'sun first') sharing = sunW > 0;
          else if (p.sharedWay === 'vehicle first' || sunW / volts < SOME_SUN_A) sunW = 0;
          else altA = 0;
        }
        const critical = profile.criticalShare[step]!;
        let without = open;
        // Volts and current; with one output for two inputs the whole output comes, whichever gives it.
        const x = q / capacityAh;
        const cell = x >= 1 ? 99 : (x * 100) | 0;
        const vocV = baseV[cell]! + slopeV[cell]! * x;
        let offerW = sharing ? 0 : sunW;
        let mostA = sunMaxA;
        let chargeA = altA + mainsA;
        const fromOutsideA = chargeA;
        // Several regulators: each that its limit holds at the last step's volts gives that many amps, the others their watts.
        if (besides > 0) {
          mostA = Infinity;
          if (offerW / volts > sunMaxA) {
            chargeA += sunMaxA;
            offerW = 0;
          }
          for (let j = 0; j < besides; j++) {
            const w = besideOn[j] ? profile.besideW[j]![step]! * light : 0;
            if (w / volts > p.beside[j]!.maxA) chargeA += p.beside[j]!.maxA;
            else offerW += w;
          }
        }
        let v = terminalV(vocV, ohm, loadW, loadA, offerW, mostA, chargeA);
        if (v !== v) {
          if (!open) operations++;
          open = without = true;
          cause = COLLAPSE;
          belowS = aboveS = offS = loadW = loadA = 0;
          v = terminalV(vocV, ohm, 0, 0, offerW, mostA, chargeA);
        }
        if (without && critical > 0) {
          criticalOffH += k * critical;
          if (firstOff < 0) {
            firstOff = at;
            firstCause = cause;
          }
        }
        let i = (v - vocV) / ohm;
        if (i > 0) {
          i = (terminalV(vocV, chargeOhm, loadW, loadA, offerW, mostA, chargeA) - vocV) / chargeOhm;
          i = i > 0 && mayCharge ? acceptedA(b, i, vocV, q, k) : 0;
          v = vocV + i * chargeOhm;
        }
        let drawnA = loadW / v + loadA;
        // Charge moves.
        let intoA = i;
        if (i > 0) {
          intoA = i * coulombic;
          q += intoA * k;
        } else if (-i * k < q) q += i * k;
        else {
          const lackA = -i - q / k;
          drawnA = drawnA > lackA ? drawnA - lackA : 0;
          i += lackA;
          intoA = i;
          q = 0;
          if (!open) operations++;
          open = latched = true;
          cause = FLAT;
          belowS = aboveS = offS = 0;
        }
        // The ledger: what was used is taken from the sun first, then the alternator, then the mains.
        let left = drawnA + i;
        if (left < 0) left = 0;
        load += drawnA;
        usedWh += v * drawnA;
        storedWh += vocV * intoA;
        lostWh += (v - vocV) * i + vocV * (i - intoA);
        let givenA = 0;
        if (sunW > 0) {
          const wouldA = sunW / v;
          const limitA = sharing && altA < sunMaxA ? altA : sunMaxA;
          const offeredA = wouldA < limitA ? wouldA : limitA;
          const sunA = left < offeredA ? left : offeredA;
          if (sharing) altA -= offeredA;
          sun += sunA;
          givenA = sunA;
          clipped += wouldA - offeredA;
          spare += offeredA - sunA;
          left -= sunA;
        }
        for (let j = 0; j < besides; j++) {
          const wouldA = besideOn[j] ? (profile.besideW[j]![step]! * light) / v : 0;
          const offeredA = wouldA < p.beside[j]!.maxA ? wouldA : p.beside[j]!.maxA;
          const sunA = left < offeredA ? left : offeredA;
          sun += sunA;
          givenA += sunA;
          clipped += wouldA - offeredA;
          spare += offeredA - sunA;
          left -= sunA;
        }
        if (fromOutsideA > 0) {
          const fromAltA = left < altA ? left : altA;
          alternator += fromAltA;
          left -= fromAltA;
          const fromMainsA = left < mainsA ? left : mainsA;
          mains += fromMainsA;
          givenA += fromAltA + fromMainsA;
        }
        givenWh += v * givenA;
        // The disconnect watches; what it decides acts from the next step.
        const own = q / capacityAh;
        if (latched && own >= DISCONNECT.releaseSoc) latched = false;
        if (open) {
          offS += stepS;
          aboveS = v > closeV ? aboveS + stepS : 0;
          if (offS >= DISCONNECT.offAtLeastS && aboveS >= DISCONNECT.closeAfterS && !latched) {
            open = false;
            operations++;
            belowS = aboveS = offS = 0;
          }
        } else {
          belowS = v < openV ? belowS + stepS : 0;
          if (belowS >= DISCONNECT.openAfterS) {
            open = true;
            operations++;
            cause = LOW;
            belowS = aboveS = offS = 0;
          }
        }
        volts = v;
        batteryA = i;
        soc = (q + idleAh) / totalAh;
        if (soc < minSoc) {
          minSoc = soc;
          minAt = at + 1;
        }
        if (soc < reserveSoc) belowReserveH += k;
        if (p.startBelow < 2) sunOn = sunOn ? soc < 0.999 : soc < p.startBelow;
        for (let j = 0; j < p.beside.length; j++) if (p.beside[j]!.startBelow < 2) besideOn[j] = besideOn[j] ? soc < 0.999 : soc < p.beside[j]!.startBelow;
      }
      hourlySoc[day * 24 + hour + 1] = soc;
    }
    const row = day * PER_DAY;
    const both = [
      load,
      sun + sums.sun,
      alternator + sums.alternator,
      mains + sums.mains,
      clipped + sums.clipped,
      spare + sums.spare,
      givenWh + sums.givenWh,
      usedWh,
      storedWh + sums.storedWh,
      lostWh + sums.lostWh,
    ];
    for (let c = 0; c < PER_DAY; c++) ledger[row + c] = both[c]! * k;
    if (p.chargesApart) Object.assign(sums, noSums());
  }
  log.minSoc = minSoc;
  log.minSocAtH = minAt * k;
  log.belowReserveH = belowReserveH;
  log.lockedH = lockedH;
  log.criticalOffH = criticalOffH;
  log.operations = operations;
  log.turnsOfLoads = turnsOfLoads;
  log.turnsOfCharge = turnsOfCharge;
  log.firstOffH = firstOff < 0 ? -1 : firstOff * k;
  log.firstCause = firstCause;
}
