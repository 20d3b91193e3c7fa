import type { HubPart } from './schema.js';

export const HUB_PARTS: readonly HubPart[] = [
  {
    kind: 'hub',
    id: 'hub-8',
    name: 'hub board 8 ways, 200 A',
    barsA: 200,
    ways: 8,
    wayA: 30,
    shunt: { ratedA: 300, dropMv: 30 },
    disconnect: { ratedA: 80, milliohm: 0.4, ownMa: 4 },
    mainSwitch: null,
    kg: 2.4,
    mm: [320, 210, 75],
    price: 620,
  },
  {
    kind: 'hub',
    id: 'hub-14',
    name: 'hub board 14 ways, 300 A, with main switch',
    barsA: 300,
    ways: 14,
    wayA: 30,
    shunt: { ratedA: 500, dropMv: 50 },
    disconnect: { ratedA: 120, milliohm: 0.25, ownMa: 4 },
    mainSwitch: { ratedA: 300, peakA: 1000, milliohm: 0.08 },
    kg: 3.6,
    mm: [420, 240, 85],
    price: 980,
  },
];
