import { PLAIN_MONITOR, type RIG } from './rig-schema.js';
import type { Batteries, Design, RigArray, RigConverter, RigSwitch } from './schema.js';

/** The first of each kind of thing, as most jobs have them: what forms of one field each show and change. */
export interface UsualSupply {
  houseV: Design['supply']['houseV'];
  battery: { part: string | null; count: number };
  /** More batteries: always joined to the first, or a bank of their own behind a selector. */
  second: { part: string; count: number; joined: 'parallel' | 'selector' } | null;
  isolation: 'dcdc' | 'isolator' | 'none';
  dcdc: string | null;
  dcdcHalf: boolean;
  dcdcSecond: string | null;
  trigger: RigConverter['trigger'];
  inhibit: boolean;
  isolator: string | null;
  sun: {
    panel: string | null;
    count: number;
    inSeries: number;
    controller: string | null;
    shade: number;
    portable: { panel: string; regulated: boolean; into: 'bank' | 'panels'; hours: number } | null;
    startBelow: number | null;
  };
  mains: { charger: string | null };
  inverter: string | null;
  fuseBlock: string | null;
  /** Bars, ways, shunt and disconnect on one board, in place of the parts; null: separate parts. */
  hub: string | null;
  mainSwitch: string | null;
  shunt: string | null;
  disconnect: { part: string | null; pole: 'positive' | 'negative' };
  startingAh: number;
  parkedMa: number;
  otherChargersA: number;
  seen: Design['supply']['seen'];
}

const usualConverter: Omit<RigConverter, 'order'> = { name: '', part: null, bank: 'house', from: null, inlet: null, half: false, trigger: 'ignition wire', inhibit: false };
const fromVehicle = { in: 'vehicles', id: 'starting' } as const;
const usualArray: Omit<RigArray, 'order'> = { name: '', part: null, count: 1, inSeries: 1, shade: 0, portable: null, into: null, startBelow: null };

type Keyed<T> = Record<string, T>;

type Fields<T> = { readonly [K in keyof T]: readonly [get: () => T[K], set: (value: T[K]) => void] };

/** An object whose fields stand elsewhere: reading and writing go there. */
function live<T extends object>(fields: Fields<T>): T {
  const made = {} as T;
  for (const key of Object.keys(fields) as (keyof T)[]) Object.defineProperty(made, key, { get: fields[key][0], set: fields[key][1], enumerable: true });
  return made;
}

/** Sets a thing's part where it is there, makes it where a part is set, and takes it away with its part. */
function setPart<T extends { part: string | null }>(all: Keyed<T>, id: string, part: string | null, fresh: () => NoInfer<T>): void {
  if (part === null) delete all[id];
  else all[id] = { ...(all[id] ?? fresh()), part };
}

/** Panels go to the controller where there is one, else to the charger from the vehicle. */
function rehang(d: Design): void {
  const id = d.converters['controller'] ? 'controller' : d.converters['charger'] ? 'charger' : null;
  for (const a of ['panel', 'portable'].flatMap((key) => d.arrays[key] ?? []))
    if (a.into === null || (a.into.in === 'converters' && (a.into.id === 'controller' || a.into.id === 'charger'))) a.into = id && { in: 'converters', id };
}

function batteriesIn(d: Design, bank: string, id: string): Batteries {
  const all = (d.banks[bank] ??= { order: bank === 'house' ? 1 : 2, name: '', batteries: {}, selector: bank === 'house' ? null : 'switch' }).batteries;
  return (all[id] ??= { order: id === 'house' ? 1 : 2, part: null, count: 1 });
}

/** A charging selector has nothing to choose where no bank stands behind the loads' one. */
export function dropIdleSelectors(d: Pick<Design, 'banks' | 'switchgear'>): void {
  if (Object.values(d.banks).some((b) => b.selector !== null)) return;
  for (const [id, s] of Object.entries(d.switchgear)) if (s.does === 'charging selector') delete d.switchgear[id];
}

/** Where the second lot of batteries stands: in the first bank, or as a bank of its own. */
const secondIn = (d: Design): 'house' | 'second' | null => (d.banks['house']?.batteries['second'] ? 'house' : d.banks['second']?.batteries['second'] ? 'second' : null);

function dropSecond(d: Design): void {
  delete d.banks['house']?.batteries['second'];
  delete d.banks['second'];
  dropIdleSelectors(d);
}

function secondOf(d: Design): UsualSupply['second'] {
  const at = secondIn(d);
  if (!at) return null;
  const it = (): Batteries => d.banks[secondIn(d)!]!.batteries['second']!;
  return live<NonNullable<UsualSupply['second']>>({
    part: [() => it().part ?? '', (part) => void (it().part = part)],
    count: [() => it().count, (count) => void (it().count = count)],
    joined: [
      () => (secondIn(d) === 'second' ? 'selector' : 'parallel'),
      (joined) => {
        const { part, count } = it();
        dropSecond(d);
        Object.assign(batteriesIn(d, joined === 'selector' ? 'second' : 'house', 'second'), { part, count });
      },
    ],
  });
}

function portableOf(d: Design): UsualSupply['sun']['portable'] {
  if (!d.arrays['portable']) return null;
  const it = (): RigArray => d.arrays['portable']!;
  return live<NonNullable<UsualSupply['sun']['portable']>>({
    panel: [() => it().part ?? '', (panel) => void (it().part = panel)],
    regulated: [() => it().portable?.regulated ?? false, (regulated) => void (it().portable = { hours: it().portable?.hours ?? 6, regulated })],
    into: [
      () => (it().into?.in === 'banks' ? 'bank' : 'panels'),
      (into) => {
        it().into = into === 'bank' ? { in: 'banks', id: 'house' } : null;
        rehang(d);
      },
    ],
    hours: [() => it().portable?.hours ?? 0, (hours) => void (it().portable = { regulated: it().portable?.regulated ?? false, hours })],
  });
}

/** A field of the array on the roof, which a change makes where it is not there. */
const roof = (d: Design): RigArray => d.arrays['panel'] ?? { ...usualArray, order: 1 };
const setRoof = (d: Design, change: Partial<RigArray>): void => {
  d.arrays['panel'] = { ...roof(d), ...change };
  rehang(d);
};

const sunOf = (d: Design): UsualSupply['sun'] =>
  live<UsualSupply['sun']>({
    panel: [() => roof(d).part, (part) => void setRoof(d, { part })],
    count: [() => roof(d).count, (count) => void setRoof(d, { count })],
    inSeries: [() => roof(d).inSeries, (inSeries) => void setRoof(d, { inSeries })],
    controller: [
      () => d.converters['controller']?.part ?? null,
      (part) => {
        setPart(d.converters, 'controller', part, () => ({ ...usualConverter, order: 3 }));
        rehang(d);
      },
    ],
    shade: [() => roof(d).shade, (shade) => void setRoof(d, { shade })],
    portable: [
      () => portableOf(d),
      (p) => {
        if (!p) delete d.arrays['portable'];
        else {
          const { panel, regulated, hours, into } = p;
          d.arrays['portable'] = { ...usualArray, order: 2, part: panel, portable: { regulated, hours }, into: into === 'bank' ? { in: 'banks', id: 'house' } : null };
          rehang(d);
        }
      },
    ],
    startBelow: [() => roof(d).startBelow, (startBelow) => void setRoof(d, { startBelow })],
  });

const chargers = (d: Design): readonly RigConverter[] => ['charger', 'charger2'].flatMap((id) => d.converters[id] ?? []);

/** How the banks hang on the vehicle: parts chosen for a way that is not in use are forgotten with it. */
function setIsolation(d: Design, to: UsualSupply['isolation']): void {
  if (to !== 'dcdc') for (const id of ['charger', 'charger2']) delete d.converters[id];
  else d.converters['charger'] ??= { ...usualConverter, order: 1, from: { ...fromVehicle } };
  if (to !== 'isolator') delete d.links['charger'];
  else d.links['charger'] ??= { order: 1, name: '', part: null, vehicle: 'starting', bank: 'house' };
  rehang(d);
}

const isolationOf = (d: Design): UsualSupply['isolation'] => (d.links['charger'] ? 'isolator' : d.converters['charger'] ? 'dcdc' : 'none');

const batteryOf = (d: Design): UsualSupply['battery'] =>
  live<UsualSupply['battery']>({
    part: [() => d.banks['house']?.batteries['house']?.part ?? null, (part) => void (batteriesIn(d, 'house', 'house').part = part)],
    count: [() => d.banks['house']?.batteries['house']?.count ?? 1, (count) => void (batteriesIn(d, 'house', 'house').count = count)],
  });

const disconnectOf = (d: Design): UsualSupply['disconnect'] => {
  const it = (): RigSwitch => (d.switchgear['disconnect'] ??= { order: 2, name: '', does: 'disconnect', part: null, pole: 'positive' });
  return live<UsualSupply['disconnect']>({
    part: [() => d.switchgear['disconnect']?.part ?? null, (part) => void (it().part = part)],
    pole: [() => d.switchgear['disconnect']?.pole ?? 'positive', (pole) => void (it().pole = pole)],
  });
};

const setMains = (d: Design, part: string | null): void => setPart(d.converters, 'mains', part, () => ({ ...usualConverter, order: 4, inlet: 'inlet' }));

function setSecond(d: Design, s: UsualSupply['second']): void {
  const now = s && { ...s };
  const kept = { ...d.switchgear };
  dropSecond(d);
  if (now?.joined === 'selector') d.switchgear = kept;
  if (now) Object.assign(batteriesIn(d, now.joined === 'selector' ? 'second' : 'house', 'second'), { part: now.part, count: now.count });
}

/** Changes a thing that is there, and nothing where there is none. */
const change = <T>(thing: T | undefined, by: (t: T) => void): void => {
  if (thing !== undefined) by(thing);
};

/** The usual supply of a design: reading finds the first of each kind, writing changes the design itself. @example supplyOf(design).battery.count = 2 */
export function supplyOf(d: Design): UsualSupply {
  let view = VIEWS.get(d);
  if (!view) VIEWS.set(d, (view = viewOf(d)));
  return view;
}

/** A view looks into its design at every read, so that one for each design does. */
const VIEWS = new WeakMap<Design, UsualSupply>();

function viewOf(d: Design): UsualSupply {
  const [battery, sun, disconnect] = [batteryOf(d), sunOf(d), disconnectOf(d)];
  const mains = live<UsualSupply['mains']>({ charger: [() => d.converters['mains']?.part ?? null, (part) => setMains(d, part)] });
  return live<UsualSupply>({
    houseV: [() => d.supply.houseV, (v) => void (d.supply.houseV = v)],
    battery: [() => battery, (to) => void Object.assign(battery, { ...to })],
    second: [() => secondOf(d), (to) => setSecond(d, to)],
    isolation: [() => isolationOf(d), (to) => setIsolation(d, to)],
    dcdc: [() => d.converters['charger']?.part ?? null, (part) => change(d.converters['charger'], (c) => (c.part = part))],
    dcdcHalf: [() => d.converters['charger']?.half ?? false, (half) => change(d.converters['charger'], (c) => (c.half = half))],
    dcdcSecond: [
      () => d.converters['charger2']?.part ?? null,
      (part) => change(d.converters['charger'], (first) => setPart(d.converters, 'charger2', part, () => ({ ...first, half: false, order: 2 }))),
    ],
    trigger: [() => chargers(d)[0]?.trigger ?? 'ignition wire', (trigger) => chargers(d).forEach((c) => (c.trigger = trigger))],
    inhibit: [() => chargers(d)[0]?.inhibit ?? false, (inhibit) => chargers(d).forEach((c) => (c.inhibit = inhibit))],
    isolator: [() => d.links['charger']?.part ?? null, (part) => change(d.links['charger'], (l) => (l.part = part))],
    sun: [() => sun, (to) => void Object.assign(sun, { ...to })],
    mains: [() => mains, ({ charger }) => setMains(d, charger)],
    inverter: [() => d.converters['inverter']?.part ?? null, (part) => setPart(d.converters, 'inverter', part, () => ({ ...usualConverter, order: 5, inlet: 'inlet' }))],
    fuseBlock: [() => d.distribution['block']?.part ?? null, (part) => void (d.distribution['block'] = { order: 2, name: '', kind: 'fuse block', part })],
    hub: [() => d.distribution['bus']?.part ?? null, (part) => void (d.distribution['bus'] = { order: 1, name: '', kind: 'bars', part })],
    mainSwitch: [() => d.switchgear['switch']?.part ?? null, (part) => setPart(d.switchgear, 'switch', part, (): RigSwitch => ({ order: 1, name: '', does: 'main switch', part, pole: 'positive' }))],
    shunt: [() => d.monitors['shunt']?.part ?? null, (part) => setPart(d.monitors, 'shunt', part, () => ({ ...PLAIN_MONITOR, order: 1, part, measures: 'house' }))],
    disconnect: [() => disconnect, (to) => void Object.assign(disconnect, { ...to })],
    startingAh: [() => d.supply.startingAh, (ah) => void (d.supply.startingAh = ah)],
    parkedMa: [() => d.supply.parkedMa, (ma) => void (d.supply.parkedMa = ma)],
    otherChargersA: [() => d.supply.otherChargersA, (amps) => void (d.supply.otherChargersA = amps)],
    seen: [() => d.supply.seen, (seen) => void (d.supply.seen = seen)],
  });
}

/** What a design's rig is made of, and nothing else. */
export const rigOf = (d: Design): Pick<Design, keyof typeof RIG> => ({
  banks: d.banks,
  arrays: d.arrays,
  converters: d.converters,
  links: d.links,
  inlets: d.inlets,
  distribution: d.distribution,
  switchgear: d.switchgear,
  monitors: d.monitors,
});

/** A design with the rig of another; what was said of the vehicle’s own side and of what is watched stays. */
export const withRig = (design: Design, from: Design): Design => ({
  ...design,
  ...(JSON.parse(JSON.stringify(rigOf(from))) as ReturnType<typeof rigOf>),
  supply: { ...design.supply, houseV: from.supply.houseV },
});
