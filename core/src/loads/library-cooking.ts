import type { Load } from '../design/index.js';
import type { LibraryItem } from './library-item.js';

const cook = (value: number, hours: number, spans: [number, number][]): Partial<Load> => ({
  purpose: 'cooking',
  supply: 'mains',
  draw: { by: 'plate', unit: 'W', value },
  use: { by: 'hours', hours },
  when: { at: 'hours', spans },
  also: { mains: true, vehicle: false, gas: false },
});
const INPUT = { name: 'Input', unit: 'W' } as const;

/** Cooking by mains through the inverter; from the park's mains when plugged in. */
export const COOKING: readonly LibraryItem[] = [
  {
    id: 'kettle',
    name: 'kettle',
    shelf: 'cooking',
    size: { ...INPUT, usual: 1200, min: 300, max: 2400 },
    note: 'two boils of a litre a day',
    make: (w) =>
      cook(w, Math.round((225 / w) * 100) / 100, [
        [7, 8],
        [16, 17],
      ]),
  },
  {
    id: 'induction',
    name: 'induction plate',
    shelf: 'cooking',
    size: { ...INPUT, usual: 1400, min: 400, max: 3500 },
    note: 'half an hour a day; it pulses at low settings',
    make: (w) => cook(w, 0.4, [[18, 20]]),
  },
  { id: 'coffee', name: 'coffee maker', shelf: 'cooking', size: { ...INPUT, usual: 1000, min: 200, max: 1600 }, note: 'ten minutes a day', make: (w) => cook(w, 0.17, [[7, 9]]) },
  { id: 'oven', name: 'oven', shelf: 'cooking', size: { ...INPUT, usual: 1500, min: 300, max: 3000 }, note: 'an hour at about half duty', make: (w) => cook(w, 0.5, [[17, 19]]) },
  {
    id: 'microwave',
    name: 'microwave',
    shelf: 'cooking',
    size: { name: 'Input', unit: 'W', usual: 1150, min: 600, max: 1800 },
    note: 'the plate names what goes into the food; the input is about half as much again',
    make: (w) => cook(w, 0.2, [[18, 20]]),
  },
];
