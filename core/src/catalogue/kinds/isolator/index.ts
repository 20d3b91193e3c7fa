import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { ISOLATOR_PARTS } from './parts.js';
import { isolatorSchema } from './schema.js';

export const isolator = defineKind({
  kind: 'isolator',
  words: 'isolator',
  schema: isolatorSchema,
  parts: ISOLATOR_PARTS,
  first: ['ratedA', 'closeV', 'openV'],
  plate: {
    required: { ratedA: above('A', 1000) },
    rest: ({ ratedA }) => ({ closeV: 13.2, closeAfterS: 10, openV: 12.7, openAfterS: 30, kg: 0.5, mm: [70, 80, 60], price: Math.round(0.95 * ratedA) }),
  },
});
