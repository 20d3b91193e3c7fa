import type { Gear } from '../places/index.js';
import type { FuseEnd, RunAmps, RunEnd, RunSpec } from '../routes/index.js';
import { chargerInputW, type DcIn } from '../catalogue/index.js';
import { figure, sentence } from '../quantity/index.js';
import { OWN_VEHICLE, standsIn, stepOf, suppliesV, withPort, type LinkThing, type Ported, type Step } from '../plant/index.js';
import { driveVolts } from '../supply/index.js';
import { steadyA } from './amps.js';
import { chargeEnd, linkAmps, throughSelector } from './charge-end.js';
import { BOLTED, endOf, makeRun, type DraftContext } from './context.js';
import { supplyLimit, TERMINAL, TRUNK } from './limits.js';

/** Share of nominal volts that the feed of a charger is reckoned to lose on its way, when what lasts is sought. */
const FEED_LOSS = 0.05;

/** A charger's input stays so far above its cut-out, V. */
const ABOVE_CUT_OUT_V = 0.5;

/** What feeds a charger: where its feed starts, its terminal, the volts there at their lowest and in name, and who can feed a fault on it. */
interface FeedStart {
  readonly gear: Gear;
  readonly terminal: 'out' | null;
  readonly name: string;
  readonly sourceV: number;
  readonly sourceWhy: string;
  readonly nominalV: number;
  /** Null: no battery, and so no fuse: the box before it gives no more than the cable bears. */
  readonly source: FuseEnd['source'] | null;
  /** Most that stands behind it where no fuse does, A: its cable bears that. */
  readonly mostA: number;
  readonly limitingParts: RunSpec['limitingParts'];
  readonly reason: string;
}

/** Of a lead from another bank: that may be nearly empty, and its own cable has lost some on the way. */
const LEAD_LOW_V = 12;

/** A box between the feed and the charger. */
function stepStart(c: DraftContext, step: Step): FeedStart | null {
  const gear = c.gear.get(step.ref.id);
  if (!gear) return null;
  const sourceV = suppliesV(step.ports.dcIn);
  return {
    gear,
    terminal: 'out',
    name: sentence(gear.name),
    sourceV,
    sourceWhy: `the ${figure(sourceV, 1)} V that the box before it holds`,
    nominalV: step.ports.dcIn.outputV,
    source: null,
    mostA: step.ports.dcIn.outputA * step.share,
    limitingParts: [],
    reason: 'brings the feed to the charger’s own volts; without a fuse, since the box before it gives no more than the cable bears and the charger passes nothing back',
  };
}

function startOf(c: DraftContext, thing: Ported<'dcIn'>): FeedStart | null {
  const { inputs } = thing;
  const step = stepOf(c.plant, thing);
  if (step) return stepStart(c, step);
  const lead = c.plant.dcInlets.find((l) => inputs.some((i) => i.by === 'lead' && i.ref.id === l.ref.id));
  const gear = c.gear.get(lead ? lead.ref.id : OWN_VEHICLE.id);
  if (!gear || !(lead || inputs.some((i) => i.by === 'vehicle'))) return null;
  if (lead) {
    const sourceV = (LEAD_LOW_V * lead.nominalV) / 12;
    return {
      gear,
      terminal: null,
      name: sentence(gear.name),
      sourceV,
      sourceWhy: `the ${figure(sourceV, 1)} V that the lead still brings`,
      nominalV: lead.nominalV,
      source: 'lead',
      mostA: 0,
      limitingParts: [{ what: `${lead.mostA} A plug`, ratingA: lead.mostA, kind: 'plug' }],
      reason: 'takes on what the lead brings from the other battery; fused where the lead comes in, since that battery can feed a fault on it',
    };
  }
  const sourceV = driveVolts(c.design).warmIdleV;
  return {
    gear,
    terminal: null,
    name: 'Starting battery',
    sourceV,
    sourceWhy: `the alternator’s ${figure(sourceV, 1)} V warm at idle`,
    nominalV: c.design.brief.vehicleV,
    source: 'starting battery',
    mostA: 0,
    limitingParts: [],
    reason: 'brings the alternator’s current to the charger; fused at the battery, which alone can feed a fault on it: the charger passes nothing back',
  };
}

/** What a charger's feed carries: what lasts at the lowest volts of what feeds it, what is usual, and what passes just above its cut-out. */
function feedAmps(
  chargeV: number,
  part: DcIn,
  share: number,
  { sourceV, sourceWhy, nominalV, mostA }: FeedStart,
): RunAmps & { readonly passingA: number; readonly leastEndV: number; readonly sourceV: number } {
  const inputW = chargerInputW(part, chargeV) * share;
  const atV = sourceV - FEED_LOSS * nominalV;
  const set = `${figure(inputW, 0)} W in for ${figure(part.outputA * share, 0)} A out${share < 1 ? ', set to half power' : ''}`;
  const turnedUp = share < 1 ? `; turned up it takes ${figure(inputW / share / atV, 0)} A and wants a feed and fuse for that` : '';
  const ownA = inputW / atV;
  return {
    lastingA: Math.max(ownA, mostA),
    lastingWhy: mostA > ownA ? `the ${figure(mostA, 0)} A that the box before it can give, with no fuse between` : `${set}, at ${sourceWhy} less ${100 * FEED_LOSS} %${turnedUp}`,
    usualA: inputW / nominalV,
    usualWhy: `${set}, at ${nominalV} V`,
    passingA: inputW / part.cutOutV,
    leastEndV: part.cutOutV + ABOVE_CUT_OUT_V,
    sourceV,
  };
}

/** Feed into a DC-DC charger, from the starting side or from another bank's lead, and on to the bus bars, for the output that it is set to. */
function dcdcRuns(c: DraftContext, next: () => number, thing: Ported<'dcIn'>): RunSpec[] {
  const {
    ports: { dcIn: part },
    share,
    inside,
  } = thing;
  const [start, charger, to] = [startOf(c, thing), c.gear.get(standsIn(thing).id), chargeEnd(c)];
  if (!thing.inputs.length || !charger || !c.bank || !to) return [];
  // One that the sun or the mains feed alone has its way to the bank as well.
  const feed = start ? [feedRun(c, next(), thing, start, charger)] : [];
  return [...feed, ...(inside || thing.feeds.length ? [] : [outputRun(c, next, charger, to, part.outputA * share, 'charger')])];
}

/** What brings it its DC. */
function feedRun(c: DraftContext, number: number, { ref, ports: { dcIn: part }, share, feeds }: Ported<'dcIn'>, start: FeedStart, charger: Gear): RunSpec {
  return makeRun(c, number, {
    id: `start-${ref.id}`,
    role: 'charger feed',
    serves: ref,
    name: `${start.name} → ${charger.name}`,
    group: 'charging',
    from: endOf(start.gear, start.terminal),
    to: endOf(charger, 'in'),
    ...feedAmps(feeds.length ? suppliesV(part) : c.bank!.absorptionV, part, share, start),
    nominalV: start.nominalV,
    limit: supplyLimit(c.design, 'dcdcInput', 'input of a DC-DC charger'),
    fuseKinds: BOLTED,
    ends: start.source ? [{ at: 'from', source: start.source }] : [],
    limitingParts: [...(part.maxFuseA ? [{ what: 'charger’s largest fuse', ratingA: part.maxFuseA }] : []), ...start.limitingParts],
    makerFuseA: part.maxFuseA,
    minAreaMm2: c.design.settings.custom.feedMm2,
    terminal: TERMINAL.m8,
    reason: start.reason,
  });
}

/** Smallest lead of a charger's output by custom, mm². */
const CHARGER_LEAD_MM2 = 4;

function outputRun(c: DraftContext, next: () => number, charger: Gear, to: RunEnd, outputA: number, source: 'charger' | 'mains charger'): RunSpec {
  return makeRun(c, next(), {
    id: `${charger.id}-bus`,
    role: 'charger output',
    serves: charger.ref,
    name: `${sentence(charger.name)} → ${to.name}`,
    group: 'charging',
    from: endOf(charger, 'out'),
    to,
    ...throughSelector(c, outputA),
    ...steadyA(outputA, `the ${source}’s output, as it is set`),
    minAreaMm2: CHARGER_LEAD_MM2,
    terminal: TERMINAL.m8,
    sourceV: c.bank!.absorptionV,
    nominalV: c.design.supply.houseV,
    limit: supplyLimit(c.design, source === 'charger' ? 'chargerOutput' : 'mains', 'output of a charger: it must see the battery’s own volts'),
    fuseKinds: BOLTED,
    ends: [{ at: 'to', source: 'house battery' }],
    reason: 'carries the charge to the house side; fused at the house battery’s end, since the charger gives no more than its cable bears',
  });
}

/** `mark` tells the runs of further links from those of the first. */
function isolatorRuns(c: DraftContext, next: () => number, { ref, part }: LinkThing, mark: string): RunSpec[] {
  const [starting, isolator, to] = [c.gear.get(OWN_VEHICLE.id), c.gear.get(ref.id), chargeEnd(c)];
  if (!starting || !isolator || !c.bank || !to) return [];
  const common = {
    group: 'charging',
    ...linkAmps(c),
    sourceV: part.closeV,
    nominalV: c.design.supply.houseV,
    fuseKinds: BOLTED,
    limitingParts: [{ what: 'isolator', ratingA: part.ratedA, kind: 'isolator' }],
    minAreaMm2: c.design.settings.custom.feedMm2,
    terminal: TERMINAL.m8,
  } as const;
  const near = makeRun(c, next(), {
    ...common,
    limit: TRUNK,
    id: `start-isolator${mark}`,
    role: 'link feed',
    serves: isolator.ref,
    name: 'Starting battery → isolator',
    from: endOf(starting),
    to: endOf(isolator, 'in'),
    ends: [{ at: 'from', source: 'starting battery' }],
    reason: 'ties the two batteries together while the engine charges',
  });
  const far = makeRun(c, next(), {
    ...common,
    limit: supplyLimit(c.design, 'isolatorLink', 'link through a sensing isolator, both halves together'),
    id: `isolator-bus${mark}`,
    role: 'link',
    serves: isolator.ref,
    parent: `start-isolator${mark}`,
    name: `Isolator → ${to.name}`,
    from: endOf(isolator, 'out'),
    to,
    ...throughSelector(c, common.usualA, common.limitingParts),
    ends: [{ at: 'to', source: 'house battery' }],
    reason: 'the far half of the link: with the isolator closed each battery can feed a fault on it, so it is fused at both ends',
  });
  return [near, far];
}

/** Feed of the bus bars from a mains charger. */
function mainsRuns(c: DraftContext, next: () => number, { ref, ports }: Ported<'mainsIn'>): RunSpec[] {
  const [mains, to] = [c.gear.get(ref.id), chargeEnd(c)];
  return mains && c.bank && to ? [outputRun(c, next, mains, to, ports.mainsIn.outputA, 'mains charger')] : [];
}

/** Runs that bring charge from the vehicle and from the mains: of every charger and link that there is. */
export function chargingRuns(c: DraftContext, next: () => number): RunSpec[] {
  return [
    ...withPort(c.plant, 'dcIn').flatMap((d) => dcdcRuns(c, next, d)),
    ...c.plant.links.flatMap((l, i) => isolatorRuns(c, next, l, i ? `-${l.ref.id}` : '')),
    // What also charges from a vehicle has its output already; what also inverts charges by the cable that it draws by.
    ...withPort(c.plant, 'mainsIn')
      .filter(({ ports }) => !ports.dcIn && !ports.mainsOut)
      .flatMap((m) => mainsRuns(c, next, m)),
  ];
}
