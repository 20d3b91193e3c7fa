import { above, counted } from '../figures.js';
import { defineKind } from '../kind.js';
import { RELAYS_PARTS } from './parts.js';
import { relaysSchema } from './schema.js';

export const relays = defineKind({
  kind: 'relays',
  words: 'relay unit',
  schema: relaysSchema,
  parts: RELAYS_PARTS,
  first: ['outputs', 'outputA', 'failsTo'],
  plate: {
    required: { outputs: counted('outputs', 32), outputA: above('A', 60) },
    rest: ({ outputs }) => ({ milliohm: 8, failsTo: 'off', ownMa: 4 * outputs, kg: 0.4, mm: [60 + 16 * outputs, 85, 45], price: 60 + 25 * outputs }),
  },
  watches: {
    reads: () => null,
    channels: () => 0,
    shows: () => false,
    outputs: (p) => ({ count: p.outputs, amps: p.outputA, milliohm: p.milliohm, failsTo: p.failsTo }),
    ownMa: (p) => p.ownMa,
    role: () => 'block',
    stem: 'relays',
    calls: (p) => p.name,
    why: 'switches circuits beside their fuses, so that the heavy wire stays short and the button may be anywhere',
  },
});
