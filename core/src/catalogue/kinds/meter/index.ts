import { z } from 'zod';
import { defineKind } from '../kind.js';
import { METER_PARTS } from './parts.js';
import { meterSchema } from './schema.js';

export const meter = defineKind({
  kind: 'meter',
  words: 'meter or sender',
  schema: meterSchema,
  parts: METER_PARTS,
  first: ['reads', 'channels', 'ownMa'],
  plate: {
    required: { reads: z.enum(meterSchema.shape.reads.options, { message: `one of ${meterSchema.shape.reads.options.join(', ')} is accepted` }) },
    rest: ({ reads }) => ({ channels: reads === 'amps of circuits' ? 8 : 1, shows: reads === 'volts' || reads === 'volts and amps', ownMa: 10, kg: 0.1, mm: [80, 50, 30], price: 60 }),
  },
  watches: {
    reads: (p) => p.reads,
    channels: (p) => p.channels,
    shows: (p) => p.shows,
    outputs: () => null,
    ownMa: (p) => p.ownMa,
    role: (p) => (p.reads === 'amps of circuits' ? 'block' : 'control'),
    stem: 'meter',
    calls: (p) => p.name,
    why: 'shows what nobody sees: a figure before it becomes trouble',
  },
});
