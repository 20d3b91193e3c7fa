import { chargerInputW, type DcIn } from '../catalogue/index.js';
import { constantPowerA } from '../cable/index.js';

/** How a DC-DC charger stands at the end of its feed with so many volts at the starting battery. */
export interface ChargerInput {
  readonly state: string;
  /** The volts are those of its own cut-out, where it draws most. */
  readonly atCutOut: boolean;
  readonly sourceV: number;
  /** Amps in, and volts that arrive; 0 A: it is cut out. */
  readonly inA: number;
  readonly arrivesV: number;
  /** Heat in the feed and in the charger, W. */
  readonly feedHeatW: number;
  readonly chargerHeatW: number;
  /** Volts above the charger's own cut-out. */
  readonly aboveCutOutV: number;
  readonly runs: boolean;
}

/** How one of the chargers stands at the end of its feed. */
export interface FedCharger extends ChargerInput {
  readonly unit: string;
  readonly name: string;
}

/**
 * Full output behind a feed of so many ohms: the input is a constant power, so it draws more as volts fall, and below
 * its cut-out it stops.
 */
export function chargerInput(part: DcIn, outputShare: number, chargeV: number, sourceV: number, feedOhm: number, state: string, atCutOut = false): ChargerInput {
  const inW = chargerInputW(part, chargeV) * outputShare;
  const inA = constantPowerA(sourceV, feedOhm, inW);
  const arrivesV = inA === null ? 0 : sourceV - inA * feedOhm;
  const runs = inA !== null && arrivesV >= part.cutOutV;
  return {
    state,
    atCutOut,
    sourceV,
    inA: runs ? inA : 0,
    arrivesV,
    feedHeatW: runs ? inA * inA * feedOhm : 0,
    chargerHeatW: runs ? inW * (1 - part.efficiency) : 0,
    aboveCutOutV: arrivesV - part.cutOutV,
    runs,
  };
}
