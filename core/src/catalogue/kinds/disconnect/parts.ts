import type { DisconnectPart } from './schema.js';

export const DISCONNECT_PARTS: readonly DisconnectPart[] = [
  { kind: 'disconnect', id: 'lvd-65', name: 'disconnect 65 A', ratedA: 65, milliohm: 0.8, ownMa: 2, kg: 0.2, mm: [80, 60, 40], price: 78 },
  { kind: 'disconnect', id: 'lvd-120', name: 'disconnect 120 A', ratedA: 120, milliohm: 0.4, ownMa: 2, kg: 0.3, mm: [100, 70, 50], price: 115 },
  { kind: 'disconnect', id: 'lvd-220', name: 'disconnect 220 A', ratedA: 220, milliohm: 0.2, ownMa: 3, kg: 0.5, mm: [120, 90, 60], price: 185 },
];
