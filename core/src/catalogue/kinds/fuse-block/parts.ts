import type { FuseBlockPart } from './schema.js';

export const FUSE_BLOCK_PARTS: readonly FuseBlockPart[] = [
  { kind: 'fuse-block', id: 'fb-6', name: 'fuse block 6 ways', ways: 6, wayA: 30, totalA: 100, kg: 0.2, mm: [125, 85, 40], price: 45 },
  { kind: 'fuse-block', id: 'fb-12', name: 'fuse block 12 ways', ways: 12, wayA: 30, totalA: 100, kg: 0.4, mm: [165, 85, 40], price: 75 },
  { kind: 'fuse-block', id: 'fb-20', name: 'fuse block 20 ways', ways: 20, wayA: 30, totalA: 150, kg: 0.7, mm: [250, 85, 40], price: 120 },
];
