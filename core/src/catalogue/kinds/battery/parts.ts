import type { BatteryPart } from './schema.js';

const battery = (p: Omit<BatteryPart, 'kind'>): BatteryPart => ({ kind: 'battery', ...p });

export const BATTERY_PARTS: readonly BatteryPart[] = [
  battery({ id: 'bat-agm-100', name: 'AGM battery 100 Ah', chemistry: 'agm', capacityAh: 100, continuousA: 100, peakA: 400, kg: 30, mm: [330, 220, 172], price: 310 }),
  battery({ id: 'bat-agm-120', name: 'AGM battery 120 Ah', chemistry: 'agm', capacityAh: 120, continuousA: 120, peakA: 450, kg: 34, mm: [408, 235, 174], price: 380 }),
  battery({ id: 'bat-gel-100', name: 'gel battery 100 Ah', chemistry: 'gel', capacityAh: 100, continuousA: 80, peakA: 300, kg: 31, mm: [330, 220, 172], price: 360 }),
  battery({ id: 'bat-fla-105', name: 'flooded battery 105 Ah', chemistry: 'flooded', capacityAh: 105, continuousA: 90, peakA: 500, kg: 26, mm: [330, 240, 172], price: 240 }),
  battery({ id: 'bat-lfp-100', name: 'lithium battery 100 Ah', chemistry: 'lfp', capacityAh: 100, continuousA: 100, peakA: 200, kg: 11.5, mm: [330, 215, 172], price: 690 }),
  battery({ id: 'bat-lfp-120', name: 'lithium battery 120 Ah, slim', chemistry: 'lfp', capacityAh: 120, continuousA: 120, peakA: 240, kg: 14, mm: [500, 240, 75], price: 890 }),
  battery({ id: 'bat-lfp-200', name: 'lithium battery 200 Ah', chemistry: 'lfp', capacityAh: 200, continuousA: 200, peakA: 400, kg: 22, mm: [520, 220, 238], price: 1390 }),
  battery({ id: 'bat-lfp-280', name: 'lithium battery 280 Ah', chemistry: 'lfp', capacityAh: 280, continuousA: 200, peakA: 400, kg: 30, mm: [520, 220, 270], price: 1950 }),
  battery({ id: 'bat-agm-135', name: 'AGM battery 135 Ah', chemistry: 'agm', capacityAh: 135, continuousA: 135, peakA: 500, kg: 39, mm: [410, 225, 176], price: 430, special: true }),
  battery({ id: 'bat-agm-200', name: 'AGM battery 200 Ah', chemistry: 'agm', capacityAh: 200, continuousA: 180, peakA: 700, kg: 60, mm: [522, 219, 240], price: 690, special: true }),
  battery({ id: 'bat-gel-200', name: 'gel battery 200 Ah', chemistry: 'gel', capacityAh: 200, continuousA: 150, peakA: 550, kg: 62, mm: [522, 219, 240], price: 760, special: true }),
  battery({ id: 'bat-lfp-150', name: 'lithium battery 150 Ah', chemistry: 'lfp', capacityAh: 150, continuousA: 150, peakA: 300, kg: 17, mm: [485, 240, 170], price: 1090, special: true }),
  battery({ id: 'bat-lfp-240', name: 'lithium battery 240 Ah', chemistry: 'lfp', capacityAh: 240, continuousA: 200, peakA: 400, kg: 26, mm: [520, 220, 255], price: 1690, special: true }),
  battery({ id: 'bat-lfp-300', name: 'lithium battery 300 Ah', chemistry: 'lfp', capacityAh: 300, continuousA: 200, peakA: 400, kg: 32, mm: [522, 225, 275], price: 2080, special: true }),
  battery({
    id: 'unit-2400',
    name: 'power unit 2.4 kWh, 2000 W',
    chemistry: 'lfp',
    capacityAh: 190,
    continuousA: 220,
    peakA: 440,
    outletA: 100,
    kg: 34,
    mm: [460, 260, 340],
    price: 3900,
    special: true,
  }),
];
