import { inverterInputW } from '../catalogue/index.js';
import { houseNodes, passing } from '../circuit/index.js';
import { runKey, type Ref } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { figure, sentence } from '../quantity/index.js';
import { FIRST_BANK, withPort, type Ported } from '../plant/index.js';
import { type RunSpec, type RunAmps } from '../routes/index.js';
import { allChargeA } from './charge-end.js';
import { ampsOf, lastingLoadsA, usualLoadsA } from './amps.js';
import { distributionOf, selectedBankOf, stringLost, type Bank } from '../supply/index.js';
import { bankEnd, BOLTED, endOf, equalLeads, gearOf, leadId, mainId, makeRun, type DraftContext } from './context.js';
import { loadLeastMm2, loadLimit, plugOf, studFor, supplyLimit, TERMINAL, TRUNK } from './limits.js';
import { contactOn } from './relays.js';
import { groupRuns, onHouseWires } from './shared-runs.js';
import { busName, fedEnd, hungOn, type Ways } from './ways.js';

/** Smallest input cable of an inverter by custom, mm². */
const INVERTER_LEAST_MM2 = 4;
/**
 * What a main lead passes: switch, shunt, and a hub board's own bars. Their drop goes by its share of what they carry;
 * no lead's fuse is above what they bear, and what all leads may give together the fuses behind the bars hold down.
 */
function mainWeak(c: DraftContext, share: number, { outletA }: Bank['part']): Pick<RunSpec, 'inline' | 'limitingParts'> {
  const { inline } = passing(c.inline, ['switch', 'shunt'], share);
  // A selector for the chargers is linked to the lead's end without a fuse of its own: the main fuse protects it too.
  const inLine = passing(c.inline, ['switch', 'charging', 'shunt']).limitingParts;
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
  const behind = ref !== FIRST_BANK;
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

function loadRun(c: DraftContext, next: () => number, load: DayLoad, ways: Ways | null): RunSpec {
  const bank = c.bank!;
  const { purpose } = c.design.loads[load.id]!;
  const plug = plugOf(c.design.loads[load.id]!);
  const direct = ways ? null : passing(c.inline, ['disconnect']);
  const contact = contactOn(c, load.id);
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
      ? {
          limitingParts: [...ways.limitingParts, ...contact.limitingParts, ...plug],
          inline: [...(ways.inline ?? []), ...contact.inline],
          terminal: TERMINAL.way,
          leastFuseA: c.design.settings.custom.loadFuseA,
        }
      : { inline: [...direct!.inline, ...contact.inline], limitingParts: [...direct!.limitingParts, ...contact.limitingParts, ...plug] }),
    minAreaMm2: loadLeastMm2(c.design.settings, purpose),
    reason: ways ? `a way of its own on the ${ways.name.toLowerCase()}` : `too much for a way of its own, so it has its own fuse at the ${busName(c).toLowerCase()}`,
  });
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
function inverterRuns(c: DraftContext, next: () => number, { ref, ports: { mainsOut, mainsIn } }: Ported<'mainsOut'>, bank: Bank, main: string): RunSpec[] {
  const [inverter, bus] = [c.gear.get(ref.id), c.gear.get('bus')];
  if (!inverter || !bus) return [];
  const inverterW = inverterInputW(mainsOut.ratedW, mainsOut.ratedW);
  const several = withPort(c.plant, 'mainsOut').length > 1;
  // An inverter-charger charges through the cable that it draws by.
  const chargeA = mainsIn?.outputA ?? 0;
  return [
    makeRun(c, next(), {
      id: `bus-${inverter.id}`,
      role: 'inverter feed',
      serves: inverter.ref,
      parent: main,
      name: `${busName(c)} → ${several ? inverter.name : 'inverter'}`,
      group: 'house',
      from: endOf(bus),
      to: endOf(inverter),
      demand: { powerW: inverterW },
      lastingA: Math.max(inverterW / bank.openV, chargeA),
      lastingWhy:
        chargeA > inverterW / bank.openV ? `its charger’s ${figure(chargeA, 0)} A` : `${figure(inverterW, 0)} W in at its rated ${mainsOut.ratedW} W out, at the lowest ${figure(bank.openV, 1)} V`,
      usualA: Math.max(inverterW / bank.nominalV, chargeA),
      usualWhy: chargeA > inverterW / bank.nominalV ? `its charger’s ${figure(chargeA, 0)} A` : `${figure(inverterW, 0)} W in at its rated ${mainsOut.ratedW} W out, at ${bank.nominalV} V`,
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

/** Feed of a fuse block, with the loads that hang on it. */
function blockRuns(c: DraftContext, next: () => number, ways: Ways, loads: readonly DayLoad[]): RunSpec[] {
  const { block } = ways;
  if (!block || !loads.length) return [];
  const bank = c.bank!;
  const feed = passing(c.inline, ['disconnect']);
  const lastingA = Math.max(1, lastingLoadsA(c, loads));
  return [
    makeRun(c, next(), {
      id: ways.parent,
      role: 'block feed',
      serves: block.gear.ref,
      parent: mainId(c),
      name: `${busName(c)} → ${block.gear.name}`,
      group: 'house',
      from: fedEnd(c),
      to: endOf(block.gear),
      lastingA,
      lastingWhy: 'all loads on the block that may run at once, at the lowest house volts',
      usualA: Math.min(lastingA, usualLoadsA(c, loads)),
      usualWhy: `what runs together on the block in a usual day, at ${bank.nominalV} V`,
      sourceV: bank.openV,
      nominalV: bank.nominalV,
      limit: TRUNK,
      fuseKinds: BOLTED,
      ends: [{ at: 'from', source: 'house battery' }],
      inline: feed.inline,
      limitingParts: [{ what: 'fuse block', ratingA: block.totalA, kind: 'fuse block' }, ...feed.limitingParts],
      minAreaMm2: c.design.settings.custom.feedMm2,
      terminal: TERMINAL.m8,
      reason: 'feeds the fuse block; its fuse protects the feed, the block’s own fuses protect the loads’ wires',
    }),
  ];
}

/** Runs on the house side: main, distribution, inverters and each load wired at house volts. */
export function houseRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { bank, gear } = c;
  const bus = gear.get('bus');
  if (!bank || !bus) return [];
  const inverters = withPort(c.plant, 'mainsOut').filter((i) => !i.inside);
  const inverterW = inverters.reduce((sum, { ports: { mainsOut } }) => sum + inverterInputW(mainsOut.ratedW, mainsOut.ratedW), 0);
  const hung = hungOn(c);
  const all = mainAmps(c, bank, [...hung.all.flatMap((w) => hung.behind(w)), ...hung.behind(null)], inverterW);
  const main = mainId(c);
  const [second, selected] = [selectedBankOf(c.design, c.catalogue), c.plant.banks.find((b) => b.selected)];
  return [
    ...mainRuns(c, next, all, bank, FIRST_BANK),
    ...(second && selected ? mainRuns(c, next, all, second, selected.ref) : []),
    ...inverters.flatMap((i) => inverterRuns(c, next, i, bank, main)),
    ...hung.all.flatMap((w) => blockRuns(c, next, w, hung.behind(w))),
    ...[null, ...hung.all].flatMap((w) => hung.loadsOn(w).map((l) => loadRun(c, next, l, w))),
    ...groupRuns(c, next, hung.groupPoint),
  ];
}
