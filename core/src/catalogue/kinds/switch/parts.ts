import type { SwitchPart } from './schema.js';

export const SWITCH_PARTS: readonly SwitchPart[] = [
  { kind: 'switch', id: 'sw-150', name: 'main switch 150 A', ratedA: 150, peakA: 600, milliohm: 0.2, selects: false, kg: 0.2, mm: [70, 70, 75], price: 38 },
  { kind: 'switch', id: 'sw-300', name: 'main switch 300 A', ratedA: 300, peakA: 1000, milliohm: 0.12, selects: false, kg: 0.3, mm: [70, 70, 80], price: 62 },
  { kind: 'switch', id: 'sw-500', name: 'main switch 500 A', ratedA: 500, peakA: 2500, milliohm: 0.08, selects: false, kg: 0.7, mm: [90, 90, 95], price: 135 },
  { kind: 'switch', id: 'sel-250', name: 'battery selector 1-2-both-off 250 A', ratedA: 250, peakA: 900, milliohm: 0.15, selects: true, kg: 0.6, mm: [135, 135, 75], price: 74, special: true },
  { kind: 'switch', id: 'sel-500', name: 'battery selector 1-2-both-off 500 A', ratedA: 500, peakA: 2000, milliohm: 0.09, selects: true, kg: 1.1, mm: [160, 160, 90], price: 158, special: true },
];
