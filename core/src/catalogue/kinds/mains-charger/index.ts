import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { NO_PORTS } from '../ports.js';
import { MAINS_CHARGER_PARTS } from './parts.js';
import { mainsChargerSchema } from './schema.js';

/** Volts of a bank that is being charged over its nominal ones. */
const CHARGING = 1.2;

export const mainsCharger = defineKind({
  kind: 'mains-charger',
  words: 'mains charger',
  schema: mainsChargerSchema,
  parts: MAINS_CHARGER_PARTS,
  first: ['outputA', 'outputV', 'acW'],
  plate: {
    required: { outputA: above('A', 200) },
    rest: ({ outputA }) => ({
      outputV: 12,
      acW: Math.round(17.2 * outputA),
      kg: Math.round(10 * (0.8 + 0.05 * outputA)) / 10,
      mm: outputA > 30 ? [170, 260, 90] : [140, 210, 80],
      price: Math.round(60 + 9 * outputA),
    }),
  },
  seldom: ['inside'],
  contradiction: (p) => (p.outputA * p.outputV > p.acW ? `outputA: ${p.outputA} A at ${p.outputV} V are more than the ${p.acW} W it takes; an output below its input is accepted` : null),
  converts: {
    ports: (p) => ({ ...NO_PORTS, bankV: p.outputV, mainsIn: { outputA: p.outputA, acW: p.acW } }),
    stem: 'mains',
    role: 'mains',
    calls: () => 'mains charger',
    heatW: (p) => Math.max(0, p.acW - p.outputA * p.outputV * CHARGING),
    why: 'fills the battery wherever there is an outlet, and carries the loads meanwhile',
  },
});
