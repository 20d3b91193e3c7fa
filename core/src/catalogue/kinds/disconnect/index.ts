import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { DISCONNECT_PARTS } from './parts.js';
import { disconnectSchema } from './schema.js';

export const disconnect = defineKind({
  kind: 'disconnect',
  words: 'low-voltage disconnect',
  schema: disconnectSchema,
  parts: DISCONNECT_PARTS,
  first: ['ratedA', 'ownMa'],
  plate: {
    required: { ratedA: above('A', 1000) },
    rest: ({ ratedA }) => ({ milliohm: Math.round(5000 / ratedA) / 100, ownMa: 4, kg: 0.3, mm: [100, 70, 50], price: Math.round(0.95 * ratedA) }),
  },
});
