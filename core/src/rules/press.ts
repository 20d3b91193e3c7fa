import { copyDesign, forgetPlace, isThereBefore, patchBetween, type Design, type Patch, type Ref, supplyOf, type UsualSupply } from '../design/index.js';
import type { WeakKind } from '../protection/index.js';
import type { Catalogue, Part } from '../catalogue/index.js';
import { doCommand } from '../commands/index.js';
import { plant, withPort } from '../plant/index.js';
import { selectorsOf, switchesFor } from '../supply/index.js';

/** A fix that the program can make by itself: what is pressed, and the edit that it is; undone like any other. */
export interface Press {
  readonly label: string;
  readonly patch: Patch;
  /** It is what an electrician fits unasked: a draft takes it where nothing new is to be looked at for it. */
  readonly usual?: boolean;
}

/** The press that changes a design so; what it comes to is worked out when somebody asks for it. */
export function press(design: Design, label: string, change: (d: Design) => void): Press {
  let patch: Patch | null = null;
  const made = (): Patch => {
    const next = copyDesign(design);
    change(next);
    return patchBetween(design, next);
  };
  return {
    label,
    get patch() {
      return (patch ??= made());
    },
  };
}

/** The same as one that an electrician takes unasked. */
export const asUsual = (p: Press): Press => ({
  label: p.label,
  get patch() {
    return p.patch;
  },
  usual: true,
});

/** A run's size, as typed. */
export const takeSize = (design: Design, run: string, areaMm2: number, label: string): Press => press(design, label, (d) => (d.runs[run] = { ...d.runs[run], areaMm2 }));

/** Another part in the place of the charging selector. */
const setSelector = (d: Design, part: string): void => {
  for (const s of Object.values(d.switchgear)) if (s.does === 'charging selector') s.part = part;
};

interface Stronger {
  readonly part: Part;
  /** Puts it in the place of the weak one that the run of this thing has. */
  readonly set: (design: Design, serves: Ref) => void;
}

/** Of the catalogue's parts that fit, the one with the smallest rating; null: none fits. */
const smallest = <P extends Part>(parts: readonly P[], rating: (p: P) => number, fits: (p: P) => boolean): P | null => parts.filter(fits).sort((a, b) => rating(a) - rating(b))[0] ?? null;

const ofRating =
  <P extends Part>(parts: readonly P[], rating: (p: P) => number, set: (s: UsualSupply, id: string) => void) =>
  (wantsA: number): Stronger | null => {
    const part = smallest(parts, rating, (p) => rating(p) >= wantsA);
    return part && { part, set: (d) => set(supplyOf(d), part.id) };
  };

/** Puts another fuse block in the place of this one. */
export const takeBlock = (d: Design, block: string, part: string): void => {
  const now = d.distribution[block];
  if (now) now.part = part;
};

/** Parts that a path may be held up by, each with what is taken in its place. */
const STRONGER: Readonly<Partial<Record<WeakKind, (catalogue: Catalogue, design: Design) => (wantsA: number) => Stronger | null>>> = {
  switch: (c, d) =>
    ofRating(
      switchesFor(d, c),
      (p) => p.ratedA,
      (s, id) => (s.mainSwitch = id),
    ),
  charging: (c) => (wantsA) => {
    const part = smallest(
      selectorsOf(c),
      (p) => p.ratedA,
      (p) => p.ratedA >= wantsA,
    );
    return part && { part, set: (d) => void setSelector(d, part.id) };
  },
  shunt: (c) =>
    ofRating(
      c.usual('shunt'),
      (p) => p.ratedA,
      (s, id) => (s.shunt = id),
    ),
  disconnect: (c) =>
    ofRating(
      c.usual('disconnect'),
      (p) => p.ratedA,
      (s, id) => (s.disconnect.part = id),
    ),
  'fuse block': (c) => (wantsA) => {
    const part = smallest(
      c.usual('fuse-block'),
      (p) => p.totalA,
      (p) => p.totalA >= wantsA,
    );
    return part && { part, set: (d, { id }) => takeBlock(d, id, part.id) };
  },
  isolator: (c) =>
    ofRating(
      c.usual('isolator'),
      (p) => p.ratedA,
      (s, id) => (s.isolator = id),
    ),
  'hub bars': (c) =>
    ofRating(
      c.usual('hub'),
      (p) => p.barsA,
      (s, id) => (s.hub = id),
    ),
};

/** The smallest part of the catalogue to put in the place of one that is too weak for so many amps; null: none, or it is no part of its own. */
export const strongerPart = (design: Design, catalogue: Catalogue, kind: WeakKind | undefined, wantsA: number): Stronger | null => (kind && STRONGER[kind]?.(catalogue, design)(wantsA)) ?? null;

/** Takes the smallest of these parts that is rated for what is wanted; none where none is. */
export function takeRated<P extends Part>(design: Design, parts: readonly P[], rating: (p: P) => number, wants: number, set: (supply: UsualSupply, id: string) => void): readonly Press[] {
  const part = smallest(parts, rating, (p) => rating(p) >= wants);
  return part ? [press(design, `Take the ${part.name}`, (d) => set(supplyOf(d), part.id))] : [];
}

/** Takes the smallest inverter of the house volts for so many watts, in the place of this one. */
export function takeInverter(design: Design, catalogue: Catalogue, watts: number, id = 'inverter'): readonly Press[] {
  const part = smallest(
    catalogue.usual('inverter').filter((p) => p.inputV === design.supply.houseV),
    (p) => p.ratedW,
    (p) => p.ratedW >= watts,
  );
  if (!part) return [];
  return [
    press(design, `Take the ${part.name}`, (d) => {
      const now = d.converters[id];
      if (now) now.part = part.id;
      else supplyOf(d).inverter = part.id;
    }),
  ];
}

/** Lets a piece of gear that a person placed find its place again; what was there before stays. */
export const placeAnew = (design: Design, gear: string): readonly Press[] => (design.places[gear]?.on && !isThereBefore(gear) ? [{ label: 'Find it another place', patch: forgetPlace(gear) }] : []);

/** Gives a load a way of its own on the house side. */
export const ownWay = (design: Design, loads: readonly string[]): readonly Press[] =>
  loads.length ? [press(design, 'Give it a way of its own', (d) => loads.forEach((id) => (d.loads[id]!.feed = { by: 'own' })))] : [];

/** Sets the first charger from the vehicle that stands at full power to half; none where none has such a setting. */
export function halfPower(design: Design, catalogue: Catalogue): readonly Press[] {
  const all = withPort(plant(design, catalogue), 'dcIn');
  const at = all.find((c) => c.ports.dcIn.halfPower && !design.converters[c.ref.id]!.half);
  return at ? [press(design, `Set the ${all.length > 1 ? at.part.name : 'charger'} to half power`, (d) => (d.converters[at.ref.id]!.half = true))] : [];
}

/** Fits what keeps the starting battery up out of the house bank; none where one is there, or none suits the volts. */
export function keepUp(design: Design, catalogue: Catalogue): readonly Press[] {
  if (withPort(plant(design, catalogue), 'startOut').length) return [];
  const part = catalogue.usual('maintainer').find((p) => p.inputV === design.supply.houseV && p.outputV === design.brief.vehicleV);
  const done = part && doCommand(design, { do: 'addConverter', with: { part: part.id } });
  return done?.ok ? [{ label: `Fit a ${part!.name}`, patch: done.patch }] : [];
}

/** Lets a relay unit no longer switch a load. */
export const offTheContact = (design: Design, unit: string, load: string, name: string): Press =>
  press(design, `Take it off the ${name}`, (d) => (d.monitors[unit]!.switches = d.monitors[unit]!.switches.filter((id) => id !== load)));
