import { houseNodes, passing } from '../circuit/index.js';
import type { DayLoad } from '../loads/index.js';
import { inverterInputW } from '../loads/index.js';
import { figure } from '../quantity/index.js';
import { WAY, type RunSpec } from '../routes/index.js';
import { allChargeA } from './charging-runs.js';
import { demandOf, loadsA, lowestVoltsA } from './demand.js';
import { groupsUsed } from '../places/index.js';
import { BOLTED, endOf, mainId, makeRun, type DraftContext } from './context.js';
import { distributionOf, selectedBankOf, type Bank } from '../supply/index.js';
import { loadLimit, PATH_LIMIT, supplyLimit } from './limits.js';
import { groupRuns, onGroup, onHouseWiresA, type FeedPoint } from './shared-runs.js';

/** Share of a way's rating that a load may take before it gets its own fuse at the bus bars. */
const WAY_SHARE = 0.8;

/** Loads wired at house volts, apart into those on the fuse block and those too big for one of its ways. */
export function splitLoads(c: DraftContext): { readonly onBlock: readonly DayLoad[]; readonly direct: readonly DayLoad[] } {
  const { block } = distributionOf(c.design, c.catalogue);
  const dc = c.day.loads.filter((l) => !l.mains && c.design.loads[l.id]!.feed.by === 'own');
  const openV = c.bank?.openV ?? c.design.supply.houseV;
  const fits = (l: DayLoad): boolean => block !== null && lowestVoltsA(l, openV) <= WAY_SHARE * block.wayA;
  return { onBlock: dc.filter(fits), direct: dc.filter((l) => !fits(l)) };
}

/** What a main lead's share of the current passes: switch, shunt, and a hub board's own bars. */
function mainWeak(c: DraftContext, share: number): Pick<RunSpec, 'inline' | 'weak'> {
  const { inline, weak } = passing(c.inline, ['switch', 'shunt'], share);
  const { hub } = distributionOf(c.design, c.catalogue);
  return { inline, weak: hub ? [...weak, { what: 'hub board’s bars', ratingA: hub.barsA * share }] : weak };
}

/** Above this a lead's two bolted joints, fuse, switch and shunt take so much that a hundredth of the volts is not enough, A. */
const HEAVY_MAIN_A = 120;
/** Of more strings each lead meets switch and shunt with so small a share that they take its drop by themselves. */
const MANY_STRINGS = 2;

/** The leads of a bank, each with its own fuse. */
function mainRuns(c: DraftContext, next: () => number, currentA: number, why: string, bank: Bank, id: 'house' | 'second'): RunSpec[] {
  const house = c.gear.get(id);
  if (!house) return [];
  const title = id === 'house' ? 'House battery' : 'Second battery';
  const to = endOf(c.gear.get('bus')!);
  const { main } = houseNodes(c.inline);
  return Array.from({ length: bank.strings }, (_, i) => {
    const many = bank.strings > 1;
    const terminal = many ? String(i + 1) : '';
    return makeRun(c, next(), {
      id: many ? `${id}${i + 1}-bus` : `${id}-bus`,
      name: many ? `${title} ${i + 1} → ${to.name}` : `${title} → ${to.name}`,
      group: 'house',
      from: { ...endOf(house, terminal), minus: many ? `${id}.${terminal}-` : `${id}-` },
      to: { ...to, ...main },
      demand: { currentA: currentA * bank.stringShares[i]! },
      demandWhy: many ? `${why}, shared by ${bank.strings} ${bank.joined ? 'leads as their batteries conduct' : 'equal leads'}` : why,
      sourceV: bank.openV,
      nominalV: bank.nominalV,
      limit: supplyLimit(c.design, currentA * bank.stringShares[i]! > HEAVY_MAIN_A || bank.strings > MANY_STRINGS ? 'heavyMain' : 'houseMain', 'short main run, counted in every path behind it'),
      fuseKinds: BOLTED,
      ends: [{ at: 'from', source: 'house battery' }],
      ...mainWeak(c, bank.stringShares[i]!),
      minAreaMm2: 4,
      reason: many
        ? 'its own fuse: the neighbouring batteries can feed a fault in this one'
        : `the ${title.toLowerCase()}’s own main fuse, within 200 mm of its post${id === 'second' ? '; the selector puts it in the first one’s place' : ''}`,
    });
  });
}

/** The bus bars as the loads meet them: behind the disconnect, where there is one. */
const fedEnd = (c: DraftContext): RunSpec['from'] => ({ ...endOf(c.gear.get('bus')!), ...houseNodes(c.inline).fed });

function loadRun(c: DraftContext, next: () => number, load: DayLoad, ways: Ways | null): RunSpec {
  const bank = c.bank!;
  const { purpose } = c.design.loads[load.id]!;
  const name = c.gear.get(`load:${load.id}`)!.name;
  return makeRun(c, next(), {
    id: `load-${load.id}`,
    parent: ways ? ways.parent : mainId(c),
    name: `${ways ? ways.name : busName(c)} → ${name}`,
    group: 'loads',
    from: ways ? ways.from : fedEnd(c),
    to: endOf(c.gear.get(`load:${load.id}`)!),
    ...demandOf(load),
    sourceV: bank.openV,
    nominalV: bank.nominalV,
    limit: loadLimit(c.design, purpose),
    fuseKinds: ways ? ['blade'] : BOLTED,
    ends: [{ at: 'from', source: 'house battery' }],
    ...(ways ? { weak: ways.weak, inline: ways.inline ?? [] } : passing(c.inline, ['disconnect'])),
    reason: ways ? `a way of its own on the ${ways.name.toLowerCase()}` : `too much for a way of its own, so it has its own fuse at the ${busName(c).toLowerCase()}`,
  });
}

const busName = (c: DraftContext): string => (distributionOf(c.design, c.catalogue).hub ? 'Hub board' : 'Bus bars');

type Ways = FeedPoint & { readonly weak: RunSpec['weak'] };

/** A way of the fuse block, or of the hub board; null where there are none. */
function waysOf(c: DraftContext): Ways | null {
  const { block, hub } = distributionOf(c.design, c.catalogue);
  const gear = c.gear.get('block');
  if (!block || (!hub && !gear)) return null;
  const weak = [{ what: WAY[hub ? 'hub' : 'block'], ratingA: block.wayA }];
  if (hub) return { from: fedEnd(c), name: 'Hub board', parent: mainId(c), lostPercent: PATH_LIMIT.houseMain, fuseKinds: ['blade'], weak, inline: passing(c.inline, ['disconnect']).inline };
  return { from: endOf(gear!), name: 'Fuse block', parent: 'bus-block', lostPercent: PATH_LIMIT.blockFeed, fuseKinds: ['blade'], weak };
}

/** Where the feeds of groups start: a way of the block while it bears them, else a fuse of their own at the bus bars. */
function groupPoints(c: DraftContext, ways: Ways | null): { readonly pointFor: (amps: number) => FeedPoint; readonly onBlockA: number; readonly directA: number } {
  const fits = (amps: number): boolean => ways !== null && amps <= WAY_SHARE * ways.weak[0]!.ratingA;
  const amps = groupsUsed(c.design).map(([id]) => loadsA(c, onGroup(c, id)));
  const sum = (of: readonly number[]): number => of.reduce((s, a) => s + a, 0);
  return {
    onBlockA: sum(amps.filter(fits)),
    directA: sum(amps.filter((a) => !fits(a))),
    pointFor: (a) => (fits(a) ? ways! : { from: fedEnd(c), name: busName(c), parent: mainId(c), lostPercent: PATH_LIMIT.houseMain, fuseKinds: BOLTED, ...passing(c.inline, ['disconnect']) }),
  };
}

/** Runs on the house side: main, distribution, inverter and each load wired at house volts. */
export function houseRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { bank, gear } = c;
  const bus = gear.get('bus');
  if (!bank || !bus) return [];
  const { onBlock, direct } = splitLoads(c);
  const inverterPart = c.catalogue.find('inverter', c.design.supply.inverter);
  const inverterW = inverterPart ? inverterInputW(inverterPart.ratedW, inverterPart.ratedW) : 0;
  const ways = waysOf(c);
  const groups = groupPoints(c, ways);
  const blockA = loadsA(c, onBlock) + groups.onBlockA;
  const drawnA = Math.max(1, blockA + loadsA(c, direct) + groups.directA + onHouseWiresA(c) + inverterW / bank.openV);
  const chargeA = allChargeA(c);
  const why = chargeA > drawnA ? 'all chargers at once: more than everything behind it draws' : `everything behind it at the disconnect’s ${figure(bank.openV, 1)} V`;
  const main = mainId(c);
  const second = selectedBankOf(c.design, c.catalogue);
  const runs = [...mainRuns(c, next, Math.max(drawnA, chargeA), why, bank, 'house'), ...(second ? mainRuns(c, next, Math.max(drawnA, chargeA), why, second, 'second') : [])];
  const inverter = gear.get('inverter');
  if (inverterPart && inverter) {
    runs.push(
      makeRun(c, next(), {
        id: 'bus-inverter',
        parent: main,
        name: `${busName(c)} → inverter`,
        group: 'house',
        from: endOf(bus),
        to: endOf(inverter),
        demand: { powerW: inverterW },
        demandWhy: `${figure(inverterW, 0)} W in at its rated ${inverterPart.ratedW} W out; it draws more as volts fall`,
        sourceV: bank.openV,
        nominalV: bank.nominalV,
        limit: supplyLimit(c.design, 'inverter', 'input of an inverter'),
        fuseKinds: BOLTED,
        ends: [{ at: 'from', source: 'house battery' }],
        reason: 'the inverter draws too much for the fuse block; short and thick, with its own fuse',
      }),
    );
  }
  const block = gear.get('block');
  const { block: blockPart } = distributionOf(c.design, c.catalogue);
  const feed = passing(c.inline, ['disconnect']);
  if (block && blockPart && (onBlock.length || groups.onBlockA > 0)) {
    runs.push(
      makeRun(c, next(), {
        id: 'bus-block',
        parent: main,
        name: 'Bus bars → fuse block',
        group: 'house',
        from: fedEnd(c),
        to: endOf(block),
        demand: { currentA: Math.max(1, blockA) },
        demandWhy: 'all loads on the block at once, at the lowest house volts',
        sourceV: bank.openV,
        nominalV: bank.nominalV,
        limit: supplyLimit(c.design, 'blockFeed', 'feed of the fuse block, counted in every path behind it'),
        fuseKinds: BOLTED,
        ends: [{ at: 'from', source: 'house battery' }],
        inline: feed.inline,
        weak: [{ what: 'fuse block', ratingA: blockPart.totalA }, ...feed.weak],
        minAreaMm2: 4,
        reason: 'feeds the fuse block; its fuse protects the feed, the block’s own fuses protect the loads’ wires',
      }),
    );
  }
  return [...runs, ...direct.map((l) => loadRun(c, next, l, null)), ...(ways ? onBlock.map((l) => loadRun(c, next, l, ways)) : []), ...groupRuns(c, next, groups.pointFor)];
}
