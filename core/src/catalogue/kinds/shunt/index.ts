import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { SHUNT_PARTS } from './parts.js';
import { shuntSchema } from './schema.js';

export const shunt = defineKind({
  kind: 'shunt',
  words: 'shunt',
  schema: shuntSchema,
  parts: SHUNT_PARTS,
  first: ['ratedA', 'dropMv'],
  plate: { required: { ratedA: above('A', 2000) }, rest: ({ ratedA }) => ({ dropMv: 50, kg: 0.5, mm: [120, 54, 54], price: Math.round(60 + 0.3 * ratedA) }) },
  watches: {
    reads: () => 'charge',
    channels: () => 1,
    shows: () => false,
    outputs: () => null,
    // Its display’s, which is lit on demand.
    ownMa: () => 0,
    role: () => 'bus',
    stem: 'shunt',
    calls: () => 'shunt',
    why: 'all that enters or leaves the battery passes it, so charge can be counted',
  },
});
