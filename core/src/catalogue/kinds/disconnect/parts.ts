import type { DisconnectPart } from './schema.js';

export const DISCONNECT_PARTS: readonly DisconnectPart[] = [
  { kind: 'disconnect', id: 'lvd-65', name: 'disconnect 65 A', ratedA: 65, milliohm: 0.8, ownMa: 2, kg: 0.2, mm: [80, 60, 40], price: 78 },
  { kind: 'disconnect', id: 'lvd-120', name: 'disconnect 120 A', ratedA: 120, milliohm: 0.4, ownMa: 2, kg: 0.3, mm: [100, 70, 50], price: 115 },
  { kind: 'disconnect', id: 'lvd-220', name: 'disconnect 220 A', ratedA: 220, milliohm: 0.2, ownMa: 3, kg: 0.5, mm: [120, 90, 60], price: 185 },
  { kind: 'disconnect', id: 'guard-40', name: 'battery guard 40 A', ratedA: 40, milliohm: 1.4, ownMa: 1.5, kg: 0.15, mm: [65, 55, 30], price: 59, special: true },
  { kind: 'disconnect', id: 'guard-100', name: 'battery guard 100 A', ratedA: 100, milliohm: 0.6, ownMa: 1.5, kg: 0.25, mm: [95, 60, 40], price: 92, special: true },
];
