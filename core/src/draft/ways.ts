import { houseNodes, passing } from '../circuit/index.js';
import type { DayLoad } from '../loads/index.js';
import { groupsUsed, type Gear } from '../places/index.js';
import { sentence } from '../quantity/index.js';
import { routeBetween, type RunSpec } from '../routes/index.js';
import { distributionOf } from '../supply/index.js';
import { fullA, lastingLoadsA } from './amps.js';
import { BOLTED, endOf, gearOf, mainId, standOf, type DraftContext } from './context.js';
import { onGroup, type FeedPoint } from './shared-runs.js';

/** Share of a way's rating that a load may take before it gets its own fuse at the bus bars. */
const WAY_SHARE = 0.8;

/** A row of fused ways that loads hang on: a hub board's own, or those of a fuse block. */
export interface Ways extends FeedPoint {
  readonly id: string;
  readonly count: number;
  readonly wayA: number;
  readonly limitingParts: RunSpec['limitingParts'];
  /** The block that they are on, which has a feed of its own; null: a hub board's. */
  readonly block: { readonly gear: Gear; readonly totalA: number } | null;
  readonly gear: Gear;
}

/** The bus bars as the loads meet them: behind the disconnect, where there is one. */
export const fedEnd = (c: DraftContext): RunSpec['from'] => ({ ...endOf(c.gear.get('bus')!), ...houseNodes(c.inline).fed });

export const busName = (c: DraftContext): string => (distributionOf(c.design, c.catalogue).hub ? 'Hub board' : 'Bus bars');

/** All rows of ways of the rig, the first one first. */
function allWays(c: DraftContext): readonly Ways[] {
  const { hub, block: board } = distributionOf(c.design, c.catalogue);
  const out: Ways[] = [];
  if (hub && board)
    out.push({
      id: 'bus',
      count: board.ways,
      wayA: board.wayA,
      from: fedEnd(c),
      name: 'Hub board',
      parent: mainId(c),
      fuseKinds: [board.holds],
      limitingParts: [{ what: 'way of the hub board', ratingA: board.wayA, kind: 'hub way' }],
      inline: passing(c.inline, ['disconnect']).inline,
      block: null,
      gear: c.gear.get('bus')!,
    });
  for (const { ref, part } of c.plant.distribution) {
    const gear = c.gear.get(ref.id);
    if (part?.kind !== 'fuse-block' || !gear) continue;
    const limitingParts = [{ what: 'way of the fuse block', ratingA: part.wayA, kind: 'block way' as const }];
    const block = { gear, totalA: part.totalA };
    out.push({ id: ref.id, count: part.ways, wayA: part.wayA, from: endOf(gear), name: sentence(gear.name), parent: `bus-${ref.id}`, fuseKinds: [part.holds], limitingParts, block, gear });
  }
  return out;
}

/** How far it is to a piece of gear, along the vehicle's ways where there are some, mm. */
function awayMm(c: DraftContext, from: Gear, to: Gear): number {
  const routed = routeBetween(c.vehicle, standOf(from), standOf(to), { via: [], avoid: [] });
  return routed.ok ? routed.route.alongMm + routed.route.dropsMm : Infinity;
}

/** Which ways each load and each group hangs on. */
export interface Hung {
  readonly all: readonly Ways[];
  /** Loads with a way of their own there; null: with a fuse of their own at the bars. */
  readonly loadsOn: (ways: Ways | null) => readonly DayLoad[];
  /** All that they feed, groups and all. */
  readonly behind: (ways: Ways | null) => readonly DayLoad[];
  readonly groupPoint: (group: string) => FeedPoint;
}

/**
 * Hangs every load on the ways that were typed for it, else on the nearest that still have one free; what is too much
 * for a way gets a fuse of its own at the bars.
 */
export function hungOn(c: DraftContext): Hung {
  const all = allWays(c);
  const used = new Map<string, number>(all.map((w) => [w.id, 0]));
  const take = (gear: Gear | undefined, amps: number, typed: string | undefined): Ways | null => {
    const bear = all.filter((w) => amps <= WAY_SHARE * w.wayA);
    const free = bear.filter((w) => used.get(w.id)! < w.count);
    const among = free.length ? free : bear;
    const chosen = bear.find((w) => w.id === typed) ?? (among.length > 1 && gear ? among.map((w) => ({ w, mm: awayMm(c, w.gear, gear) })).reduce((a, b) => (b.mm < a.mm ? b : a)).w : among[0]);
    if (chosen) used.set(chosen.id, used.get(chosen.id)! + 1);
    return chosen ?? null;
  };
  const openV = c.bank?.openV ?? c.design.supply.houseV;
  const loads = c.day.loads.flatMap((l) => {
    const { feed } = c.design.loads[l.id]!;
    return l.mains || feed.by !== 'own' ? [] : [{ l, ways: take(gearOf(c, 'loads', l.id), fullA(l, openV), feed.on) }];
  });
  const groups = groupsUsed(c.design).map(([id]) => {
    const on = onGroup(c, id);
    return { id, on, ways: on.length ? take(gearOf(c, 'groups', id), lastingLoadsA(c, on), undefined) : null };
  });
  const loadsOn = (ways: Ways | null): readonly DayLoad[] => loads.filter((x) => x.ways === ways).map((x) => x.l);
  return {
    all,
    loadsOn,
    behind: (ways) => [...loadsOn(ways), ...groups.filter((g) => g.ways === ways).flatMap((g) => g.on)],
    groupPoint: (id) => groups.find((g) => g.id === id)?.ways ?? { from: fedEnd(c), name: busName(c), parent: mainId(c), fuseKinds: BOLTED, ...passing(c.inline, ['disconnect']) },
  };
}
