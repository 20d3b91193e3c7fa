import { z } from 'zod';
import { CHEMISTRIES, CHEMISTRY, type Chemistry } from '../kinds/battery/chemistry.js';
import type { Part, PartKind, PartOf } from '../catalogue.js';

/** A figure of a plate: above nothing, in words that name what is accepted. */
const above = (unit: string, most: number) =>
  z
    .number({ message: `a number of ${unit} is accepted` })
    .gt(0, { message: `more than 0 ${unit} is accepted` })
    .max(most, { message: `up to ${most} ${unit} is accepted` });

/** One kind’s plate: the figures without which nothing can be reckoned, and the rest by them. */
interface Plate<K extends PartKind, R extends z.ZodRawShape> {
  readonly kind: K;
  readonly required: R;
  readonly rest: (plate: z.infer<z.ZodObject<R>>) => Partial<PartOf<K>>;
}

const plate = <K extends PartKind, R extends z.ZodRawShape>(p: Plate<K, R>): Plate<K, R> => p;

/** Peak over steady current, and kilograms an Ah, by chemistry. */
const heavy = (c: Chemistry): boolean => c !== 'lfp';

/** By kind what a data sheet must say; what it leaves out is usual for its size. */
export const PLATES = {
  battery: plate({
    kind: 'battery',
    required: { chemistry: z.enum(CHEMISTRIES, { message: `one of ${CHEMISTRIES.map((c) => `${c} (${CHEMISTRY[c].name})`).join(', ')} is accepted` }), capacityAh: above('Ah', 2000) },
    rest: ({ chemistry, capacityAh }) => ({
      continuousA: Math.min(capacityAh, heavy(chemistry) ? Infinity : 200),
      peakA: (heavy(chemistry) ? 3.5 : 2) * Math.min(capacityAh, heavy(chemistry) ? Infinity : 200),
      kg: Math.round(10 * capacityAh * (heavy(chemistry) ? 0.3 : 0.115)) / 10,
      mm: capacityAh > 150 ? [522, 220, 240] : [330, 220, 172],
      price: Math.round(capacityAh * (heavy(chemistry) ? 3.2 : 7)),
    }),
  }),
  dcdc: plate({
    kind: 'dcdc',
    required: { outputA: above('A', 200) },
    rest: ({ outputA }) => ({
      inputV: 12,
      outputV: 12,
      efficiency: 0.85,
      cutOutV: 10.5,
      sunInput: null,
      halfPower: false,
      coldLock: false,
      standbyMa: 15,
      trigger: 'wire',
      // Lithium only where its maker says so.
      profiles: CHEMISTRIES.filter(heavy),
      maxFuseA: null,
      kg: Math.round(10 * (0.5 + 0.035 * outputA)) / 10,
      mm: outputA > 30 ? [220, 150, 65] : [190, 120, 50],
      price: 120 + 10 * outputA,
    }),
  }),
  isolator: plate({
    kind: 'isolator',
    required: { ratedA: above('A', 1000) },
    rest: ({ ratedA }) => ({ closeV: 13.2, closeAfterS: 10, openV: 12.7, openAfterS: 30, kg: 0.5, mm: [70, 80, 60], price: Math.round(0.95 * ratedA) }),
  }),
  panel: plate({
    kind: 'panel',
    required: { ratedW: above('W', 1000), vocV: above('V', 150) },
    rest: ({ ratedW, vocV }) => {
      const vmpV = 0.83 * vocV;
      const impA = ratedW / vmpV;
      return { vmpV, impA, iscA: 1.06 * impA, maxFuseA: 1.06 * impA > 9 ? 20 : 15, kg: Math.round(0.6 * ratedW) / 10, mm: [Math.round(6 * ratedW) + 200, 680, 35], price: Math.round(1.2 * ratedW) };
    },
  }),
  'solar-controller': plate({
    kind: 'solar-controller',
    required: { way: z.enum(['mppt', 'pwm'], { message: 'mppt or pwm is accepted' }), maxA: above('A', 200), maxV: above('V', 250) },
    rest: ({ maxA }) => ({ kg: Math.round(10 * (0.3 + 0.03 * maxA)) / 10, mm: maxA > 30 ? [200, 130, 65] : [150, 115, 50], price: Math.round(50 + 8 * maxA) }),
  }),
  'mains-charger': plate({
    kind: 'mains-charger',
    required: { outputA: above('A', 200) },
    rest: ({ outputA }) => ({
      outputV: 12,
      acW: Math.round(17.2 * outputA),
      kg: Math.round(10 * (0.8 + 0.05 * outputA)) / 10,
      mm: outputA > 30 ? [170, 260, 90] : [140, 210, 80],
      price: Math.round(60 + 9 * outputA),
    }),
  }),
  inverter: plate({
    kind: 'inverter',
    required: { ratedW: above('W', 10000) },
    rest: ({ ratedW }) => ({
      surgeW: 1.5 * ratedW,
      charger: null,
      inputV: 12,
      waveform: 'sine',
      kg: Math.round(0.04 * ratedW) / 10,
      mm: ratedW > 1200 ? [240, 380, 110] : [180, 270, 85],
      price: Math.round(0.45 * ratedW),
    }),
  }),
  'fuse-block': plate({
    kind: 'fuse-block',
    required: { ways: above('ways', 60).int({ message: 'a whole number is accepted' }) },
    rest: ({ ways }) => ({ wayA: 30, totalA: 100, holds: 'blade', kg: Math.round(3.5 * ways) / 100, mm: [60 + 10 * ways, 85, 40], price: 7 * ways }),
  }),
  switch: plate({
    kind: 'switch',
    required: { ratedA: above('A', 2000) },
    rest: ({ ratedA }) => ({ peakA: 3 * ratedA, milliohm: Math.round(4000 / ratedA) / 100, kg: 0.4, mm: [75, 75, 80], price: Math.round(0.25 * ratedA) }),
  }),
  shunt: plate({ kind: 'shunt', required: { ratedA: above('A', 2000) }, rest: ({ ratedA }) => ({ dropMv: 50, kg: 0.5, mm: [120, 54, 54], price: Math.round(60 + 0.3 * ratedA) }) }),
  disconnect: plate({
    kind: 'disconnect',
    required: { ratedA: above('A', 1000) },
    rest: ({ ratedA }) => ({ milliohm: Math.round(5000 / ratedA) / 100, ownMa: 4, kg: 0.3, mm: [100, 70, 50], price: Math.round(0.95 * ratedA) }),
  }),
  hub: plate({
    kind: 'hub',
    required: { ways: above('ways', 60).int({ message: 'a whole number is accepted' }), barsA: above('A', 1000) },
    rest: ({ ways, barsA }) => ({
      wayA: 30,
      shunt: { ratedA: barsA, dropMv: 50 },
      disconnect: { ratedA: Math.round(barsA * 0.4), milliohm: 0.4, ownMa: 5 },
      mainSwitch: null,
      kg: 1.5 + 0.12 * ways,
      mm: [200 + 16 * ways, 220, 80],
      price: 250 + 45 * ways,
    }),
  }),
} as const satisfies { readonly [K in Part['kind']]: { readonly kind: K } };
