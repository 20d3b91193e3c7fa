import type { Load } from '../design/index.js';
import { loadSpans } from './use.js';
import { spanHours } from './spans.js';

/** Volts of the mains outlets. */
export const MAINS_V = 230;

/** A load's own power while it runs, W: at the outlet for a mains load, at nominal volts for one on the house side. */
export function ownPowerW(load: Pick<Load, 'draw' | 'supply' | 'when' | 'dim'>, nominalV: number, drivingH: number): number {
  const volts = load.supply === 'mains' ? MAINS_V : nominalV;
  const { draw } = load;
  if (draw.by === 'measured') return draw.onA * volts * load.dim;
  if (draw.by === 'plate') return (draw.unit === 'W' ? draw.value : draw.value * volts) * load.dim;
  const hours = spanHours(loadSpans(load, drivingH));
  return hours > 0 ? (draw.whDay / hours) * load.dim : 0;
}

/** Constant current stays the same as volts fall; constant power draws more. Amps, as plated or measured, are taken as constant. */
export function loadKind(load: Pick<Load, 'draw' | 'supply'>): 'power' | 'current' {
  const inAmps = load.draw.by === 'measured' || (load.draw.by === 'plate' && load.draw.unit === 'A');
  return inAmps && load.supply === 'dc' ? 'current' : 'power';
}
