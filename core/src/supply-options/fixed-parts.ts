import { inverterInputW, type Catalogue, type PartOf } from '../catalogue/index.js';
import { copyDesign, type Design, supplyOf, type UsualSupply } from '../design/index.js';
import { loadsOn } from '../trip-analysis/index.js';
import { decideIsolation, bankOf } from '../supply/index.js';

/** Room over the largest mains load before an inverter counts as big enough. */
const INVERTER_ROOM = 1.1;

const smallest = <T>(parts: readonly T[], size: (p: T) => number, want: number): T | null => [...parts].sort((a, b) => size(a) - size(b)).find((p) => size(p) >= want - 1e-9) ?? null;

/** An inverter that carries what runs at once, and the heaviest start; null where nothing wants mains. */
export function inverterFor(design: Design, catalogue: Catalogue): PartOf<'inverter'> | null {
  const day = loadsOn(design, catalogue, design.brief.trip.drivingH, 0);
  if (day.mainsPeakW <= 0) return null;
  const startW = Math.max(0, ...day.loads.filter((l) => l.mains).map((l) => l.ownW * Math.max(1, design.loads[l.id]!.surge)));
  const fits = catalogue.usual('inverter').filter((p) => p.inputV === design.supply.houseV && p.charger === null && p.surgeW >= startW);
  return smallest(fits, (p) => p.ratedW, INVERTER_ROOM * day.mainsPeakW) ?? fits.sort((a, b) => b.ratedW - a.ratedW)[0] ?? null;
}

/** Room between what flows and what carries it all day: the fuse before it is at least so much larger. */
const CARRIES_ROOM = 1.25;

/** What flows at once: to all loads on DC, and all that leaves the battery, A. */
function flows(design: Design, catalogue: Catalogue): { readonly loadsA: number; readonly allA: number } {
  const { brief } = design;
  const supply = supplyOf(design);
  const bank = bankOf(design, catalogue);
  const openV = bank?.openV ?? supply.houseV;
  const loadsA = loadsOn(design, catalogue, brief.trip.drivingH, 0)
    .loads.filter((l) => !l.mains)
    .reduce((sum, l) => sum + (l.kind === 'current' ? l.runningA : l.runningW / openV), 0);
  const inverter = catalogue.find('inverter', supply.inverter);
  const allA = loadsA + (inverter ? inverterInputW(inverter.ratedW, inverter.ratedW) / openV : 0);
  return { loadsA, allA };
}

/** Main switch, shunt and disconnect that carry everything behind them; a hub board in their place where the workshop builds so and one carries it all. */
function inlineFor(design: Design, catalogue: Catalogue, ways: number): Pick<UsualSupply, 'mainSwitch' | 'shunt' | 'disconnect' | 'hub'> {
  const { settings } = design;
  const supply = supplyOf(design);
  const { loadsA, allA } = flows(design, catalogue);
  const hubs = catalogue.usual('hub').filter((h) => h.ways >= ways && h.barsA >= CARRIES_ROOM * allA && h.disconnect.ratedA >= CARRIES_ROOM * loadsA);
  const hub = settings.boardSchool === 'hub board' ? (smallest(hubs, (h) => h.price, 0)?.id ?? null) : null;
  const carries = (kind: 'switch' | 'shunt' | 'disconnect', amps: number): string | null => smallest(catalogue.usual(kind), (p) => p.ratedA, CARRIES_ROOM * amps)?.id ?? null;
  return { mainSwitch: carries('switch', allA), shunt: carries('shunt', allA), disconnect: { part: carries('disconnect', loadsA), pole: supply.disconnect.pole }, hub };
}

/** What the loads and the vehicle settle whatever the draft: inverter, fuse block, the way of isolation. */
export function withFixedParts(design: Design, catalogue: Catalogue): Design {
  const next = copyDesign(design);
  const supply = supplyOf(next);
  supply.inverter = inverterFor(next, catalogue)?.id ?? null;
  const ways = Object.values(next.loads).filter((l) => l.supply === 'dc').length;
  // A bank of 24 V drives more through a short than a blade breaks, or may be backed up against.
  const blocks = catalogue.usual('fuse-block').filter((p) => p.holds === (supply.houseV > 12 ? 'cartridge' : 'blade'));
  supply.fuseBlock = smallest(blocks, (p) => p.ways, ways + 2)?.id ?? supply.fuseBlock;
  supply.second = null;
  Object.assign(supply, inlineFor(next, catalogue, ways + 1));
  supply.dcdcSecond = null;
  supply.dcdcHalf = false;
  supply.trigger = 'ignition wire';
  supply.sun.inSeries = 1;
  supply.sun.portable = null;
  supply.sun.startBelow = null;
  const drives = next.brief.trip.drivingH > 0 && next.brief.alternator.ratedA > 0;
  supply.isolation = drives || next.brief.vehicleKind === 'light-truck' ? decideIsolation(next, catalogue, bankOf(next, catalogue)).advised : 'none';
  return next;
}
