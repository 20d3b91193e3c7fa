import type { IsolatorPart } from './schema.js';

const sensing = { kind: 'isolator', closeV: 13.2, closeAfterS: 10, openV: 12.7, openAfterS: 30 } as const;

export const ISOLATOR_PARTS: readonly IsolatorPart[] = [
  { ...sensing, id: 'iso-100', name: 'voltage-sensing isolator 100 A', ratedA: 100, kg: 0.4, mm: [70, 80, 60], price: 95 },
  { ...sensing, id: 'iso-140', name: 'voltage-sensing isolator 140 A', ratedA: 140, kg: 0.5, mm: [70, 80, 60], price: 130 },
  { ...sensing, id: 'iso-200', name: 'voltage-sensing isolator 200 A', ratedA: 200, kg: 0.7, mm: [80, 90, 65], price: 175, special: true },
];
