import { runKey } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { groupsUsed, wiresTapped } from '../places/index.js';
import { figure } from '../quantity/index.js';
import type { RunSpec } from '../routes/index.js';
import { endOf, gearOf, mainId, makeRun, type DraftContext } from './context.js';
import { ampsOf, fullA, lastingLoadsA, steadyA, usualLoadsA } from './amps.js';
import { loadLeastMm2, loadLimit, plugOf, TERMINAL, TRUNK } from './limits.js';
import { contactOn } from './relays.js';

/** What one switch, and all bars of a switch bank together, usually bear, A; a joint strip by its screws. */
export const SHARED_RATING = { 'switch bank': { oneA: 20, allA: 45 }, 'joint strip': { oneA: 30, allA: 60 } } as const;
/** Volts of a starting battery at rest that something on it can count on, for each 12 V. */
const RESTED_V = 12;

/** Where a group's feed or a tail starts: the node pair, and what stands in its way there. */
export interface FeedPoint {
  readonly from: RunSpec['from'];
  readonly name: string;
  readonly parent: string;
  readonly fuseKinds: RunSpec['fuseKinds'];
  readonly inline?: RunSpec['inline'];
  readonly limitingParts?: RunSpec['limitingParts'];
}

/** Loads on a group, in their order. */
export const onGroup = (c: DraftContext, id: string): readonly DayLoad[] =>
  c.day.loads.filter((l) => {
    const { feed } = c.design.loads[l.id]!;
    return !l.mains && feed.by === 'group' && feed.group === id;
  });

/** Feeds and tails of switch banks and joint strips. */
export function groupRuns(c: DraftContext, next: () => number, pointFor: (group: string) => FeedPoint): RunSpec[] {
  const bank = c.bank!;
  return groupsUsed(c.design).flatMap(([id, group]): RunSpec[] => {
    const loads = onGroup(c, id);
    const gear = gearOf(c, 'groups', id);
    if (!loads.length || !gear) return [];
    const lastingA = Math.max(0.1, lastingLoadsA(c, loads));
    const point = pointFor(id);
    const rating = SHARED_RATING[group.kind];
    const feed = makeRun(c, next(), {
      id: runKey(gear.ref),
      role: 'group feed',
      serves: gear.ref,
      parent: point.parent,
      name: `${point.name} → ${gear.name}`,
      group: 'loads',
      from: point.from,
      to: endOf(gear),
      lastingA,
      lastingWhy: `${loads.length} loads behind it at once, at the lowest house volts`,
      usualA: Math.min(lastingA, usualLoadsA(c, loads)),
      usualWhy: `what runs together behind it in a usual day, at ${bank.nominalV} V`,
      sourceV: bank.openV,
      nominalV: bank.nominalV,
      limit: TRUNK,
      minAreaMm2: c.design.settings.custom.loadMm2,
      terminal: TERMINAL.way,
      leastFuseA: c.design.settings.custom.loadFuseA,
      fuseKinds: point.fuseKinds,
      ends: [{ at: 'from', source: 'house battery' }],
      inline: point.inline ?? [],
      limitingParts: [...(point.limitingParts ?? []), { what: group.kind, ratingA: rating.allA }],
      reason: group.fuses === 'one for all' ? 'one fuse for all behind it: it suits the sum of them and the thinnest tail' : 'feeds the fuses of the tails; its own protects the feed',
    });
    return [
      feed,
      ...loads.map((l) => tail(c, next, l, { from: endOf(gear), name: gear.name, run: feed.id, ownFuse: group.fuses === 'one each', weakA: rating.oneA, kind: group.kind, sourceV: bank.openV })),
    ];
  });
}

interface TailPoint {
  readonly from: RunSpec['from'];
  readonly name: string;
  readonly run: string;
  readonly ownFuse: boolean;
  readonly weakA: number;
  readonly kind: string;
  readonly sourceV: number;
}

/** A load's own piece of wire behind what it shares with others. */
function tail(c: DraftContext, next: () => number, load: DayLoad, at: TailPoint): RunSpec {
  const gear = gearOf(c, 'loads', load.id)!;
  const contact = contactOn(c, load.id);
  const { purpose } = c.design.loads[load.id]!;
  return makeRun(c, next(), {
    id: runKey(gear.ref),
    role: 'load feed',
    serves: gear.ref,
    parent: at.run,
    name: `${at.name} → ${gear.name}`,
    group: 'loads',
    from: at.from,
    to: endOf(gear),
    ...ampsOf(load, at.sourceV, c.bank!.nominalV),
    minAreaMm2: loadLeastMm2(c.design.settings, purpose),
    leastFuseA: c.design.settings.custom.loadFuseA,
    sourceV: at.sourceV,
    nominalV: c.bank!.nominalV,
    limit: loadLimit(c.design, purpose),
    fuseKinds: ['blade'],
    ends: at.ownFuse ? [{ at: 'from', source: 'house battery' }] : [],
    inline: contact.inline,
    limitingParts: [{ what: at.kind, ratingA: at.weakA }, ...contact.limitingParts, ...plugOf(c.design.loads[load.id]!)],
    ...(at.ownFuse ? {} : { protectedBy: at.run }),
    reason: at.ownFuse ? `a fuse of its own at the ${at.kind}` : `behind the fuse of its feed, which its wire must suit as well`,
  });
}

/** What a tap into a wire usually bears, A. */
const TAP_A = 15;

/** Loads that hang on a traced wire. */
const onWire = (c: DraftContext, id: string): readonly DayLoad[] =>
  [...c.day.loads, ...c.day.onVehicle].filter((l) => {
    const { feed } = c.design.loads[l.id]!;
    return !l.mains && feed.by === 'wire' && feed.wire === id;
  });

function howTapped(c: DraftContext, load: DayLoad): 'joint' | 'fuse tap' | 'piercing tap' {
  const { feed } = c.design.loads[load.id]!;
  return feed.by === 'wire' ? feed.how : 'joint';
}

/** What existing circuits of the house side draw through its main run: what was there, A, and what is added. */
export function onHouseWires(c: DraftContext): { readonly presentA: number; readonly loads: readonly DayLoad[] } {
  const wires = wiresTapped(c.design).filter(([, w]) => w.fedFrom === 'house');
  return { presentA: wires.reduce((sum, [, w]) => sum + (w.presentA ?? 0), 0), loads: wires.flatMap(([id]) => onWire(c, id)) };
}

/** What a wire that is there may lose by itself, per cent; and the thinnest that anyone traces, mm². */
const OWN_WIRE_PERCENT = 3;
const LEAST_TRACED_MM2 = 0.5;

/** Circuits that are there already, as they were traced, with what is hung on them. */
export function wireRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { bank, design, gear } = c;
  if (!bank) return [];
  return wiresTapped(design).flatMap(([id, wire]): RunSpec[] => {
    const loads = onWire(c, id);
    // Without any link to the vehicle its own battery is no part of the circuit.
    if (wire.fedFrom === 'vehicle' && !c.plant.vehicles.some((v) => v.joined)) return [];
    const source = gear.get(wire.fedFrom === 'vehicle' ? 'starting' : 'bus');
    const joint = gearOf(c, 'traces', id);
    // What is not traced cannot be judged: the rules ask for it, and nothing is hung on it.
    if (!loads.length || !source || !joint || wire.areaMm2 === null || wire.fuseA === null || wire.presentA === null) return [];
    const nominalV = wire.fedFrom === 'vehicle' ? design.brief.vehicleV : bank.nominalV;
    const sourceV = wire.fedFrom === 'vehicle' ? (RESTED_V * nominalV) / 12 : bank.openV;
    const addedA = loads.filter((l) => howTapped(c, l) !== 'fuse tap').reduce((sum, l) => sum + fullA(l, sourceV), 0);
    const key = runKey(joint.ref);
    const typed = { ...design.runs[key], areaMm2: wire.areaMm2, fuseA: wire.fuseA, ...(wire.lengthM === null ? {} : { outM: wire.lengthM }) };
    const asTraced: DraftContext = { ...c, design: { ...design, runs: { ...design.runs, [key]: typed } } };
    const there = makeRun(asTraced, next(), {
      id: key,
      role: 'traced wire',
      serves: joint.ref,
      ...(wire.fedFrom === 'house' ? { parent: mainId(c) } : {}),
      name: `Existing: ${wire.colour} wire, ${wire.from || source.name} → ${wire.to || 'unnamed'}`,
      group: wire.fedFrom === 'vehicle' ? 'charging' : 'loads',
      from: endOf(source),
      to: endOf(joint),
      ...steadyA(Math.max(0.1, wire.presentA + addedA), `${figure(wire.presentA, 1)} A that hang on it already${addedA > 0 ? ` and ${figure(addedA, 1)} A added` : ''}`),
      sourceV,
      nominalV,
      limit: { percent: OWN_WIRE_PERCENT, why: 'a wire that is there, by itself' },
      minAreaMm2: LEAST_TRACED_MM2,
      fuseKinds: ['blade'],
      ends: [{ at: 'from', source: wire.fedFrom === 'vehicle' ? 'starting battery' : 'house battery' }],
      reason: `was there before: its wire and fuse stay as traced${wire.slot ? `, slot ${wire.slot}` : ''}, and what is added must fit them`,
    });
    const tails = loads.map((l) => tail(c, next, l, { from: endOf(joint), name: joint.name, run: there.id, ownFuse: howTapped(c, l) === 'fuse tap', weakA: TAP_A, kind: howTapped(c, l), sourceV }));
    const onVehicle = wire.fedFrom === 'vehicle';
    return [
      { ...there, existing: true, route: null, noWay: null },
      ...(onVehicle ? tails.map((t): RunSpec => ({ ...t, group: 'charging', nominalV, ends: t.ends.map((e) => ({ ...e, source: 'starting battery' })) })) : tails),
    ];
  });
}
