import { above, counted } from '../figures.js';
import { defineKind } from '../kind.js';
import { HUB_PARTS } from './parts.js';
import { hubSchema } from './schema.js';

export const hub = defineKind({
  kind: 'hub',
  words: 'hub board',
  schema: hubSchema,
  parts: HUB_PARTS,
  first: ['ways', 'wayA', 'barsA'],
  plate: {
    required: { ways: counted('ways', 60), barsA: above('A', 1000) },
    rest: ({ ways, barsA }) => ({
      wayA: 30,
      shunt: { ratedA: barsA, dropMv: 50 },
      disconnect: { ratedA: Math.round(barsA * 0.4), milliohm: 0.4, ownMa: 5 },
      mainSwitch: null,
      kg: 1.5 + 0.12 * ways,
      mm: [200 + 16 * ways, 220, 80],
      price: 250 + 45 * ways,
    }),
    has: ({ barsA }) => ({ mainSwitch: { ratedA: barsA, peakA: 3 * barsA, milliohm: 0.1 } }),
  },
});
