import { counted } from '../figures.js';
import { defineKind } from '../kind.js';
import { FUSE_BLOCK_PARTS } from './parts.js';
import { fuseBlockSchema } from './schema.js';

export const fuseBlock = defineKind({
  kind: 'fuse-block',
  words: 'fuse block',
  schema: fuseBlockSchema,
  parts: FUSE_BLOCK_PARTS,
  first: ['ways', 'wayA', 'totalA', 'holds'],
  plate: {
    required: { ways: counted('ways', 60) },
    rest: ({ ways }) => ({ wayA: 30, totalA: 100, holds: 'blade', kg: Math.round(3.5 * ways) / 100, mm: [60 + 10 * ways, 85, 40], price: 7 * ways }),
  },
});
