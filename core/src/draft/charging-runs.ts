import type { RunEnd, RunSpec } from '../routes/index.js';
import { chargerInputW } from '../catalogue/index.js';
import { figure } from '../quantity/index.js';
import { alternatorBudget, dcdcsOf, mainsChargerOf } from '../supply/index.js';
import { BOLTED, endOf, makeRun, SMALLEST_MM2, type DraftContext } from './context.js';
import { controllerOutA, portableOutA } from './controller.js';
import { loadsA } from './demand.js';
import { supplyLimit } from './limits.js';

/** Feed from the starting side into a DC-DC charger and on to the bus bars; sized for full output, whatever it is set to. */
function dcdcRuns(c: DraftContext, next: () => number, id: 'charger' | 'charger2'): RunSpec[] {
  const part = c.catalogue.find('dcdc', id === 'charger' ? c.design.supply.dcdc : c.design.supply.dcdcSecond);
  const [starting, charger, bus] = [c.gear.get('starting'), c.gear.get(id), c.gear.get('bus')];
  if (!part || !starting || !charger || !c.bank || !bus) return [];
  const inputW = chargerInputW(part, c.bank.absorptionV);
  const currentA = inputW / part.cutOutV;
  return [
    makeRun(c, next(), {
      id: `start-${id}`,
      name: `Starting battery → ${charger.name}`,
      group: 'charging',
      from: endOf(starting),
      to: endOf(charger, 'in'),
      demand: { currentA },
      demandWhy: `${figure(inputW, 0)} W in at the charger’s cut-out of ${part.cutOutV} V, where it draws most`,
      sourceV: part.cutOutV,
      terminalV: part.cutOutV,
      nominalV: c.design.brief.vehicleV,
      limit: supplyLimit(c.design, 'dcdcInput', 'input of a DC-DC charger'),
      fuseKinds: BOLTED,
      ends: [
        { at: 'from', source: 'starting battery' },
        { at: 'to', source: 'charger' },
      ],
      weak: part.maxFuseA ? [{ what: 'charger’s largest fuse', ratingA: part.maxFuseA }] : [],
      minAreaMm2: SMALLEST_MM2.batteryFeed,
      reason: 'brings the alternator’s current to the charger; fused at both ends, since a failed charger can pass the house battery back',
    }),
    outputRun(c, next, endOf(charger, 'out'), part.outputA, `${charger.name.charAt(0).toUpperCase()}${charger.name.slice(1)} → ${c.gear.get('bus')!.name}`, `${id}-bus`, 'charger'),
  ];
}

function outputRun(c: DraftContext, next: () => number, from: RunEnd, outputA: number, name: string, id: string, source: 'charger' | 'mains charger'): RunSpec {
  return makeRun(c, next(), {
    id,
    name,
    group: 'charging',
    from,
    to: endOf(c.gear.get('bus')!),
    demand: { currentA: outputA },
    demandWhy: `the ${source}’s full output`,
    sourceV: c.bank!.absorptionV,
    nominalV: c.design.supply.houseV,
    limit: supplyLimit(c.design, source === 'charger' ? 'chargerOutput' : 'mains', 'output of a charger: it must see the battery’s own volts'),
    fuseKinds: BOLTED,
    ends: [
      { at: 'from', source },
      { at: 'to', source: 'house battery' },
    ],
    reason: 'carries the charge to the house side; the house battery can feed a fault on it from the other end',
  });
}

/** What a sensing link carries: all that the bank takes and the loads draw, as far as the alternator has it left on the road, A. */
function linkA(c: DraftContext): number {
  const { leftCruiseA } = alternatorBudget(c.design.brief.alternator.ratedA, 0);
  return Math.min(
    c.bank!.maxChargeA +
      loadsA(
        c,
        c.day.loads.filter((l) => !l.mains),
      ),
    Math.max(leftCruiseA, 10),
  );
}

/** All that can be pressed into the bank at once: every charger and controller at its limit, or the link, A. */
export function allChargeA(c: DraftContext): number {
  const { design, catalogue, bank, array } = c;
  if (!bank) return 0;
  const isolator = design.supply.isolation === 'isolator' ? catalogue.find('isolator', design.supply.isolator) : null;
  const vehicle = dcdcsOf(design, catalogue).reduce((sum, d) => sum + d.part.outputA * d.share, 0) + (isolator ? linkA(c) : 0);
  const sun = array?.controller ? controllerOutA(array, bank) : 0;
  // A portable panel is out only while the vehicle stands.
  return Math.max(vehicle, portableOutA(array, bank)) + sun + (mainsChargerOf(design, catalogue)?.outputA ?? 0);
}

/** Each fuse of a sensing link takes about this share of its allowed drop; the cable's share goes by length. */
const LINK_FUSE_SHARE = 1 / 6;

function isolatorRuns(c: DraftContext, next: () => number): RunSpec[] {
  const part = c.catalogue.find('isolator', c.design.supply.isolator);
  const [starting, isolator, bus] = [c.gear.get('starting'), c.gear.get('charger'), c.gear.get('bus')];
  if (!part || !starting || !isolator || !c.bank || !bus) return [];
  const currentA = linkA(c);
  const limit = supplyLimit(c.design, 'isolatorLink', 'link through a sensing isolator, both halves together');
  const common = {
    group: 'charging',
    demand: { currentA },
    demandWhy: 'what the battery takes and the loads draw together, as far as the alternator has it left on the road',
    sourceV: part.closeV,
    nominalV: c.design.supply.houseV,
    fuseKinds: BOLTED,
    weak: [{ what: 'isolator', ratingA: part.ratedA }],
    minAreaMm2: SMALLEST_MM2.batteryFeed,
    limit,
  } as const;
  const near = makeRun(c, next(), {
    ...common,
    id: 'start-isolator',
    name: 'Starting battery → isolator',
    from: endOf(starting),
    to: endOf(isolator, 'in'),
    ends: [{ at: 'from', source: 'starting battery' }],
    reason: 'ties the two batteries together while the engine charges',
  });
  const far = makeRun(c, next(), {
    ...common,
    id: 'isolator-bus',
    parent: 'start-isolator',
    name: `Isolator → ${bus.name}`,
    from: endOf(isolator, 'out'),
    to: endOf(bus),
    ends: [{ at: 'to', source: 'house battery' }],
    reason: 'the far half of the link: with the isolator closed each battery can feed a fault on it, so it is fused at both ends',
  });
  const byLength = near.outM / Math.max(0.1, near.outM + far.outM);
  const nearPercent = limit.percent * (LINK_FUSE_SHARE + (1 - 2 * LINK_FUSE_SHARE) * byLength);
  return [{ ...near, pathLimitPercent: Math.round(nearPercent * 100) / 100, limitWhy: 'its share, by length, of the link’s limit' }, far];
}

/** Runs that bring charge from the vehicle and from the mains. */
export function chargingRuns(c: DraftContext, next: () => number): RunSpec[] {
  const vehicle = c.design.supply.isolation === 'dcdc' ? [...dcdcRuns(c, next, 'charger'), ...dcdcRuns(c, next, 'charger2')] : c.design.supply.isolation === 'isolator' ? isolatorRuns(c, next) : [];
  const mainsPart = c.catalogue.find('mains-charger', c.design.supply.mains.charger);
  const mains = c.gear.get('mains');
  const fromMains =
    mainsPart && mains && c.bank && c.gear.get('bus') ? [outputRun(c, next, endOf(mains, 'out'), mainsPart.outputA, `Mains charger → ${c.gear.get('bus')!.name}`, 'mains-bus', 'mains charger')] : [];
  return [...vehicle, ...fromMains];
}
