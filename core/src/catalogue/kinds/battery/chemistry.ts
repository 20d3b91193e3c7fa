export const CHEMISTRIES = ['flooded', 'agm', 'gel', 'lfp'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];

/** A point of the resting-volts curve: state of charge 0–1, volts of a 12 V block. */
export type SocPoint = readonly [soc: number, restV: number];

export interface ChemistryFigures {
  readonly name: string;
  /** Usable share by default. */
  readonly usable: number;
  readonly absorptionV: number;
  readonly floatV: number;
  /** Largest charge current as a share of the capacity. */
  readonly maxChargeC: number;
  readonly coulombic: number;
  /** Resistance of a 12 V block of 100 Ah, milliohm. */
  readonly milliohmAt100Ah: number;
  /** Charging resistance over the discharging one. */
  readonly chargeResistance: number;
  /** Time constant of the taper, h. */
  readonly taperH: number;
  readonly peukert: number;
  readonly chargeRangeC: readonly [number, number];
  readonly disconnectV: number;
  /** Full cycles at the default usable share until 80 % of the capacity is left, and the longest it keeps on a shelf, years. */
  readonly cycles: number;
  readonly calendarYears: number;
  readonly soc: readonly SocPoint[];
}

const AGM_SOC: readonly SocPoint[] = [
  [0, 11.8],
  [0.25, 12.0],
  [0.5, 12.3],
  [0.75, 12.6],
  [1, 12.85],
];

/** Defaults by chemistry, per 12 V block; a battery's own data sheet wins. Representative of published data sheets. */
export const CHEMISTRY: Readonly<Record<Chemistry, ChemistryFigures>> = {
  flooded: {
    name: 'flooded lead-acid',
    usable: 0.5,
    absorptionV: 14.4,
    floatV: 13.4,
    maxChargeC: 0.2,
    coulombic: 0.85,
    milliohmAt100Ah: 6,
    chargeResistance: 8,
    taperH: 1.5,
    peukert: 1.2,
    chargeRangeC: [-10, 50],
    disconnectV: 12.1,
    cycles: 350,
    calendarYears: 5,
    soc: [
      [0, 11.89],
      [0.25, 12.06],
      [0.5, 12.24],
      [0.75, 12.45],
      [1, 12.65],
    ],
  },
  agm: {
    name: 'AGM',
    usable: 0.5,
    absorptionV: 14.5,
    floatV: 13.6,
    maxChargeC: 0.3,
    coulombic: 0.9,
    milliohmAt100Ah: 4,
    chargeResistance: 8,
    taperH: 1,
    peukert: 1.1,
    chargeRangeC: [-10, 50],
    disconnectV: 12.1,
    cycles: 500,
    calendarYears: 6,
    soc: AGM_SOC,
  },
  gel: {
    name: 'gel',
    usable: 0.5,
    absorptionV: 14.2,
    floatV: 13.6,
    maxChargeC: 0.2,
    coulombic: 0.9,
    milliohmAt100Ah: 6,
    chargeResistance: 8,
    taperH: 1.5,
    peukert: 1.12,
    chargeRangeC: [-10, 45],
    disconnectV: 12.1,
    cycles: 650,
    calendarYears: 7,
    soc: AGM_SOC,
  },
  lfp: {
    name: 'lithium iron phosphate',
    usable: 0.8,
    absorptionV: 14.4,
    floatV: 13.5,
    maxChargeC: 0.5,
    coulombic: 0.99,
    milliohmAt100Ah: 2.5,
    chargeResistance: 3,
    taperH: 0.1,
    peukert: 1.02,
    chargeRangeC: [0, 45],
    disconnectV: 12.0,
    cycles: 3000,
    calendarYears: 12,
    soc: [
      [0, 10],
      [0.05, 12.0],
      [0.1, 12.6],
      [0.14, 12.8],
      [0.2, 12.92],
      [0.3, 13.04],
      [0.4, 13.1],
      [0.5, 13.14],
      [0.6, 13.2],
      [0.7, 13.26],
      [0.8, 13.3],
      [0.9, 13.34],
      [1, 13.5],
    ],
  },
};

/** Volts by which a disconnect's closing lies above its opening. */
export const RECONNECT_ABOVE_V = 0.8;

/** Resting volts of a 12 V block at a state of charge 0–1. @example restV('lfp', 0.5) // 13.14 */
export function restV(chemistry: Chemistry, soc: number): number {
  const points = CHEMISTRY[chemistry].soc;
  let i = 1;
  while (i < points.length - 1 && points[i]![0] < soc) i++;
  const [s0, v0] = points[i - 1]!;
  const [s1, v1] = points[i]!;
  return v0 + ((v1 - v0) * (soc - s0)) / (s1 - s0);
}
