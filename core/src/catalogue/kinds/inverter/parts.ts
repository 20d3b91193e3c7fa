import type { InverterPart } from './schema.js';

const inverter = (p: Omit<InverterPart, 'kind' | 'waveform' | 'charger'> & Partial<InverterPart>): InverterPart => ({ kind: 'inverter', waveform: 'sine', charger: null, ...p });

export const INVERTER_PARTS: readonly InverterPart[] = [
  inverter({ id: 'inv-300', name: 'inverter 300 W', ratedW: 300, surgeW: 600, inputV: 12, kg: 1.6, mm: [150, 200, 60], price: 180 }),
  inverter({ id: 'inv-600', name: 'inverter 600 W', ratedW: 600, surgeW: 1200, inputV: 12, kg: 2.7, mm: [170, 235, 75], price: 290 }),
  inverter({ id: 'inv-1000', name: 'inverter 1000 W', ratedW: 1000, surgeW: 2000, inputV: 12, kg: 4.2, mm: [190, 290, 85], price: 460 }),
  inverter({ id: 'inv-1600', name: 'inverter 1600 W', ratedW: 1600, surgeW: 3200, inputV: 12, kg: 6.4, mm: [220, 340, 100], price: 720 }),
  inverter({ id: 'inv-2000', name: 'inverter 2000 W', ratedW: 2000, surgeW: 4000, inputV: 12, kg: 8, mm: [240, 380, 110], price: 890 }),
  inverter({ id: 'inv-3000', name: 'inverter 3000 W', ratedW: 3000, surgeW: 6000, inputV: 12, kg: 12, mm: [260, 440, 130], price: 1290 }),
  inverter({ id: 'inv-chg-1600', name: 'inverter-charger 1600 W, 60 A', ratedW: 1600, surgeW: 3000, inputV: 12, charger: { outputA: 60, acW: 1000 }, kg: 13, mm: [260, 360, 190], price: 1290 }),
  inverter({ id: 'inv-24-1200', name: 'inverter 24 V 1200 W', ratedW: 1200, surgeW: 2400, inputV: 24, kg: 4.8, mm: [200, 300, 90], price: 540 }),
  inverter({ id: 'inv-24-2400', name: 'inverter 24 V 2400 W', ratedW: 2400, surgeW: 4800, inputV: 24, kg: 10.5, mm: [280, 420, 125], price: 1150 }),
  inverter({ id: 'inv-2600', name: 'inverter 2600 W', ratedW: 2600, surgeW: 5200, inputV: 12, kg: 10.4, mm: [250, 410, 120], price: 1120, special: true }),
  inverter({
    id: 'inv-chg-2000',
    name: 'inverter-charger 2000 W, 80 A',
    ratedW: 2000,
    surgeW: 4000,
    inputV: 12,
    charger: { outputA: 80, acW: 1350 },
    kg: 15,
    mm: [270, 380, 200],
    price: 1590,
    special: true,
  }),
  inverter({
    id: 'inv-chg-3000',
    name: 'inverter-charger 3000 W, 120 A',
    ratedW: 3000,
    surgeW: 6000,
    inputV: 12,
    charger: { outputA: 120, acW: 2000 },
    kg: 20,
    mm: [300, 430, 220],
    price: 2150,
    special: true,
  }),
];
