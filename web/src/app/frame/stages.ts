import { STAGES, type Stage } from '@meridex/core';
import type { SheetTab } from '../ui/sheet-tabs';

const NAME: Readonly<Record<Stage, string>> = {
  brief: 'Brief',
  loads: 'Loads',
  supply: 'Supply',
  places: 'Places',
  runs: 'Runs',
  protection: 'Protection',
  checks: 'Checks',
  order: 'Order',
  fit: 'Fit',
  prove: 'Prove',
  'hand-over': 'Hand over',
  'look-after': 'Look after',
};

/** The stages with their names and keys: 1–9, then 0; the last two have none. */
export const STAGE_LIST = STAGES.map((id, i) => ({ id, name: NAME[id], key: i < 9 ? String(i + 1) : i === 9 ? '0' : '' }));
export const stageName = (id: Stage): string => NAME[id];

/** The sheets of the stages that have several, in their order: tabs, find or do and the paths read them here. */
export const SHEETS = {
  brief: [
    { path: 'talk', name: 'Ten answers' },
    { path: 'vehicle', name: 'Vehicle and trip' },
    { path: 'vehicles', name: 'More vehicles' },
    { path: 'existing', name: 'In the vehicle already' },
  ],
  places: [
    { path: 'where', name: 'Where it goes' },
    { path: 'board', name: 'The board' },
    { path: 'boxes', name: 'Boxes' },
    { path: 'burden', name: 'Weight, heat, service' },
    { path: 'vehicle', name: 'The vehicle' },
  ],
  protection: [
    { path: 'fuses', name: 'Fuses' },
    { path: 'diagram', name: 'Line diagram' },
    { path: 'live', name: 'What stays live' },
  ],
  runs: [
    { path: 'cables', name: 'Cables' },
    { path: 'ways', name: 'Ways and holes' },
    { path: 'multi-cores', name: 'Multi-cores' },
    { path: 'plugs', name: 'Plugs and leads' },
  ],
  checks: [
    { path: 'findings', name: 'What is found' },
    { path: 'mains', name: '230 V' },
  ],
  order: [
    { path: 'parts', name: 'Parts and cuts' },
    { path: 'prices', name: 'Prices' },
    { path: 'buying', name: 'Buying' },
    { path: 'labels', name: 'Labels' },
    { path: 'quote', name: 'The quote' },
  ],
  supply: [
    { path: 'flow', name: 'The flow' },
    { path: 'drafts', name: 'Three drafts' },
    { path: 'feeds', name: 'What feeds it' },
    { path: 'trip', name: 'The trip' },
    { path: 'meters', name: 'Meters and switching' },
    { path: 'sheets', name: 'Settings and watching' },
  ],
  prove: [
    { path: 'readings', name: 'Readings' },
    { path: 'find', name: 'Find the fault' },
    { path: 'learn', name: 'Learn to find' },
  ],
  'look-after': [
    { path: 'care', name: 'Care to come' },
    { path: 'history', name: 'Every change' },
  ],
} as const satisfies Partial<Record<Stage, readonly SheetTab[]>>;

export const SHEET_LIST = Object.entries(SHEETS).flatMap(([stage, sheets]) => sheets.map((s) => ({ stage: stage as Stage, ...s })));

/** Sheets that are one wide picture: the figures of the job stand in a row beneath it. */
const WIDE: readonly string[] = ['protection/diagram'];
export const isWide = (url: string): boolean => WIDE.includes(url.split(/[?#]/)[0]!.split('/').slice(3, 5).join('/'));
