import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { NO_PORTS } from '../ports.js';
import { inverterInputW } from './electrical.js';
import { INVERTER_PARTS } from './parts.js';
import { inverterSchema } from './schema.js';

export const inverter = defineKind({
  kind: 'inverter',
  words: 'inverter',
  schema: inverterSchema,
  parts: INVERTER_PARTS,
  first: ['ratedW', 'surgeW', 'inputV'],
  plate: {
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
    has: ({ ratedW, inputV }) => {
      const outputA = Math.round(ratedW / 25 / (inputV === 24 ? 2 : 1));
      return { charger: { outputA, acW: Math.ceil((outputA * (inputV === 24 ? 28.8 : 14.4)) / 0.87) } };
    },
  },
  seldom: ['inside'],
  contradiction: (p) => (p.surgeW < p.ratedW ? `surgeW: ${p.surgeW} W is below the rated ${p.ratedW} W; no less is accepted` : null),
  converts: {
    ports: (p) => ({ ...NO_PORTS, bankV: p.inputV, mainsIn: p.charger, mainsOut: p }),
    stem: 'inverter',
    role: 'inverter',
    calls: (p) => `inverter ${p.ratedW} W`,
    heatW: (p) => inverterInputW(p.ratedW, p.ratedW) - p.ratedW,
    why: 'makes the 230 V that some loads want, with its own short, thick run',
  },
});
