import { inverterOf, plant, withPort } from '../plant/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { FUNCTIONS, type Design, type Existing, type GearFunction } from '../design/index.js';
import { bankOf } from './bank.js';
import { dcdcsOf, mainsChargersOf } from './chargers.js';
import { distributionOf } from './distribution.js';

/** A function of removed gear with what takes it over: a new part, kept gear, or a signed omission. */
export interface LostFunction {
  readonly existing: string;
  readonly gear: string;
  readonly does: GearFunction;
  readonly successor: string | null;
  readonly omittedBy: string | null;
  /** What a bigger successor asks of the old feed, in words; null where nothing is known or nothing grows. */
  readonly grows: string | null;
}

type Finder = (design: Design, catalogue: Catalogue) => string | null;
const name = (part: { readonly name: string } | null): string | null => part?.name ?? null;

/** Which new part has a function. */
const SUCCESSOR: Readonly<Record<GearFunction, Finder>> = {
  // The plan brings none: it is kept, or its going is signed for.
  'starts the engine': () => null,
  'stores charge': (d, c) => name(plant(d, c).banks[0]?.batteries[0]?.part ?? null),
  'charges from the vehicle': (d, c) => name(dcdcsOf(d, c)[0]?.part ?? plant(d, c).links[0]?.part ?? null),
  'charges from the sun': (d, c) => name(withPort(plant(d, c), 'sunIn')[0]?.part ?? null),
  'charges from mains': (d, c) => name(mainsChargersOf(d, c)[0] ?? null),
  'isolates the starting battery': (d, c) => SUCCESSOR['charges from the vehicle'](d, c),
  fuses: (d, c) => name(distributionOf(d, c).block),
  'low-voltage cut-off': (d, c) => name(distributionOf(d, c).disconnect),
  measures: (d, c) => distributionOf(d, c).hub?.name ?? name(plant(d, c).monitors.find((m) => m.part?.kind === 'shunt')?.part ?? null),
  'makes 230 V': (d, c) => name(inverterOf(d, c)?.part ?? null),
};

const keptWith = (design: Design, does: GearFunction): Existing | undefined => Object.values(design.brief.existing).find((e) => e.verdict !== 'remove' && e.does.includes(does));

/** Figures by which a swap is compared: of what comes out, and of what comes in; null where it is not known. */
function sizes(design: Design, catalogue: Catalogue, e: Existing, does: GearFunction): { readonly was: number | null; readonly is: number | null; readonly unit: 'A' | 'Ah' } {
  const part = catalogue.parts.find((p) => p.id === e.part);
  if (does === 'stores charge') return { was: e.own.capacityAh ?? (part?.kind === 'battery' ? part.capacityAh : null), is: bankOf(design, catalogue)?.capacityAh ?? null, unit: 'Ah' };
  const was = e.own.outputA ?? (part?.kind === 'dcdc' || part?.kind === 'mains-charger' ? part.outputA : null);
  if (does === 'charges from the vehicle') return { was, is: dcdcsOf(design, catalogue).reduce((s, d) => s + d.port.outputA * d.share, 0) || null, unit: 'A' };
  return { was, is: does === 'charges from mains' ? (mainsChargersOf(design, catalogue)[0]?.outputA ?? null) : null, unit: 'A' };
}

/** More amps or Ah through what the old gear was wired with. */
function growth(design: Design, catalogue: Catalogue, e: Existing, does: GearFunction): string | null {
  const { was, is, unit } = sizes(design, catalogue, e, does);
  if (was === null || is === null || is <= was) return null;
  return unit === 'A'
    ? `${was} A becomes ${is} A: the old feed, fuse and lugs cannot stay unless they are sized for it`
    : `${was} Ah becomes ${is} Ah: a short is stronger, so the old main fuse and its breaking capacity cannot stay unjudged`;
}

/** Every function of the gear that comes out, in the order of the list. */
export function lostFunctions(design: Design, catalogue: Catalogue): readonly LostFunction[] {
  return Object.entries(design.brief.existing)
    .filter(([, e]) => e.verdict === 'remove')
    .sort(([, a], [, b]) => a.order - b.order)
    .flatMap(([id, e]) =>
      FUNCTIONS.filter((f) => e.does.includes(f)).map((does): LostFunction => ({
        existing: id,
        gear: e.name || 'unnamed gear',
        does,
        successor: keptWith(design, does)?.name ?? SUCCESSOR[does](design, catalogue),
        omittedBy: e.omitted[does] ?? null,
        grows: growth(design, catalogue, e, does),
      })),
    );
}
