import { STAGES, type Stage } from '@meridex/core';

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
