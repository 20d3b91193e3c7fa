import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { REMOTE_PARTS } from './parts.js';
import { remoteSchema } from './schema.js';

export const remote = defineKind({
  kind: 'remote',
  words: 'remote unit',
  schema: remoteSchema,
  parts: REMOTE_PARTS,
  first: ['buttons', 'ownMa'],
  plate: { required: { ownMa: above('mA', 2000) }, rest: ({ ownMa }) => ({ buttons: 0, kg: 0.3, mm: [130, 85, 25], price: Math.round(100 + ownMa) }) },
  watches: {
    reads: () => null,
    channels: () => 0,
    shows: () => true,
    outputs: () => null,
    ownMa: (p) => p.ownMa,
    role: () => 'control',
    stem: 'screen',
    calls: (p) => p.name,
    why: 'shows and switches from where people are what is fitted where nobody looks',
  },
});
