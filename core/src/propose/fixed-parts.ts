import type { Catalogue, PartOf } from '../catalogue/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { loadsOn } from '../outlook/index.js';
import { decideIsolation, bankOf } from '../supply/index.js';

/** Room over the largest mains load before an inverter counts as big enough. */
const INVERTER_ROOM = 1.1;

const smallest = <T>(parts: readonly T[], size: (p: T) => number, want: number): T | null => [...parts].sort((a, b) => size(a) - size(b)).find((p) => size(p) >= want - 1e-9) ?? null;

/** An inverter that carries what runs at once, and the heaviest start; null where nothing wants mains. */
export function inverterFor(design: Design, catalogue: Catalogue): PartOf<'inverter'> | null {
  const day = loadsOn(design, catalogue, design.brief.trip.drivingH, 0);
  if (day.mainsPeakW <= 0) return null;
  const startW = Math.max(0, ...day.loads.filter((l) => l.mains).map((l) => l.ownW * Math.max(1, design.loads[l.id]!.surge)));
  const fits = catalogue.ofKind('inverter').filter((p) => p.inputV === design.supply.houseV && p.charger === null && p.surgeW >= startW);
  return smallest(fits, (p) => p.ratedW, INVERTER_ROOM * day.mainsPeakW) ?? fits.sort((a, b) => b.ratedW - a.ratedW)[0] ?? null;
}

/** What the loads and the vehicle settle whatever the draft: inverter, fuse block, the way of isolation. */
export function withFixedParts(design: Design, catalogue: Catalogue): Design {
  const next = copyDesign(design);
  const { supply } = next;
  supply.inverter = inverterFor(next, catalogue)?.id ?? null;
  const ways = Object.values(next.loads).filter((l) => l.supply === 'dc').length;
  supply.fuseBlock = smallest(catalogue.ofKind('fuse-block'), (p) => p.ways, ways + 2)?.id ?? supply.fuseBlock;
  supply.second = null;
  supply.dcdcSecond = null;
  supply.dcdcHalf = false;
  supply.trigger = 'ignition wire';
  supply.sun.inSeries = 1;
  supply.sun.portable = null;
  supply.sun.startBelow = null;
  const drives = next.brief.trip.drivingH > 0 && next.brief.alternator.ratedA > 0;
  supply.isolation = drives || next.brief.vehicleKind === 'light-truck' ? decideIsolation(next, bankOf(next, catalogue)).advised : 'none';
  return next;
}
