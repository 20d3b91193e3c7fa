import { houseNodes, passing } from '../circuit/index.js';
import { runKey, type Ref } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { inverterInputW } from '../loads/index.js';
import { figure, sentence } from '../quantity/index.js';
import { FIRST_BANK, SECOND_BANK, convertersOfKind } from '../plant/index.js';
import { type RunSpec, type RunAmps } from '../routes/index.js';
import { allChargeA } from './charging-runs.js';
import { ampsOf, fullA, lastingLoadsA, usualLoadsA } from './amps.js';
import { groupsUsed } from '../places/index.js';
import { bankEnd, BOLTED, endOf, equalLeads, gearOf, leadId, mainId, makeRun, type DraftContext } from './context.js';
import { distributionOf, selectedBankOf, stringLost, type Bank } from '../supply/index.js';
import { loadLeastMm2, loadLimit, plugOf, studFor, supplyLimit, TERMINAL, TRUNK } from './limits.js';
import { groupRuns, onGroup, onHouseWires, type FeedPoint } from './shared-runs.js';

/** Key of the fuse block’s feed. */
const BLOCK_FEED = 'bus-block';
/** Smallest input cable of an inverter by custom, mm². */
const INVERTER_LEAST_MM2 = 4;
/** Share of a way's rating that a load may take before it gets its own fuse at the bus bars. */
const WAY_SHARE = 0.8;

/** Loads wired at house volts, apart into those on the fuse block and those too big for one of its ways. */
function splitLoads(c: DraftContext): { readonly onBlock: readonly DayLoad[]; readonly direct: readonly DayLoad[] } {
  const { block } = distributionOf(c.design, c.catalogue);
  const dc = c.day.loads.filter((l) => !l.mains && c.design.loads[l.id]!.feed.by === 'own');
  const openV = c.bank?.openV ?? c.design.supply.houseV;
  const fits = (l: DayLoad): boolean => block !== null && fullA(l, openV) <= WAY_SHARE * block.wayA;
  return { onBlock: dc.filter(fits), direct: dc.filter((l) => !fits(l)) };
}

/**
 * What a main lead passes: switch, shunt, and a hub board's own bars. Their drop goes by its share of what they carry;
 * no lead's fuse is above what they bear, and what all leads may give together the fuses behind the bars hold down.
 */
function mainWeak(c: DraftContext, share: number, { outletA }: Bank['part']): Pick<RunSpec, 'inline' | 'limitingParts'> {
  const { inline } = passing(c.inline, ['switch', 'shunt'], share);
  const inLine = passing(c.inline, ['switch', 'shunt']).limitingParts;
  const limitingParts = outletA === undefined ? inLine : [{ what: 'power unit’s own output', ratingA: outletA }, ...inLine];
  const { hub } = distributionOf(c.design, c.catalogue);
  return { inline, limitingParts: hub ? [...limitingParts, { what: 'hub board’s bars', ratingA: hub.barsA, kind: 'hub bars' as const }] : limitingParts };
}

/** What a lead of a bank carries: its largest share of all, or, where the batteries left can bear it, what it carries with one of them out. */
function leadAmps(all: RunAmps, bank: Bank): RunAmps {
  const share = Math.max(...bank.stringShares);
  const oneOut = stringLost(bank, all.lastingA).leftShare;
  const many = `shared by ${bank.strings} ${bank.joined ? 'leads as their batteries conduct' : 'equal leads'}`;
  if (bank.strings === 1) return all;
  return {
    lastingA: all.lastingA * (oneOut ?? share),
    lastingWhy: oneOut === null ? `${all.lastingWhy}, ${many}; with one battery out the others cannot carry it, and the bank is lost` : `${all.lastingWhy}, with one of ${bank.strings} batteries out`,
    usualA: all.usualA * share,
    usualWhy: `${all.usualWhy}, ${many}`,
  };
}

/** The leads of a bank, each with its own fuse: one size, one length. */
function mainRuns(c: DraftContext, next: () => number, all: RunAmps, bank: Bank, ref: Ref): RunSpec[] {
  const house = c.gear.get(ref.id);
  if (!house) return [];
  const behind = ref === SECOND_BANK;
  const title = sentence(house.plain);
  const to = endOf(c.gear.get('bus')!);
  const { main } = houseNodes(c.inline);
  const many = bank.strings > 1;
  const amps = leadAmps(all, bank);
  const leads = Array.from({ length: bank.strings }, (_, i) => {
    return makeRun(c, next(), {
      id: leadId(ref, many ? i + 1 : null),
      role: 'bank lead',
      serves: ref,
      name: many ? `${title} ${i + 1} → ${to.name}` : `${title} → ${to.name}`,
      group: 'house',
      from: bankEnd(house, many ? i + 1 : null),
      to: { ...to, ...main },
      ...amps,
      wholeA: all.lastingA * Math.max(...bank.stringShares),
      sourceV: bank.openV,
      nominalV: bank.nominalV,
      limit: TRUNK,
      fuseKinds: BOLTED,
      ends: [{ at: 'from', source: 'house battery' }],
      ...mainWeak(c, bank.stringShares[i]!, bank.part),
      minAreaMm2: c.design.settings.custom.leadMm2,
      terminal: studFor(amps.lastingA),
      ...(i > 0 ? { equalTo: leadId(ref, 1) } : {}),
      apart: many,
      reason: many
        ? 'its own fuse: the neighbouring batteries can feed a fault in this one'
        : `the ${title.toLowerCase()}’s own main fuse, within 200 mm of its post${behind ? '; the selector puts it in the first one’s place' : ''}`,
    });
  });
  return equalLeads(leads);
}

/** The bus bars as the loads meet them: behind the disconnect, where there is one. */
const fedEnd = (c: DraftContext): RunSpec['from'] => ({ ...endOf(c.gear.get('bus')!), ...houseNodes(c.inline).fed });

function loadRun(c: DraftContext, next: () => number, load: DayLoad, ways: Ways | null): RunSpec {
  const bank = c.bank!;
  const { purpose } = c.design.loads[load.id]!;
  const plug = plugOf(c.design.loads[load.id]!);
  const direct = passing(c.inline, ['disconnect']);
  const gear = gearOf(c, 'loads', load.id)!;
  return makeRun(c, next(), {
    id: runKey(gear.ref),
    role: 'load feed',
    serves: gear.ref,
    parent: ways ? ways.parent : mainId(c),
    name: `${ways ? ways.name : busName(c)} → ${gear.name}`,
    group: 'loads',
    from: ways ? ways.from : fedEnd(c),
    to: endOf(gear),
    ...ampsOf(load, bank.openV, bank.nominalV),
    sourceV: bank.openV,
    nominalV: bank.nominalV,
    limit: loadLimit(c.design, purpose),
    fuseKinds: ways ? ways.fuseKinds : BOLTED,
    ends: [{ at: 'from', source: 'house battery' }],
    ...(ways
      ? { limitingParts: [...ways.limitingParts, ...plug], inline: ways.inline ?? [], terminal: TERMINAL.way, leastFuseA: c.design.settings.custom.loadFuseA }
      : { inline: direct.inline, limitingParts: [...direct.limitingParts, ...plug] }),
    minAreaMm2: loadLeastMm2(c.design.settings, purpose),
    reason: ways ? `a way of its own on the ${ways.name.toLowerCase()}` : `too much for a way of its own, so it has its own fuse at the ${busName(c).toLowerCase()}`,
  });
}

const busName = (c: DraftContext): string => (distributionOf(c.design, c.catalogue).hub ? 'Hub board' : 'Bus bars');

type Ways = FeedPoint & { readonly limitingParts: RunSpec['limitingParts'] };

/** A way of the fuse block, or of the hub board; null where there are none. */
function waysOf(c: DraftContext): Ways | null {
  const { block, hub } = distributionOf(c.design, c.catalogue);
  const gear = c.gear.get('block');
  if (!block || (!hub && !gear)) return null;
  const limitingParts = [hub ? { what: 'way of the hub board', ratingA: block.wayA, kind: 'hub way' as const } : { what: 'way of the fuse block', ratingA: block.wayA, kind: 'block way' as const }];
  if (hub) return { from: fedEnd(c), name: 'Hub board', parent: mainId(c), fuseKinds: [block.holds], limitingParts, inline: passing(c.inline, ['disconnect']).inline };
  return { from: endOf(gear!), name: 'Fuse block', parent: BLOCK_FEED, fuseKinds: [block.holds], limitingParts };
}

/** Where the feeds of groups start: a way of the block while it bears them, else a fuse of their own at the bus bars. */
function groupPoints(c: DraftContext, ways: Ways | null): { readonly pointFor: (amps: number) => FeedPoint; readonly onBlock: readonly DayLoad[]; readonly direct: readonly DayLoad[] } {
  const fits = (amps: number): boolean => ways !== null && amps <= WAY_SHARE * ways.limitingParts[0]!.ratingA;
  const groups = groupsUsed(c.design).map(([id]) => onGroup(c, id));
  return {
    onBlock: groups.filter((g) => fits(lastingLoadsA(c, g))).flat(),
    direct: groups.filter((g) => !fits(lastingLoadsA(c, g))).flat(),
    pointFor: (a) => (fits(a) ? ways! : { from: fedEnd(c), name: busName(c), parent: mainId(c), fuseKinds: BOLTED, ...passing(c.inline, ['disconnect']) }),
  };
}

/** What all of a bank carries: everything behind it, or all chargers at once where they are more. */
function mainAmps(c: DraftContext, bank: Bank, loads: readonly DayLoad[], inverterW: number): RunAmps {
  const wires = onHouseWires(c);
  const lasting = Math.max(1, lastingLoadsA(c, [...loads, ...wires.loads]) + wires.presentA + inverterW / bank.openV);
  const usual = usualLoadsA(c, [...loads, ...wires.loads]) + wires.presentA + inverterW / bank.nominalV;
  const chargeA = allChargeA(c);
  const charging = 'all chargers at once: more than everything behind it draws';
  return {
    lastingA: Math.max(lasting, chargeA),
    lastingWhy: chargeA > lasting ? charging : `everything behind it at the disconnect’s ${figure(bank.openV, 1)} V`,
    usualA: Math.max(usual, chargeA),
    usualWhy: chargeA > usual ? charging : `what runs together in a usual day${inverterW > 0 ? ', the inverter at its rating' : ''}, at ${bank.nominalV} V`,
  };
}

/** Feed of an inverter, straight from the bars. */
function inverterRuns(c: DraftContext, next: () => number, { ref, part }: ReturnType<typeof convertersOfKind<'inverter'>>[number], bank: Bank, main: string): RunSpec[] {
  const [inverter, bus] = [c.gear.get(ref.id), c.gear.get('bus')];
  if (!inverter || !bus) return [];
  const inverterW = inverterInputW(part.ratedW, part.ratedW);
  // An inverter-charger charges through the cable that it draws by.
  const chargeA = part.charger?.outputA ?? 0;
  return [
    makeRun(c, next(), {
      id: `bus-${inverter.id}`,
      role: 'inverter feed',
      serves: inverter.ref,
      parent: main,
      name: `${busName(c)} → inverter`,
      group: 'house',
      from: endOf(bus),
      to: endOf(inverter),
      demand: { powerW: inverterW },
      lastingA: Math.max(inverterW / bank.openV, chargeA),
      lastingWhy:
        chargeA > inverterW / bank.openV ? `its charger’s ${figure(chargeA, 0)} A` : `${figure(inverterW, 0)} W in at its rated ${part.ratedW} W out, at the lowest ${figure(bank.openV, 1)} V`,
      usualA: Math.max(inverterW / bank.nominalV, chargeA),
      usualWhy: chargeA > inverterW / bank.nominalV ? `its charger’s ${figure(chargeA, 0)} A` : `${figure(inverterW, 0)} W in at its rated ${part.ratedW} W out, at ${bank.nominalV} V`,
      minAreaMm2: INVERTER_LEAST_MM2,
      terminal: studFor(inverterW / bank.openV),
      sourceV: bank.openV,
      nominalV: bank.nominalV,
      limit: supplyLimit(c.design, 'inverter', 'input of an inverter'),
      fuseKinds: BOLTED,
      ends: [{ at: 'from', source: 'house battery' }],
      reason: 'the inverter draws too much for the fuse block; short and thick, with its own fuse',
    }),
  ];
}

/** Runs on the house side: main, distribution, inverter and each load wired at house volts. */
export function houseRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { bank, gear } = c;
  const bus = gear.get('bus');
  if (!bank || !bus) return [];
  const { onBlock, direct } = splitLoads(c);
  const [inverting] = convertersOfKind(c.plant, 'inverter').filter((i) => !i.inside);
  const inverterW = inverting ? inverterInputW(inverting.part.ratedW, inverting.part.ratedW) : 0;
  const ways = waysOf(c);
  const groups = groupPoints(c, ways);
  const onFeed = [...onBlock, ...groups.onBlock];
  const all = mainAmps(c, bank, [...onFeed, ...direct, ...groups.direct], inverterW);
  const main = mainId(c);
  const second = selectedBankOf(c.design, c.catalogue);
  const runs = [...mainRuns(c, next, all, bank, FIRST_BANK), ...(second ? mainRuns(c, next, all, second, SECOND_BANK) : [])];
  if (inverting) runs.push(...inverterRuns(c, next, inverting, bank, main));
  const block = gear.get('block');
  const { block: blockPart } = distributionOf(c.design, c.catalogue);
  const feed = passing(c.inline, ['disconnect']);
  if (block && blockPart && onFeed.length) {
    const lastingA = Math.max(1, lastingLoadsA(c, onFeed));
    runs.push(
      makeRun(c, next(), {
        id: BLOCK_FEED,
        role: 'block feed',
        serves: block.ref,
        parent: main,
        name: 'Bus bars → fuse block',
        group: 'house',
        from: fedEnd(c),
        to: endOf(block),
        lastingA,
        lastingWhy: 'all loads on the block that may run at once, at the lowest house volts',
        usualA: Math.min(lastingA, usualLoadsA(c, onFeed)),
        usualWhy: `what runs together on the block in a usual day, at ${bank.nominalV} V`,
        sourceV: bank.openV,
        nominalV: bank.nominalV,
        limit: TRUNK,
        fuseKinds: BOLTED,
        ends: [{ at: 'from', source: 'house battery' }],
        inline: feed.inline,
        limitingParts: [{ what: 'fuse block', ratingA: blockPart.totalA, kind: 'fuse block' }, ...feed.limitingParts],
        minAreaMm2: c.design.settings.custom.feedMm2,
        terminal: TERMINAL.m8,
        reason: 'feeds the fuse block; its fuse protects the feed, the block’s own fuses protect the loads’ wires',
      }),
    );
  }
  return [...runs, ...direct.map((l) => loadRun(c, next, l, null)), ...(ways ? onBlock.map((l) => loadRun(c, next, l, ways)) : []), ...groupRuns(c, next, groups.pointFor)];
}
