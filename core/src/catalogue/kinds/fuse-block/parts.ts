import type { FuseBlockPart } from './schema.js';

const block = (p: Omit<FuseBlockPart, 'kind' | 'holds'> & Partial<FuseBlockPart>): FuseBlockPart => ({ kind: 'fuse-block', holds: 'blade', ...p });

export const FUSE_BLOCK_PARTS: readonly FuseBlockPart[] = [
  block({ id: 'fb-6', name: 'fuse block 6 ways', ways: 6, wayA: 30, totalA: 100, kg: 0.2, mm: [125, 85, 40], price: 45 }),
  block({ id: 'fb-12', name: 'fuse block 12 ways', ways: 12, wayA: 30, totalA: 100, kg: 0.4, mm: [165, 85, 40], price: 75 }),
  block({ id: 'fb-20', name: 'fuse block 20 ways', ways: 20, wayA: 30, totalA: 150, kg: 0.7, mm: [250, 85, 40], price: 120 }),
  block({ id: 'fb-8-c', name: 'cartridge fuse board 8 ways', holds: 'cartridge', ways: 8, wayA: 32, totalA: 125, kg: 0.9, mm: [200, 120, 75], price: 190 }),
  block({ id: 'fb-14-c', name: 'cartridge fuse board 14 ways', holds: 'cartridge', ways: 14, wayA: 32, totalA: 150, kg: 1.4, mm: [310, 120, 75], price: 290 }),
];
