import type { LibraryItem } from './library-item.js';

const LITRES = { name: 'Volume', unit: 'L', min: 10, max: 300 } as const;
const round1 = (x: number): number => Math.round(x * 10) / 10;

/** Compressor power grows with the box; duty is at 25 °C around it and grows with the heat. */
export const FRIDGES: readonly LibraryItem[] = [
  {
    id: 'fridge',
    name: 'compressor fridge',
    shelf: 'cold',
    size: { ...LITRES, usual: 50 },
    note: 'inside at +4 °C; 33 % on at 25 °C, more in the heat',
    make: (litres) => ({ purpose: 'fridge', draw: { by: 'plate', unit: 'W', value: round1(35 + 0.27 * litres) }, use: { by: 'fridge', duty25: 0.33, insideC: 4 }, surge: 3, standbyW: 0.5 }),
  },
  {
    id: 'freezer',
    name: 'compressor freezer',
    shelf: 'cold',
    size: { ...LITRES, usual: 60 },
    note: 'inside at −18 °C; 55 % on at 25 °C, more in the heat',
    make: (litres) => ({ purpose: 'fridge', draw: { by: 'plate', unit: 'W', value: round1(42 + 0.3 * litres) }, use: { by: 'fridge', duty25: 0.55, insideC: -18 }, surge: 3, standbyW: 0.5 }),
  },
  {
    id: 'three-way',
    name: 'absorption fridge, three ways',
    shelf: 'cold',
    size: { ...LITRES, usual: 90 },
    note: 'its 12 V element runs all the time: only while driving; gas when parked, mains when plugged in',
    make: (litres) => ({
      purpose: 'fridge',
      draw: { by: 'plate', unit: 'W', value: Math.round(90 + 0.6 * litres) },
      use: { by: 'duty', duty: 1 },
      when: { at: 'all day' },
      also: { mains: true, vehicle: true, gas: true },
    }),
  },
];
