import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { SWITCH_PARTS } from './parts.js';
import { switchSchema } from './schema.js';

export const mainSwitch = defineKind({
  kind: 'switch',
  words: 'main switch',
  schema: switchSchema,
  parts: SWITCH_PARTS,
  first: ['ratedA', 'peakA'],
  plate: {
    required: { ratedA: above('A', 2000) },
    rest: ({ ratedA }) => ({ selects: false, peakA: 3 * ratedA, milliohm: Math.round(4000 / ratedA) / 100, kg: 0.4, mm: [75, 75, 80], price: Math.round(0.25 * ratedA) }),
  },
});
