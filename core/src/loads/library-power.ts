import type { Load } from '../design/index.js';
import type { LibraryItem } from './library-item.js';

const socket = (value: number, hours: number): Partial<Load> => ({ purpose: 'sockets', draw: { by: 'plate', unit: 'W', value }, use: { by: 'hours', hours }, when: { at: 'daytime' }, standbyW: 0.1 });
const W = { name: 'Watts', unit: 'W' } as const;

/** Sockets by connector and watts, and chargers of tools. */
export const POWER: readonly LibraryItem[] = [
  { id: 'usb-a', name: 'USB-A socket', shelf: 'charging', size: { ...W, usual: 12, min: 5, max: 24 }, note: 'a telephone or two', make: (w) => socket(w, 3) },
  { id: 'usb-c', name: 'USB-C socket', shelf: 'charging', size: { ...W, usual: 60, min: 15, max: 240 }, note: 'full watts only at first, so 2 h stand for a charge', make: (w) => socket(w, 2) },
  {
    id: 'lighter',
    name: 'lighter socket',
    shelf: 'charging',
    size: { ...W, usual: 60, min: 10, max: 180 },
    note: 'works loose; not for anything that must not go off',
    make: (w) => ({ ...socket(w, 2), plugA: 15 }),
  },
  {
    id: 'locking',
    name: 'locking round socket',
    shelf: 'charging',
    size: { ...W, usual: 120, min: 10, max: 240 },
    note: 'for fridges and pumps that must stay on',
    make: (w) => ({ ...socket(w, 2), plugA: 20 }),
  },
  {
    id: 'heavy-plug',
    name: '50 A Anderson plug outlet',
    shelf: 'charging',
    size: { ...W, usual: 300, min: 20, max: 600 },
    note: 'for heavy portable gear',
    make: (w) => ({ ...socket(w, 1), standbyW: 0, plugA: 50 }),
  },
  {
    id: 'tool-charger',
    name: 'power-tool charger',
    shelf: 'charging',
    size: { ...W, usual: 180, min: 40, max: 800 },
    note: 'through the inverter; 2 packs a day',
    make: (w) => ({ purpose: 'tools', supply: 'mains', draw: { by: 'plate', unit: 'W', value: w }, use: { by: 'hours', hours: 1.5 }, when: { at: 'daytime' } }),
  },
  {
    id: 'outlets-230',
    name: '230 V outlets',
    shelf: 'charging',
    size: { ...W, usual: 1000, min: 100, max: 5000 },
    note: 'for what is plugged in now and then; the inverter that gives so many watts, used to nine tenths for half an hour a day',
    make: (w) => ({ purpose: 'sockets', supply: 'mains', draw: { by: 'plate', unit: 'W', value: Math.round(0.9 * w) }, use: { by: 'hours', hours: 0.5 }, when: { at: 'daytime' } }),
  },
  { id: 'camera', name: 'camera and flying-camera charger', shelf: 'charging', size: { ...W, usual: 90, min: 10, max: 300 }, note: '12 V', make: (w) => socket(w, 2) },
];
