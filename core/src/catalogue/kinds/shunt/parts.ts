import type { ShuntPart } from './schema.js';

export const SHUNT_PARTS: readonly ShuntPart[] = [
  { kind: 'shunt', id: 'shunt-500', name: 'shunt 500 A with display', ratedA: 500, dropMv: 50, kg: 0.5, mm: [120, 54, 54], price: 210 },
  { kind: 'shunt', id: 'shunt-1000', name: 'shunt 1000 A with display', ratedA: 1000, dropMv: 50, kg: 0.9, mm: [150, 60, 60], price: 320 },
];
