import type { MeterPart } from './schema.js';

const one = { kind: 'meter', channels: 1, special: true } as const;

export const METER_PARTS: readonly MeterPart[] = [
  { ...one, id: 'meter-volts', name: 'panel voltmeter', reads: 'volts', shows: true, ownMa: 6, kg: 0.05, mm: [48, 30, 25], price: 24 },
  { ...one, id: 'meter-panel', name: 'panel meter, volts and amps', reads: 'volts and amps', shows: true, ownMa: 9, kg: 0.1, mm: [80, 45, 30], price: 48 },
  { ...one, id: 'sender-tank', name: 'tank sender', reads: 'tank', shows: false, ownMa: 12, kg: 0.2, mm: [60, 60, 40], price: 62 },
  { ...one, id: 'sender-tilt', name: 'level sensor', reads: 'tilt', shows: false, ownMa: 8, kg: 0.1, mm: [60, 45, 20], price: 75 },
  { ...one, id: 'sender-temperature', name: 'temperature probe with its box', reads: 'temperature', shows: false, ownMa: 5, kg: 0.1, mm: [50, 35, 20], price: 38 },
  { ...one, id: 'meter-8', name: 'current monitor, eight circuits', reads: 'amps of circuits', channels: 8, shows: false, ownMa: 30, kg: 0.4, mm: [140, 80, 45], price: 230 },
];
