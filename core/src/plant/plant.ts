import { halfOf, type Catalogue, type PartOf } from '../catalogue/index.js';
import { panelId, refTo, type Design, type Ref } from '../design/index.js';
import type { ArrayThing, BankThing, ConverterThing, DistributionThing, LinkThing, MonitorThing, Supplied, SwitchThing, Thing, VehicleThing } from './thing.js';

/** What a design means: typed things with references, any number of each. */
export interface Plant {
  readonly vehicles: readonly VehicleThing[];
  readonly banks: readonly BankThing[];
  readonly converters: readonly ConverterThing[];
  readonly links: readonly LinkThing[];
  readonly arrays: readonly ArrayThing[];
  readonly inlets: readonly Ref[];
  readonly distribution: readonly DistributionThing[];
  readonly switchgear: readonly SwitchThing[];
  readonly monitors: readonly MonitorThing[];
}

/** The vehicle that the rig is built into, or is towed by. */
export const OWN_VEHICLE = refTo('vehicles', 'starting');
export const FIRST_BANK = refTo('banks', 'house');
export const SECOND_BANK = refTo('banks', 'second');
export const BARS = refTo('distribution', 'bus');
const INLET = refTo('outlets', 'inlet');

type Supply = Design['supply'];

const part = <P, T>(found: P | null, make: (p: P) => T): T[] => (found ? [make(found)] : []);

function banksOf({ battery, second, houseV }: Supply, catalogue: Catalogue): BankThing[] {
  const first = catalogue.find('battery', battery.part);
  const more = second && catalogue.find('battery', second.part);
  const thing = (ref: Ref, of: PartOf<'battery'>, quantity: number): Thing<PartOf<'battery'>> => ({ ref, part: of, quantity });
  const joined = more && second.joined === 'parallel' ? [thing(SECOND_BANK, more, second.count)] : [];
  return [
    ...part(first, (p): BankThing => ({ ref: FIRST_BANK, batteries: [thing(FIRST_BANK, p, battery.count), ...joined], nominalV: houseV, selected: false })),
    ...(more && second.joined === 'selector' ? [{ ref: SECOND_BANK, batteries: [thing(SECOND_BANK, more, second.count)], nominalV: houseV, selected: true }] : []),
  ];
}

function arraysOf({ sun }: Supply, catalogue: Catalogue): ArrayThing[] {
  const { portable } = sun;
  return [
    ...part(catalogue.find('panel', sun.panel), (p): ArrayThing => ({ ref: refTo('arrays', panelId(0)), part: p, quantity: sun.count, inSeries: sun.inSeries, portable: false, regulated: false })),
    ...(portable
      ? part(catalogue.find('panel', portable.panel), (p): ArrayThing => ({ ref: refTo('arrays', 'portable'), part: p, quantity: 1, inSeries: 1, portable: true, regulated: portable.regulated }))
      : []),
  ];
}

/** Panels that a regulator on the vehicle takes: those of the roof, and a portable one that is joined to them. */
const sunnyInputs = ({ sun }: Supply, arrays: readonly ArrayThing[]): Supplied[] =>
  arrays.filter((a) => !a.portable || sun.portable?.into === 'panels').map((a): Supplied => ({ by: 'array', ref: a.ref }));

function convertersOf({ supply }: Pick<Design, 'supply'>, catalogue: Catalogue, arrays: readonly ArrayThing[]): ConverterThing[] {
  const { sun, isolation } = supply;
  const controller = arrays.length ? catalogue.find('solar-controller', sun.controller) : null;
  const sunny = sunnyInputs(supply, arrays);
  const charges = { quantity: 1, charges: FIRST_BANK, draws: null } as const;
  const vehicle: Supplied = { by: 'vehicle', ref: OWN_VEHICLE };
  const chargers =
    isolation === 'dcdc'
      ? ([
          ['charger', supply.dcdc, supply.dcdcHalf],
          ['charger2', supply.dcdcSecond, false],
        ] as const)
      : [];
  return [
    ...chargers.flatMap(([id, of, half], i) =>
      part(catalogue.find('dcdc', of), (p): ConverterThing => ({
        ...charges,
        ref: refTo('converters', id),
        part: p,
        share: halfOf(p, half),
        inputs: i === 0 && p.sunInput && !controller ? [vehicle, ...sunny] : [vehicle],
      })),
    ),
    ...part(controller, (p): ConverterThing => ({ ...charges, ref: refTo('converters', 'controller'), part: p, share: 1, inputs: sunny })),
    ...part(catalogue.find('mains-charger', supply.mains.charger), (p): ConverterThing => ({
      ...charges,
      ref: refTo('converters', 'mains'),
      part: p,
      share: 1,
      inputs: [{ by: 'inlet', ref: INLET }],
    })),
    ...part(catalogue.find('inverter', supply.inverter), (p): ConverterThing => ({
      ref: refTo('converters', 'inverter'),
      part: p,
      quantity: 1,
      share: 1,
      inputs: p.charger ? [{ by: 'inlet', ref: INLET }] : [],
      charges: p.charger ? FIRST_BANK : null,
      draws: FIRST_BANK,
    })),
  ];
}

/** Where the loads' feeds start: a hub board is bars and ways in one, else bars and a fuse block. */
function distributionOf(supply: Supply, catalogue: Catalogue): DistributionThing[] {
  const hub = catalogue.find('hub', supply.hub);
  if (hub) return [{ ref: BARS, part: hub, quantity: 1 }];
  return [{ ref: BARS, part: null, quantity: 1 }, ...part(catalogue.find('fuse-block', supply.fuseBlock), (p): DistributionThing => ({ ref: refTo('distribution', 'block'), part: p, quantity: 1 }))];
}

/** Parts of their own; what a hub board has of them is not here. */
function switchgearOf(supply: Supply, catalogue: Catalogue): SwitchThing[] {
  const hub = catalogue.find('hub', supply.hub);
  const main = hub?.mainSwitch ? null : catalogue.find('switch', supply.mainSwitch);
  const disconnect = hub ? null : catalogue.find('disconnect', supply.disconnect.part);
  return [
    ...part(main, (p): SwitchThing => ({ ref: refTo('switchgear', 'switch'), part: p, quantity: 1, pole: 'positive', selects: supply.second?.joined === 'selector' })),
    ...part(disconnect, (p): SwitchThing => ({ ref: refTo('switchgear', 'disconnect'), part: p, quantity: 1, pole: supply.disconnect.pole, selects: false })),
  ];
}

function monitorsOf(supply: Supply, catalogue: Catalogue, banks: readonly BankThing[]): MonitorThing[] {
  const hub = catalogue.find('hub', supply.hub);
  const shunt = hub ? null : catalogue.find('shunt', supply.shunt);
  const show = (id: string): MonitorThing => ({ ref: refTo('monitors', id), part: null, quantity: 1 });
  return [
    ...part(shunt, (p): MonitorThing => ({ ref: refTo('monitors', 'shunt'), part: p, quantity: 1 })),
    ...(banks.length && (hub ?? shunt) ? [show('display')] : []),
    ...(catalogue.find('inverter', supply.inverter) ? [show('remote')] : []),
  ];
}

/** The plant of a design: what its document says, as things that refer to one another. */
export function plant({ supply, brief }: Pick<Design, 'supply' | 'brief'>, catalogue: Catalogue): Plant {
  const banks = banksOf(supply, catalogue);
  const arrays = arraysOf(supply, catalogue);
  const converters = convertersOf({ supply }, catalogue, arrays);
  return {
    vehicles: [{ ref: OWN_VEHICLE, nominalV: brief.vehicleV, joined: supply.isolation !== 'none' }],
    banks,
    converters,
    links: supply.isolation === 'isolator' ? part(catalogue.find('isolator', supply.isolator), (p): LinkThing => ({ ref: refTo('links', 'charger'), part: p, quantity: 1 })) : [],
    arrays,
    inlets: converters.some((c) => c.inputs.some((i) => i.by === 'inlet')) ? [INLET] : [],
    distribution: distributionOf(supply, catalogue),
    switchgear: switchgearOf(supply, catalogue),
    monitors: monitorsOf(supply, catalogue, banks),
  };
}

/** Everything of a plant that is a part of the catalogue, in the order in which it is listed and bought. */
export function partsOf(p: Plant): readonly Thing[] {
  const fromVehicles = p.converters.filter((c) => c.inputs.some((i) => i.by === 'vehicle'));
  const others = p.converters.filter((c) => !fromVehicles.includes(c));
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

/** A converter of one kind of part, with that part. */
type OfKind<K extends ConverterThing['part']['kind']> = ConverterThing & { readonly part: PartOf<K> };

/** The converters of one kind, in their order. @example convertersOfKind(plant(design, catalogue), 'dcdc').length // 2 */
export const convertersOfKind = <K extends ConverterThing['part']['kind']>(p: Plant, kind: K): readonly OfKind<K>[] => p.converters.filter((c): c is OfKind<K> => c.part.kind === kind);
