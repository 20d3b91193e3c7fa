import { chargerInputW, type Catalogue, type Part, type PartOf } from '../catalogue/index.js';
import { gearKey, panelId, refTo, type Design, type GearRole, type Load, type LoadGroup, type Purpose, type Ref, type Trace } from '../design/index.js';
import { inverterInputW } from '../loads/index.js';
import { bankOf, distributionOf, selectedBankOf, type Bank } from '../supply/index.js';
import { FIXING, LOAD_BODY, USUAL_BODY, type Body, type Fixing } from './bodies.js';

/** A thing that a design calls for, before it has a place. */
export interface Wanted {
  readonly ref: Ref;
  readonly id: string;
  readonly role: GearRole;
  readonly name: string;
  /** Its name without what tells it from others of its kind, or how much it holds. */
  readonly plain: string;
  /** What a load is for; null: it is no load. */
  readonly purpose: Purpose | null;
  readonly body: Body;
  readonly fixing: Fixing;
  /** Lost as heat at full output, W. */
  readonly heatW: number;
  /** Sort of wall it usually goes to; null: the usual face of its role. */
  readonly wall: 'floor' | 'top' | null;
  /** How many of its kind want to lie beside one another. */
  readonly ofAlike: number;
}

const GAP_MM = 10;

function row(part: Part, count: number): Body {
  const [w, h, d] = part.mm;
  return { mm: [w * count + GAP_MM * (count - 1), h, d], kg: part.kg * count };
}

function make(ref: Ref, role: GearRole, name: string, body: Body, heatW = 0): Wanted {
  return { ref, id: gearKey(ref), role, name, plain: name, purpose: null, body, fixing: FIXING[role], heatW, wall: null, ofAlike: 1 };
}

/** Each panel on its own, so that rows go round hatches and vents; the first is where their cable starts. */
function panels(part: PartOf<'panel'>, count: number): Wanted[] {
  return Array.from({ length: count }, (_, i) => {
    const name = count === 1 ? `panel ${part.ratedW} W` : `panel ${i + 1} of ${count}, ${part.ratedW} W`;
    return { ...make(refTo('arrays', panelId(i)), 'panel', name, row(part, 1)), plain: `panel ${part.ratedW} W`, ofAlike: count };
  });
}

/** Batteries side by side, in two rows from four on. */
function batteries(part: Part, count: number): Body {
  const [w, h, d] = part.mm;
  const [long, across] = count >= 4 ? [Math.ceil(count / 2), 2] : [count, 1];
  return { mm: [w * across + GAP_MM * (across - 1), h, d * long + GAP_MM * (long - 1)], kg: part.kg * count };
}

/** A bank as one piece of gear. */
const battery = (id: string, plain: string, bank: Bank): Wanted => ({
  ...make(refTo('banks', id), 'house', `${plain} ${bank.capacityAh} Ah`, batteries(bank.part, bank.strings * bank.inSeries)),
  plain,
});

/** What sits in the battery's leads and in the feed of the loads: near to the bus bars. */
function inline({ supply }: Design, catalogue: Catalogue): Wanted[] {
  const hub = catalogue.find('hub', supply.hub);
  const parts = [
    ['switchgear', 'switch', supply.second?.joined === 'selector' ? 'selector' : 'main switch', hub?.mainSwitch ? null : catalogue.find('switch', supply.mainSwitch)],
    ['monitors', 'shunt', 'shunt', hub ? null : catalogue.find('shunt', supply.shunt)],
    ['switchgear', 'disconnect', 'low-voltage disconnect', hub ? null : catalogue.find('disconnect', supply.disconnect.part)],
  ] as const;
  return parts.flatMap(([collection, id, name, part]) => (part ? [make(refTo(collection, id), 'bus', name, row(part, 1))] : []));
}

function sources(design: Design, catalogue: Catalogue): Wanted[] {
  const { supply } = design;
  const bank = bankOf(design, catalogue);
  const { hub } = distributionOf(design, catalogue);
  const out: Wanted[] = [];
  if (supply.isolation !== 'none') out.push(make(refTo('vehicles', 'starting'), 'starting', 'starting battery', USUAL_BODY.starting));
  if (bank) {
    out.push(battery('house', 'house battery', bank));
    const second = selectedBankOf(design, catalogue);
    if (second) out.push(battery('second', 'second battery', second));
    out.push(hub ? make(refTo('distribution', 'bus'), 'bus', 'hub board', row(hub, 1)) : make(refTo('distribution', 'bus'), 'bus', 'bus bars', USUAL_BODY.bus));
    out.push(...inline(design, catalogue));
  }
  const charger = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdc) : supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null;
  const lost = (id: string | null): number => {
    const part = catalogue.find('dcdc', id);
    return part && bank ? chargerInputW(part, bank.absorptionV) * (1 - part.efficiency) : 0;
  };
  if (charger)
    out.push({ ...make(refTo(charger.kind === 'dcdc' ? 'converters' : 'links', 'charger'), 'charger', charger.kind === 'dcdc' ? 'charger' : 'isolator', row(charger, 1), lost(charger.id)) });
  const second = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdcSecond) : null;
  if (second) out.push(make(refTo('converters', 'charger2'), 'charger', 'second charger', row(second, 1), lost(second.id)));
  return out;
}

function devices(design: Design, catalogue: Catalogue): Wanted[] {
  const { supply } = design;
  const out: Wanted[] = [];
  const inverter = catalogue.find('inverter', supply.inverter);
  if (inverter) out.push(make(refTo('converters', 'inverter'), 'inverter', `inverter ${inverter.ratedW} W`, row(inverter, 1), inverterInputW(inverter.ratedW, inverter.ratedW) - inverter.ratedW));
  const block = distributionOf(design, catalogue).hub ? null : catalogue.find('fuse-block', supply.fuseBlock);
  if (block) out.push(make(refTo('distribution', 'block'), 'block', 'fuse block', row(block, 1)));
  const panel = catalogue.find('panel', supply.sun.panel);
  if (panel) out.push(...panels(panel, supply.sun.count));
  const portable = supply.sun.portable && catalogue.find('panel', supply.sun.portable.panel);
  if (portable) out.push(make(refTo('arrays', 'portable'), 'control', 'portable panel’s socket', LOAD_BODY.sockets));
  const sun = (panel ? panel.ratedW * supply.sun.count : 0) + (portable?.ratedW ?? 0);
  const controller = (panel ?? portable) && catalogue.find('solar-controller', supply.sun.controller);
  if (controller) out.push(make(refTo('converters', 'controller'), 'controller', 'solar controller', row(controller, 1), 0.03 * Math.min(sun, controller.maxA * supply.houseV)));
  const mains = catalogue.find('mains-charger', supply.mains.charger);
  if (mains) out.push(make(refTo('converters', 'mains'), 'mains', 'mains charger', row(mains, 1), Math.max(0, mains.acW - mains.outputA * mains.outputV * 1.2)));
  return out;
}

/** What is looked at and pressed every day: the display of the battery's shunt, and the inverter's switch. */
function controls(design: Design, catalogue: Catalogue): Wanted[] {
  const out: Wanted[] = [];
  if (bankOf(design, catalogue) && distributionOf(design, catalogue).shunt) out.push(make(refTo('monitors', 'display'), 'control', 'battery display', USUAL_BODY.display));
  if (catalogue.find('inverter', design.supply.inverter)) out.push(make(refTo('monitors', 'remote'), 'control', 'inverter switch', USUAL_BODY.remote));
  return out;
}

/** Carried to its outlet and put away again, as a kettle is: what is fitted is the outlet. */
const pluggedIn = ({ supply, purpose }: Load): boolean => supply === 'mains' && (purpose === 'cooking' || purpose === 'tools' || purpose === 'electronics');

function loads(design: Design): Wanted[] {
  return Object.entries(design.loads)
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, load]): Wanted => {
      const body = LOAD_BODY[pluggedIn(load) ? 'sockets' : load.purpose];
      const wall = body.wall === 'wall' ? null : body.wall;
      return { ...make(refTo('loads', id), 'load', load.name || 'unnamed load', body), purpose: load.purpose, fixing: { ...FIXING.load, ...body.fixing }, wall };
    });
}

/** Traced wires that something new hangs on. */
export function wiresTapped({ brief, loads }: Design): readonly (readonly [string, Trace])[] {
  const used = new Set(Object.values(loads).flatMap((l) => (l.feed.by === 'wire' ? [l.feed.wire] : [])));
  return Object.entries(brief.traces).filter(([id]) => used.has(id));
}

/** Groups that a load hangs on. */
export function groupsUsed({ groups, loads }: Design): readonly (readonly [string, LoadGroup])[] {
  const used = new Set(Object.values(loads).flatMap((l) => (l.feed.by === 'group' && l.supply === 'dc' ? [l.feed.group] : [])));
  return Object.entries(groups)
    .filter(([id]) => used.has(id))
    .sort(([, a], [, b]) => a.order - b.order);
}

/** What loads share on their way: switch banks and joint strips, and where a wire that is there is tapped. */
function shared(design: Design): Wanted[] {
  const groups = groupsUsed(design).map(([id, g]): Wanted => {
    const ways = Object.values(design.loads).filter((l) => l.feed.by === 'group' && l.feed.group === id).length;
    const bank = g.kind === 'switch bank';
    const body: Body = bank ? { mm: [40 + 30 * Math.max(2, ways), 70, 60], kg: 0.1 + 0.05 * ways } : { mm: [40 + 12 * Math.max(2, ways), 40, 30], kg: 0.1 };
    return make(refTo('groups', id), bank ? 'control' : 'block', g.name || g.kind, body);
  });
  const taps = wiresTapped(design).map(([id, w]): Wanted => make(refTo('traces', id), 'block', `joint on the ${w.colour || 'traced'} wire`, { mm: [60, 30, 25], kg: 0.05 }));
  return [...groups, ...taps];
}

/** What a design calls for, in the order in which it is set down. */
export function wantedGear(design: Design, catalogue: Catalogue): Wanted[] {
  return [...sources(design, catalogue), ...devices(design, catalogue), ...controls(design, catalogue), ...shared(design), ...loads(design)];
}
