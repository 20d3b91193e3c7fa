import { converterIn, convertsOf, halfOf, monitorIn, portsOf, sunOnly, type Catalogue, type ConverterPart, type PartOf, type Port, type Ports, type SunIn } from '../catalogue/index.js';
import { refTo, type Design, type Ref, type RIG } from '../design/index.js';
import type { ArrayThing, BankThing, ConverterThing, DcInletThing, DistributionThing, LinkThing, MonitorThing, Supplied, SwitchThing, Thing, VehicleThing } from './thing.js';

/** What a design means: typed things with references, any number of each. */
export interface Plant {
  readonly vehicles: readonly VehicleThing[];
  readonly banks: readonly BankThing[];
  readonly converters: readonly ConverterThing[];
  readonly links: readonly LinkThing[];
  readonly arrays: readonly ArrayThing[];
  /** Inlets for 230 V that something hangs on. */
  readonly inlets: readonly Ref[];
  /** Inlets of leads from other banks that something hangs on. */
  readonly dcInlets: readonly DcInletThing[];
  readonly distribution: readonly DistributionThing[];
  readonly switchgear: readonly SwitchThing[];
  readonly monitors: readonly MonitorThing[];
}

/** The vehicle that the rig is built into, or is towed by. */
export const OWN_VEHICLE = refTo('vehicles', 'starting');
export const FIRST_BANK = refTo('banks', 'house');
export const BARS = refTo('distribution', 'bus');
const USUAL_BLOCK = refTo('distribution', 'block');

/** Of a design, what its plant is made of. */
export type Rig = Pick<Design, keyof typeof RIG | 'supply' | 'brief' | 'loads'>;

/** The things of a collection in their order. */
const inOrder = <T extends { readonly order: number }>(all: Readonly<Record<string, T>>): readonly (readonly [id: string, thing: T])[] => Object.entries(all).sort(([, a], [, b]) => a.order - b.order);

const part = <P, T>(found: P | null, make: (p: P) => T): T[] => (found ? [make(found)] : []);

function banksOf({ banks, supply }: Rig, catalogue: Catalogue): BankThing[] {
  return inOrder(banks).flatMap(([id, bank]): BankThing[] => {
    const batteries = inOrder(bank.batteries).flatMap(([of, b]) => part(catalogue.find('battery', b.part), (p) => ({ ref: refTo('banks', of), part: p, quantity: b.count })));
    return batteries.length ? [{ ref: refTo('banks', id), batteries, nominalV: supply.houseV, selected: bank.selector !== null }] : [];
  });
}

function arraysOf({ arrays }: Rig, catalogue: Catalogue): ArrayThing[] {
  return inOrder(arrays).flatMap(([id, a]) =>
    part(catalogue.find('panel', a.part), (p): ArrayThing => ({
      ref: refTo('arrays', id),
      part: p,
      quantity: a.count,
      inSeries: Math.min(a.inSeries, a.count),
      shade: a.shade,
      portable: a.portable !== null,
      regulated: a.portable?.regulated ?? false,
      outH: a.portable?.hours ?? 0,
      into: a.into && refTo(a.into.in, a.into.id),
      startBelow: a.startBelow,
    })),
  );
}

/** The vehicle or the lead that a converter's DC side hangs on itself. */
function ownDcOf(id: string, all: Rig['converters'], leads: readonly DcInletThing[]): Supplied[] {
  const from = all[id]?.from;
  if (from?.in === 'vehicles') return [{ by: 'vehicle', ref: refTo('vehicles', from.id), through: null }];
  return from?.in === 'inlets' ? leads.filter((l) => l.ref.id === from.id).map((l): Supplied => ({ by: 'lead', ref: l.ref, through: null })) : [];
}

/** The same, or what feeds the one box that stands between. */
function dcOf(id: string, all: Rig['converters'], leads: readonly DcInletThing[]): Supplied[] {
  const from = all[id]?.from;
  if (from?.in !== 'converters') return ownDcOf(id, all, leads);
  return isStep(from.id, all) ? ownDcOf(from.id, all, leads).map((s) => ({ ...s, through: refTo('converters', from.id) })) : [];
}

/** True of a box that charges no bank, but feeds another box. */
const isStep = (id: string, all: Rig['converters']): boolean => all[id]?.bank === null && Object.values(all).some((c) => c.from?.in === 'converters' && c.from.id === id);

/** What stands at a converter's inputs: only where its part has an input of that sort. */
function inputsOf(id: string, all: Rig['converters'], ports: Ports, arrays: readonly ArrayThing[], leads: readonly DcInletThing[]): Supplied[] {
  const { inlet } = all[id]!;
  return [
    ...(ports.dcIn ? dcOf(id, all, leads) : []),
    ...(ports.sunIn ? arrays.filter((a) => a.into?.in === 'converters' && a.into.id === id).map((a): Supplied => ({ by: 'array', ref: a.ref, through: null })) : []),
    ...(ports.mainsIn && inlet ? [{ by: 'inlet' as const, ref: refTo('outlets', inlet), through: null }] : []),
  ];
}

/** True where a part is built into one of a bank's batteries. */
const isInside = (of: { readonly inside?: string | undefined }, batteries: Readonly<Record<string, { readonly part: string | null }>> | undefined): boolean =>
  of.inside !== undefined && Object.values(batteries ?? {}).some((b) => b.part === of.inside);

/** Inlets of leads from other banks. */
const dcInletsOf = ({ inlets }: Rig): DcInletThing[] => inOrder(inlets).flatMap(([id, { name, dc }]): DcInletThing[] => (dc ? [{ ref: refTo('inlets', id), name, ...dc }] : []));

function convertersOf({ converters, banks }: Rig, catalogue: Catalogue, arrays: readonly ArrayThing[], leads: readonly DcInletThing[]): ConverterThing[] {
  return inOrder(converters).flatMap(([id, c]) => {
    const of = converterIn(catalogue, c.part);
    if (!of) return [];
    const ports = portsOf(of);
    const inputs = inputsOf(id, converters, ports, arrays, leads);
    // A controller that no panel feeds does nothing; a rule finds it in the document.
    if (sunOnly(ports) && !inputs.length) return [];
    const bank = c.bank === null ? null : refTo('banks', c.bank);
    const charges = ports.dcIn || ports.sunIn || ports.mainsIn ? bank : null;
    return [
      {
        ref: refTo('converters', id),
        part: of,
        quantity: 1,
        inside: isInside(of, banks[c.bank ?? '']?.batteries) ? bank : null,
        ports,
        share: ports.dcIn ? halfOf(ports.dcIn, c.half) : 1,
        inputs,
        charges,
        draws: ports.mainsOut || ports.startOut ? bank : null,
        keeps: ports.startOut ? OWN_VEHICLE : null,
        feeds:
          ports.dcIn && isStep(id, converters) && ownDcOf(id, converters, leads).length
            ? inOrder(converters).flatMap(([other, x]) => (x.from?.in === 'converters' && x.from.id === id ? [refTo('converters', other)] : []))
            : [],
      },
    ];
  });
}

/** Where the loads' feeds start: a hub board is bars and ways in one, else bars and blocks. */
function distributionOf({ distribution }: Rig, catalogue: Catalogue): DistributionThing[] {
  const things = inOrder(distribution).flatMap(([id, d]): DistributionThing[] => {
    const ref = refTo('distribution', id);
    return d.kind === 'bars' ? [{ ref, part: catalogue.find('hub', d.part), quantity: 1 }] : part(catalogue.find('fuse-block', d.part), (p): DistributionThing => ({ ref, part: p, quantity: 1 }));
  });
  // A hub board takes the place of the usual bars and block; further blocks hang on it.
  return things.some((t) => t.part?.kind === 'hub') ? things.filter((t) => t.part !== null && t.ref.id !== USUAL_BLOCK.id) : things;
}

/** Parts of their own; what a hub board has of them is not here. */
function switchgearOf({ switchgear, banks }: Rig, catalogue: Catalogue, hub: PartOf<'hub'> | null): SwitchThing[] {
  return inOrder(switchgear).flatMap(([id, s]) => {
    const onHub = { 'main switch': hub?.mainSwitch, 'charging selector': null, disconnect: hub?.disconnect }[s.does];
    const of = onHub ? null : catalogue.find(s.does === 'disconnect' ? 'disconnect' : 'switch', s.part);
    return part(of, (p): SwitchThing => ({ ref: refTo('switchgear', id), part: p, quantity: 1, pole: s.pole, does: s.does, selects: Object.values(banks).some((b) => b.selector === id) }));
  });
}

/** The thing of this id that can be measured or switched. */
function measurable(rig: Rig, id: string | null): Ref | null {
  if (id === null) return null;
  const where = (['banks', 'converters', 'arrays', 'loads'] as const).find((c) => id in rig[c]);
  return where ? refTo(where, id) : null;
}

/** Shunts a hub board has on itself. */
function monitorsOf(rig: Rig, catalogue: Catalogue, hub: PartOf<'hub'> | null, banks: readonly BankThing[], converters: readonly ConverterThing[]): MonitorThing[] {
  const { monitors } = rig;
  const own = inOrder(monitors).flatMap(([id, m]) =>
    part(monitorIn(catalogue, m.part), (p): MonitorThing => ({
      ref: refTo('monitors', id),
      part: p,
      quantity: 1,
      name: m.name,
      measures: measurable(rig, m.measures),
      shownBy: m.shownBy !== null && m.shownBy in monitors ? refTo('monitors', m.shownBy) : null,
      switches: m.switches.filter((l) => l in rig.loads).map((l) => refTo('loads', l)),
    })),
  );
  const there = own.filter((m) => !(hub && m.part?.kind === 'shunt'));
  const show = (id: string): MonitorThing => ({ ref: refTo('monitors', id), part: null, quantity: 1, name: '', measures: null, shownBy: null, switches: [] });
  const counts = hub !== null || there.some((m) => m.part?.kind === 'shunt');
  return [...there, ...(banks.length && counts ? [show('display')] : []), ...(converters.some((c) => c.ports.mainsOut && !c.inside) ? [show('remote')] : [])];
}

/** A plant whose lists are each made when they are first asked for: most who ask want one of them. */
class LazyPlant implements Plant {
  constructor(
    private readonly rig: Rig,
    private readonly catalogue: Catalogue,
  ) {}

  private readonly made = new Map<string, unknown>();

  private once<T>(what: string, make: () => T): T {
    if (!this.made.has(what)) this.made.set(what, make());
    return this.made.get(what) as T;
  }

  private get hub(): PartOf<'hub'> | null {
    return this.distribution.map((d) => d.part).find((p) => p?.kind === 'hub') ?? null;
  }

  get vehicles(): readonly VehicleThing[] {
    const joined = Object.keys(this.rig.links).length > 0 || Object.values(this.rig.converters).some((c) => c.from?.in === 'vehicles') || this.converters.some((c) => c.keeps);
    return [{ ref: OWN_VEHICLE, nominalV: this.rig.brief.vehicleV, joined }];
  }

  get banks(): readonly BankThing[] {
    return this.once('banks', () => banksOf(this.rig, this.catalogue));
  }

  get arrays(): readonly ArrayThing[] {
    return this.once('arrays', () => arraysOf(this.rig, this.catalogue));
  }

  get converters(): readonly ConverterThing[] {
    return this.once('converters', () => convertersOf(this.rig, this.catalogue, this.arrays, dcInletsOf(this.rig)));
  }

  get links(): readonly LinkThing[] {
    return this.once('links', () => inOrder(this.rig.links).flatMap(([id, l]) => part(this.catalogue.find('isolator', l.part), (p): LinkThing => ({ ref: refTo('links', id), part: p, quantity: 1 }))));
  }

  get inlets(): readonly Ref[] {
    return [...new Set(this.converters.flatMap((c) => c.inputs.filter((i) => i.by === 'inlet').map((i) => i.ref.id)))].map((id) => refTo('outlets', id));
  }

  get dcInlets(): readonly DcInletThing[] {
    const used = new Set(this.converters.flatMap((c) => c.inputs.filter((i) => i.by === 'lead').map((i) => i.ref.id)));
    return dcInletsOf(this.rig).filter((i) => used.has(i.ref.id));
  }

  get distribution(): readonly DistributionThing[] {
    return this.once('distribution', () => distributionOf(this.rig, this.catalogue));
  }

  get switchgear(): readonly SwitchThing[] {
    return this.once('switchgear', () => switchgearOf(this.rig, this.catalogue, this.hub));
  }

  get monitors(): readonly MonitorThing[] {
    return this.once('monitors', () => monitorsOf(this.rig, this.catalogue, this.hub, this.banks, this.converters));
  }
}

/** The plant of a design: what its document says, as things that refer to one another. */
export const plant = (rig: Rig, catalogue: Catalogue): Plant => new LazyPlant(rig, catalogue);

/** Everything of a plant that is a part of the catalogue, in the order in which it is listed and bought. */
export function partsOf(p: Plant): readonly Thing[] {
  // What is built into another part comes with it.
  const boxes = p.converters.filter((c) => !c.inside);
  const fromVehicles = boxes.filter((c) => c.inputs.some((i) => i.by === 'vehicle' || i.by === 'lead'));
  const others = boxes.filter((c) => !fromVehicles.includes(c));
  const things: readonly Thing<Thing['part'] | null>[] = [
    ...p.banks.flatMap((b) => b.batteries),
    ...fromVehicles,
    ...p.links,
    ...p.arrays,
    ...others,
    ...p.distribution,
    ...p.monitors,
    ...[...p.switchgear].reverse(),
  ];
  return things.filter((t): t is Thing => t.part !== null);
}

/** Converters that charge a bank from the mains inlet. */
export const fromInlet = (p: Plant): readonly ConverterThing[] => p.converters.filter((c) => c.charges && c.inputs.some((i) => i.by === 'inlet'));

/** Converters that charge a bank from what is plugged in: mains at their inlet, a lead from another bank. */
export const fromPlug = (p: Plant): readonly ConverterThing[] => p.converters.filter((c) => c.charges && c.inputs.some((i) => i.by === 'inlet' || i.by === 'lead'));

/** What the chargers at an inlet draw from it all together, W. @example inletTakesW(design, catalogue, 'inlet') // 460 */
export const inletTakesW = (rig: Rig, catalogue: Catalogue, inlet: string): number =>
  plant(rig, catalogue)
    .converters.filter((c) => c.inputs.some((i) => i.by === 'inlet' && i.ref.id === inlet))
    .reduce((sum, c) => sum + (c.ports.mainsIn?.acW ?? 0), 0);

/** A converter that has a port. */
export type Ported<P extends Port> = ConverterThing & { readonly ports: Ports & { readonly [K in P]: NonNullable<Ports[K]> } };

/** The converters that have a port, in their order. @example withPort(plant(design, catalogue), 'dcIn').length // 2 */
export const withPort = <P extends Port>(p: Plant, port: P): readonly Ported<P>[] => p.converters.filter((c): c is Ported<P> => c.ports[port] !== null);

/** The solar controllers of a document, with or without panels: the plant knows those alone that something feeds. */
export const controllersOf = (
  { converters, arrays }: Pick<Rig, 'converters' | 'arrays'>,
  catalogue: Catalogue,
): readonly { readonly id: string; readonly part: ConverterPart; readonly sunIn: SunIn; readonly fed: boolean }[] =>
  Object.entries(converters).flatMap(([id, c]) => {
    const part = converterIn(catalogue, c.part);
    const ports = part && portsOf(part);
    const fed = Object.values(arrays).some((a) => a.part !== null && a.into?.in === 'converters' && a.into.id === id);
    return part && ports?.sunIn && sunOnly(ports) ? [{ id, part, sunIn: ports.sunIn, fed }] : [];
  });

/** The converters that are set down in one role, in their order. */
export const inRole = (p: Plant, role: ReturnType<typeof convertsOf>['role']): readonly ConverterThing[] => p.converters.filter((c) => convertsOf(c.part).role === role);

/** The gear that a converter is, or is built into. */
export const standsIn = (c: Pick<ConverterThing, 'ref' | 'inside'>): Ref => c.inside ?? c.ref;

/** The inverters that 230 V loads hang on, in their order. */
export const invertersOf = (rig: Rig, catalogue: Catalogue): readonly Ported<'mainsOut'>[] => withPort(plant(rig, catalogue), 'mainsOut');

/** The first of them; null: none. */
export const inverterOf = (rig: Rig, catalogue: Catalogue): Ported<'mainsOut'> | null => invertersOf(rig, catalogue)[0] ?? null;
