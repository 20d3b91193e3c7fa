import { CHEMISTRIES } from '../battery/chemistry.js';
import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { NO_PORTS } from '../ports.js';
import { chargerInputW } from './electrical.js';
import { DCDC_PARTS } from './parts.js';
import { dcdcSchema } from './schema.js';

export const dcdc = defineKind({
  kind: 'dcdc',
  words: 'DC-DC charger',
  schema: dcdcSchema,
  parts: DCDC_PARTS,
  first: ['outputA', 'inputV', 'outputV', 'sunInput'],
  plate: {
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
      profiles: CHEMISTRIES.filter((c) => c !== 'lfp'),
      maxFuseA: null,
      kg: Math.round(10 * (0.5 + 0.035 * outputA)) / 10,
      mm: outputA > 30 ? [220, 150, 65] : [190, 120, 50],
      price: 120 + 10 * outputA,
    }),
    has: ({ outputA, outputV }) => ({
      sunInput: { maxV: 50, maxA: outputA, way: 'sun first' as const },
      mainsInput: { outputA, acW: Math.ceil((outputA * (outputV === 24 ? 28.8 : 14.4)) / 0.87) },
    }),
  },
  seldom: ['mainsInput', 'inside'],
  contradiction: (p) =>
    p.mainsInput && p.mainsInput.outputA * p.outputV > p.mainsInput.acW
      ? `mainsInput.outputA: ${p.mainsInput.outputA} A at ${p.outputV} V are more than the ${p.mainsInput.acW} W it takes; an output below its input is accepted`
      : null,
  converts: {
    ports: (p) => ({
      ...NO_PORTS,
      bankV: p.outputV,
      dcIn: p,
      sunIn: p.sunInput && { regulates: 'mppt', maxV: p.sunInput.maxV, maxA: p.sunInput.maxA, beside: p.sunInput.way },
      mainsIn: p.mainsInput ?? null,
    }),
    stem: 'charger',
    role: 'charger',
    calls: () => 'charger',
    heatW: (p, { bankV }) => (bankV === null ? 0 : chargerInputW(p, bankV) * (1 - p.efficiency)),
    why: 'brings the alternator’s current to the house battery and keeps the two batteries apart',
  },
});
