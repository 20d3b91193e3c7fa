import type { PartKind } from '@meridex/core';

/** Kinds of part as the trade says them. */
export const KIND_WORDS: Readonly<Record<PartKind, string>> = {
  battery: 'battery',
  dcdc: 'DC-DC charger',
  isolator: 'isolator',
  panel: 'solar panel',
  'solar-controller': 'solar controller',
  'mains-charger': 'mains charger',
  inverter: 'inverter',
  'fuse-block': 'fuse block',
  switch: 'main switch',
  shunt: 'shunt',
  disconnect: 'low-voltage disconnect',
  hub: 'hub board',
};
