import { convertsOf, watchesOf, type Catalogue, type Part, type PartKind } from '../catalogue/index.js';
import { gearKey, panelId, refTo, type Design, type Load, type LoadGroup, type Purpose, type Ref, type Trace } from '../design/index.js';
import { inRole, plant, type ArrayThing, type BankThing, type ConverterThing, type DistributionThing, type Plant, type SwitchThing } from '../plant/index.js';
import { bankOf, selectedBankOf, type Bank } from '../supply/index.js';
import { FIXING, LOAD_BODY, USUAL_BODY, type Body, type Fixing, type PlacedRole } from './bodies.js';

/** A thing that a design calls for, before it has a place. */
export interface Wanted {
  readonly ref: Ref;
  readonly id: string;
  readonly role: PlacedRole;
  readonly name: string;
  /** Its name without what tells it from others of its kind, or how much it holds. */
  readonly plain: string;
  /** Part of the catalogue that it is; null: none. */
  readonly part: string | null;
  /** Sort of part; null: it is no part of the catalogue. */
  readonly sort: PartKind | null;
  /** It has a lead from the mains inlet. */
  readonly mainsIn: boolean;
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

function make(ref: Ref, role: PlacedRole, name: string, body: Body, heatW = 0): Wanted {
  return { ref, id: gearKey(ref), role, name, plain: name, part: null, sort: null, mainsIn: false, purpose: null, body, fixing: FIXING[role], heatW, wall: null, ofAlike: 1 };
}

/** A part of the catalogue as a piece of gear. */
const gearOfPart = (ref: Ref, role: PlacedRole, name: string, part: Part, heatW = 0): Wanted => ({ ...make(ref, role, name, row(part, 1), heatW), part: part.id, sort: part.kind });

/** Each panel on its own, so that rows go round hatches and vents; the first is where their cable starts. */
function panels({ ref, part, quantity: count }: ArrayThing, nth: number): Wanted[] {
  return Array.from({ length: count }, (_, i) => {
    // Of several arrays the later ones say so.
    const mark = NTH[nth] ?? `${nth + 1}th `;
    const of = mark ? ` of the ${mark}array` : '';
    const name = count === 1 ? `panel ${part.ratedW} W${of}` : `panel ${i + 1} of ${count}${of}, ${part.ratedW} W`;
    return { ...gearOfPart(refTo('arrays', panelId(i, ref.id)), 'panel', name, part), plain: `panel ${part.ratedW} W${of}`, ofAlike: count };
  });
}

/** Batteries side by side, in two rows from four on. */
function batteries(part: Part, count: number): Body {
  const [w, h, d] = part.mm;
  const [long, across] = count >= 4 ? [Math.ceil(count / 2), 2] : [count, 1];
  return { mm: [w * across + GAP_MM * (across - 1), h, d * long + GAP_MM * (long - 1)], kg: part.kg * count };
}

/** A bank as one piece of gear. */
function bankGear({ ref, selected, batteries: parts }: BankThing, p: Plant, design: Design, catalogue: Catalogue): Wanted[] {
  const bank = selected ? selectedBankOf(design, catalogue) : bankOf(design, catalogue);
  const [main] = parts;
  if (!bank || !main) return [];
  const inside = p.converters.filter((c) => c.inside?.id === ref.id);
  const plain = inside.length ? 'power unit' : selected ? 'second battery' : 'house battery';
  const heatW = inside.reduce((sum, c) => sum + converterGear(c, 0, p, bank, design.supply.houseV).heatW, 0);
  const gear = make(ref, 'house', `${plain} ${bank.capacityAh} Ah`, batteries(main.part, bank.strings * bank.inSeries), heatW);
  // A lead-acid battery stands under a bonnet as the starting battery does; the electronics in a lithium one do not.
  const outside = parts.every((p) => p.part.chemistry !== 'lfp');
  return [
    {
      ...gear,
      plain,
      part: main.part.id,
      sort: main.part.kind,
      mainsIn: inside.some((c) => c.inputs.some((i) => i.by === 'inlet')),
      fixing: outside ? { ...gear.fixing, weather: 'spray' } : gear.fixing,
    },
  ];
}

/** Bus bars, or the hub board in their place, and a block beside them. */
function boardOf({ ref, part }: DistributionThing, nth: number): Wanted {
  if (part?.kind === 'fuse-block') return gearOfPart(ref, 'block', `${NTH[nth] ?? `${nth + 1}th `}fuse block`, part);
  return part ? gearOfPart(ref, 'bus', 'hub board', part) : make(ref, 'bus', 'bus bars', USUAL_BODY.bus);
}

/** What measures, shows and switches, where it is set down so; by the name that a person gave it. */
const watching = (monitors: Plant['monitors'], role: 'bus' | 'block' | 'control'): Wanted[] =>
  monitors.flatMap((m) => {
    if (!m.part) return [];
    const of = watchesOf(m.part);
    const calls = of.calls(m.part);
    return of.role(m.part) === role ? [gearOfPart(m.ref, role, m.name || calls, m.part)] : [];
  });

/** What sits in the battery's leads and in the feed of the loads: near to the bus bars. */
function inlineGear({ switchgear, monitors }: Plant): Wanted[] {
  const apart = switchgear.some((s) => s.does === 'charging selector');
  const called = (s: SwitchThing): string => (s.does === 'charging selector' ? s.does : s.selects ? (apart ? 'load selector' : 'selector') : 'main switch');
  const main = switchgear.filter((s) => s.part.kind === 'switch').map((s) => gearOfPart(s.ref, 'bus', called(s), s.part));
  const shunts = watching(monitors, 'bus');
  const disconnects = switchgear.filter((s) => s.part.kind === 'disconnect').map((s) => gearOfPart(s.ref, 'bus', 'low-voltage disconnect', s.part));
  return [...main, ...shunts, ...disconnects];
}

/** Watts of the panels that a converter takes. */
const sunOn = (c: ConverterThing, p: Plant): number => p.arrays.filter((a) => c.inputs.some((i) => i.ref.id === a.ref.id)).reduce((sum, a) => sum + a.part.ratedW * a.quantity, 0);

/** How the later ones of a kind are told from the first. */
const NTH = ['', 'second ', 'third '];

/** A converter with what it loses as heat; of several of a kind the later ones say so. */
function converterGear(c: ConverterThing, nth: number, p: Plant, bank: Bank | null, houseV: number): Wanted {
  const { role, calls, heatW } = convertsOf(c.part);
  return gearOfPart(c.ref, role, `${NTH[nth] ?? `${nth + 1}th `}${calls(c.part)}`, c.part, heatW(c.part, { bankV: bank?.absorptionV ?? null, houseV, sunW: sunOn(c, p) }));
}

/** The plant as gear, in the order in which it is set down: what stands first says where the rest goes. */
function plantGear(design: Design, catalogue: Catalogue): Wanted[] {
  const p = plant(design, catalogue);
  const bank = bankOf(design, catalogue);
  const converters = (role: Parameters<typeof inRole>[1]): Wanted[] =>
    inRole(p, role)
      .filter((c) => !c.inside)
      .map((c, i, all) => ({ ...converterGear(c, all.slice(0, i).filter((x) => x.part.kind === c.part.kind).length, p, bank, design.supply.houseV), mainsIn: c.inputs.some((x) => x.by === 'inlet') }));
  const [bars, blocks] = [p.distribution.filter((d) => d.part?.kind !== 'fuse-block'), p.distribution.filter((d) => d.part?.kind === 'fuse-block')];
  return [
    ...p.vehicles.filter((v) => v.joined).map((v) => make(v.ref, 'starting', 'starting battery', USUAL_BODY.starting)),
    ...p.banks.flatMap((b) => bankGear(b, p, design, catalogue)),
    ...(bank ? [...bars.map(boardOf), ...inlineGear(p)] : []),
    ...converters('charger'),
    ...p.links.map((l, i) => gearOfPart(l.ref, 'charger', `${NTH[i] ?? `${i + 1}th `}isolator`, l.part)),
    ...converters('inverter'),
    ...blocks.map(boardOf),
    ...watching(p.monitors, 'block'),
    ...p.arrays.filter((a) => !a.portable).flatMap((a, i) => panels(a, i)),
    ...p.dcInlets.map((l, i) => make(l.ref, 'control', l.name || `${NTH[i] ?? `${i + 1}th `}inlet of the lead`, LOAD_BODY.sockets)),
    ...p.arrays.filter((a) => a.portable).map((a, i) => make(a.ref, 'control', `${NTH[i] ?? `${i + 1}th `}portable panel’s socket`, LOAD_BODY.sockets)),
    ...converters('controller'),
    ...converters('mains'),
    ...watching(p.monitors, 'control'),
    ...p.monitors.flatMap((m) => SHOWN[m.ref.id]?.(m.ref) ?? []),
  ];
}

/** What is looked at and pressed every day: the display of the battery's shunt, and the inverter's switch. */
const SHOWN: Readonly<Record<string, (ref: Ref) => Wanted>> = {
  display: (ref) => make(ref, 'control', 'battery display', USUAL_BODY.display),
  remote: (ref) => make(ref, 'control', 'inverter switch', USUAL_BODY.remote),
};

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

/** Gear by the name that a person gave the thing that it is. */
function asCalled(design: Design, gear: Wanted): Wanted {
  const { in: where, id } = gear.ref;
  const called = where === 'converters' || where === 'links' || where === 'distribution' ? design[where][id]?.name : '';
  return called ? { ...gear, name: called, plain: called } : gear;
}

/** What was there before and stays, where a person saw it; it weighs nothing more than the vehicle does with it. */
const thereBefore = ({ brief, places }: Design): Wanted[] =>
  Object.entries(brief.existing)
    .sort(([, a], [, b]) => a.order - b.order)
    .flatMap(([id, e]) => {
      const ref = refTo('existing', id);
      return e.mm && e.verdict !== 'remove' && places[gearKey(ref)]?.on ? [make(ref, 'there', e.name || 'unnamed gear', { mm: e.mm, kg: 0 })] : [];
    });

/** What a design calls for, in the order in which it is set down. */
export function wantedGear(design: Design, catalogue: Catalogue): Wanted[] {
  return [...thereBefore(design), ...plantGear(design, catalogue).map((g) => asCalled(design, g)), ...shared(design), ...loads(design)];
}
