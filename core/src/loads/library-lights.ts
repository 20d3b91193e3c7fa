import type { LibraryItem } from './library-item.js';
import { wattsForLight } from './lights.js';

const lamp = (lumens: number, colour: 'white' | 'warm' | 'amber' | 'red') => ({
  purpose: 'lights' as const,
  draw: { by: 'plate' as const, unit: 'W' as const, value: Math.round(wattsForLight(lumens, colour) * 10) / 10 },
  light: { lumens, colour },
});
const LUMENS = { name: 'Light', unit: 'lm', min: 10, max: 20000 } as const;

/** LED lights by the light they give; watts follow from lumens and colour. */
export const LIGHTS: readonly LibraryItem[] = [
  {
    id: 'lights-inside',
    name: 'inside lights',
    shelf: 'light',
    size: { ...LUMENS, usual: 900 },
    note: 'warm white, dimmable',
    make: (lm) => ({ ...lamp(lm, 'warm'), when: { at: 'evening' }, use: { by: 'hours', hours: 3 } }),
  },
  {
    id: 'lights-reading',
    name: 'reading lights',
    shelf: 'light',
    size: { ...LUMENS, usual: 300 },
    note: 'warm white',
    make: (lm) => ({ ...lamp(lm, 'warm'), when: { at: 'evening' }, use: { by: 'hours', hours: 2 } }),
  },
  {
    id: 'lights-camp',
    name: 'awning lights',
    shelf: 'light',
    size: { ...LUMENS, usual: 700 },
    note: 'amber draws fewer insects, for about twice the watts',
    make: (lm) => ({ ...lamp(lm, 'amber'), when: { at: 'evening' }, use: { by: 'hours', hours: 3 } }),
  },
  {
    id: 'lights-red',
    name: 'red night light',
    shelf: 'light',
    size: { ...LUMENS, usual: 60 },
    note: 'keeps eyes used to the dark',
    make: (lm) => ({ ...lamp(lm, 'red'), when: { at: 'night' }, use: { by: 'hours', hours: 2 } }),
  },
  {
    id: 'lights-work',
    name: 'work lights',
    shelf: 'light',
    size: { ...LUMENS, usual: 4000 },
    note: 'white',
    make: (lm) => ({ ...lamp(lm, 'white'), when: { at: 'evening' }, use: { by: 'hours', hours: 1 } }),
  },
];
