import type { RemotePart } from './schema.js';

const one = { kind: 'remote', special: true } as const;

export const REMOTE_PARTS: readonly RemotePart[] = [
  { ...one, id: 'remote-screen', name: 'remote display', buttons: 0, ownMa: 60, kg: 0.3, mm: [130, 85, 25], price: 190 },
  { ...one, id: 'remote-touch', name: 'remote unit with eight buttons', buttons: 8, ownMa: 90, kg: 0.4, mm: [180, 110, 30], price: 340 },
  { ...one, id: 'remote-buttons', name: 'button panel, eight circuits', buttons: 8, ownMa: 15, kg: 0.2, mm: [160, 60, 30], price: 120 },
];
