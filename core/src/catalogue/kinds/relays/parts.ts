import type { RelaysPart } from './schema.js';

const one = { kind: 'relays', special: true } as const;

export const RELAYS_PARTS: readonly RelaysPart[] = [
  { ...one, id: 'relays-4', name: 'relay unit, four outputs of 10 A', outputs: 4, outputA: 10, milliohm: 8, failsTo: 'off', ownMa: 20, kg: 0.3, mm: [120, 80, 40], price: 140 },
  { ...one, id: 'relays-8', name: 'relay unit, eight outputs of 15 A', outputs: 8, outputA: 15, milliohm: 6, failsTo: 'off', ownMa: 35, kg: 0.5, mm: [180, 90, 45], price: 260 },
  {
    ...one,
    id: 'relays-8-on',
    name: 'relay unit, eight outputs of 15 A that stay on when it dies',
    outputs: 8,
    outputA: 15,
    milliohm: 6,
    failsTo: 'on',
    ownMa: 35,
    kg: 0.5,
    mm: [180, 90, 45],
    price: 275,
  },
];
