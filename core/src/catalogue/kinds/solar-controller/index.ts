import { z } from 'zod';
import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { NO_PORTS } from '../ports.js';
import { SOLAR_CONTROLLER_PARTS } from './parts.js';
import { solarControllerSchema } from './schema.js';

/** Share of the sun that a controller turns to heat. */
const LOSS = 0.03;

export const solarController = defineKind({
  kind: 'solar-controller',
  words: 'solar controller',
  schema: solarControllerSchema,
  parts: SOLAR_CONTROLLER_PARTS,
  first: ['way', 'maxA', 'maxV'],
  plate: {
    required: { way: z.enum(['mppt', 'pwm'], { message: 'mppt or pwm is accepted' }), maxA: above('A', 200), maxV: above('V', 250) },
    rest: ({ maxA }) => ({ kg: Math.round(10 * (0.3 + 0.03 * maxA)) / 10, mm: maxA > 30 ? [200, 130, 65] : [150, 115, 50], price: Math.round(50 + 8 * maxA) }),
  },
  seldom: ['inside'],
  converts: {
    ports: (p) => ({ ...NO_PORTS, sunIn: { regulates: p.way, maxV: p.maxV, maxA: p.maxA, beside: 'nothing' } }),
    stem: 'regulator',
    role: 'controller',
    calls: () => 'solar controller',
    heatW: (p, { sunW, houseV }) => LOSS * Math.min(sunW, p.maxA * houseV),
    why: 'keeps the panels at their best volts and the battery at its own',
  },
});
