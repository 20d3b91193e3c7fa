import type { MaintainerPart } from './schema.js';

const of12 = { kind: 'maintainer', inputV: 12, outputV: 12, efficiency: 0.86, aboveV: 13.2, holdV: 13.5, ownMa: 3 } as const;

export const MAINTAINER_PARTS: readonly MaintainerPart[] = [
  { ...of12, id: 'keep-4', name: 'maintainer 4 A', outputA: 4, kg: 0.2, mm: [90, 60, 35], price: 89 },
  { ...of12, id: 'keep-10', name: 'maintainer 10 A', outputA: 10, kg: 0.4, mm: [110, 75, 40], price: 149, special: true },
  { ...of12, id: 'keep-12-24-3', name: 'maintainer 12 to 24 V, 3 A', outputV: 24, holdV: 27, outputA: 3, kg: 0.4, mm: [110, 75, 40], price: 165 },
  { ...of12, id: 'keep-24-12-4', name: 'maintainer 24 to 12 V, 4 A', inputV: 24, aboveV: 26.4, outputA: 4, kg: 0.3, mm: [100, 70, 40], price: 119 },
  { ...of12, id: 'keep-24-3', name: 'maintainer 24 V, 3 A', inputV: 24, outputV: 24, aboveV: 26.4, holdV: 27, outputA: 3, kg: 0.4, mm: [110, 75, 40], price: 159 },
];
