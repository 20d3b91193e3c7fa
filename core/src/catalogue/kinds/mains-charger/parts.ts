import type { MainsChargerPart } from './schema.js';

export const MAINS_CHARGER_PARTS: readonly MainsChargerPart[] = [
  { kind: 'mains-charger', id: 'mc-15', name: 'mains charger 15 A', outputA: 15, outputV: 12, acW: 260, kg: 1.4, mm: [130, 190, 75], price: 190 },
  { kind: 'mains-charger', id: 'mc-25', name: 'mains charger 25 A', outputA: 25, outputV: 12, acW: 430, kg: 1.9, mm: [140, 220, 80], price: 280 },
  { kind: 'mains-charger', id: 'mc-40', name: 'mains charger 40 A', outputA: 40, outputV: 12, acW: 690, kg: 2.8, mm: [160, 250, 85], price: 420 },
  { kind: 'mains-charger', id: 'mc-24-25', name: 'mains charger 24 V 25 A', outputA: 25, outputV: 24, acW: 850, kg: 3.1, mm: [170, 260, 90], price: 520 },
  { kind: 'mains-charger', id: 'mc-60', name: 'mains charger 60 A', outputA: 60, outputV: 12, acW: 1030, kg: 3.9, mm: [180, 280, 95], price: 590, special: true },
];
