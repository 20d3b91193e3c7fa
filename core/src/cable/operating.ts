import { ampacityA, type Laying } from './ampacity.js';
import { resistanceOhmPerM } from './resistance.js';

/** What a run is asked to carry: a given current, or a constant power from a source of known volts. */
export type Demand = { readonly currentA: number } | { readonly powerW: number; readonly sourceV: number };

export interface RunPath extends Laying {
  /** Length of the feed, m. */
  readonly outM: number;
  /** Length of the return, m. */
  readonly backM: number;
  readonly contactsMilliohm: number;
  readonly tinned: boolean;
}

export type OperatingPoint =
  | {
      readonly ok: true;
      readonly currentA: number;
      readonly ampacityA: number;
      readonly conductorC: number;
      readonly dropV: number;
      readonly ohm: number;
    }
  | { readonly ok: false; readonly error: 'too-hot' | 'no-operating-point' };

/** Temperature of a conductor that carries `currentA`, °C: ambient, plus its rise at full ampacity times the load squared. */
export function conductorC(currentA: number, limitA: number, laying: Laying): number {
  const share = Math.min(1, currentA / limitA);
  return laying.ambientC + (laying.insulationC - laying.ambientC) * share * share;
}

function pathOhm(areaMm2: number, path: RunPath, atC: number): number {
  return (path.outM + path.backM) * resistanceOhmPerM(areaMm2, path.tinned, atC) + path.contactsMilliohm / 1000;
}

/** Current of a constant-power load behind a resistance, on the stable branch; null when the wire can never deliver it. */
export function constantPowerA(sourceV: number, ohm: number, powerW: number): number | null {
  const root = sourceV * sourceV - 4 * ohm * powerW;
  if (root < 0) return null;
  return ohm === 0 ? powerW / sourceV : (sourceV - Math.sqrt(root)) / (2 * ohm);
}

/**
 * Where a run of one size settles: current, conductor temperature and drop, iterated because each moves the others.
 * @example operate(16, path, { currentA: 40 }) // { ok: true, dropV: …, conductorC: … }
 */
export function operate(areaMm2: number, path: RunPath, demand: Demand): OperatingPoint {
  const limitA = ampacityA(areaMm2, path);
  if (limitA <= 0) return { ok: false, error: 'too-hot' };
  let currentA = 'currentA' in demand ? demand.currentA : demand.powerW / demand.sourceV;
  let atC = conductorC(currentA, limitA, path);
  let ohm = pathOhm(areaMm2, path, atC);
  if ('powerW' in demand) {
    for (let round = 0; round < 200; round++) {
      const next = constantPowerA(demand.sourceV, ohm, demand.powerW);
      if (next === null) return { ok: false, error: 'no-operating-point' };
      const moved = Math.abs(next - currentA);
      currentA = next;
      atC = conductorC(currentA, limitA, path);
      ohm = pathOhm(areaMm2, path, atC);
      if (moved <= 1e-12 * Math.max(1, currentA)) break;
    }
  }
  return { ok: true, currentA, ampacityA: limitA, conductorC: atC, dropV: currentA * ohm, ohm };
}
