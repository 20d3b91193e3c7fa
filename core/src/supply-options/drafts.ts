import { inverterOf } from '../plant/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { type Design, type Trip, supplyOf } from '../design/index.js';
import { jobOfDesign, loadsOn, simulateDesign } from '../trip-analysis/index.js';
import { allWanted, ALTERNATOR, alternatorBudget, alternatorOf, arraysOf, bankOf, dcdcsOf, devicesOf, mainsChargersOf, supplyFigures, vehicleChargeA, type SupplyFigures } from '../supply/index.js';
import { unboxBank } from '../places/index.js';
import { climateOf, weatherChain } from '../travel/index.js';
import { simulateJob } from '../trip/index.js';
import type { Finding } from '../rules/index.js';
import { finish } from './finish.js';
import { withFixedParts } from './fixed-parts.js';
import { MOST_FOLDING, supplyOptions, withOption } from './options.js';
import { whys } from './whys.js';

export const TIERS = ['lean', 'sound', 'roomy'] as const;
export type Tier = (typeof TIERS)[number];

/** What a draft must stand, by tier: the weather, the loads' growth, and days with nothing coming in. */
const ASKS: Readonly<Record<Tier, { readonly weather: 'mean' | 'dull'; readonly growth: number; readonly daysAlone: number }>> = {
  lean: { weather: 'mean', growth: 1, daysAlone: 0.8 },
  sound: { weather: 'dull', growth: 1, daysAlone: 1.2 },
  roomy: { weather: 'dull', growth: 1.25, daysAlone: 1.5 },
};

/** What a draft of a tier stands, in words. */
function saysOf(tier: Tier, { days, parkedDays }: Trip): string {
  const trip = `the ${days} days asked for${parkedDays ? `, ${parkedDays} of them parked` : ''}`;
  switch (tier) {
    case 'lean':
      return `${trip}, in the month’s mean weather, down to the reserve and no further`;
    case 'sound':
      return `${trip}, with every day as dull as the duller ones of the month`;
    case 'roomy':
      return `the same dull days with a quarter more load`;
  }
}
const STEP_S = 900;
/** A roomier draft costs at least so much more: else it would be nearly the same one again. */
const STEP_UP = 1.05;

/** Limits that a draft uses up, the nearest first: what would give out if more were asked. */
export interface GivesOut {
  readonly what: string;
  /** Share of the limit in use, 0–1 and above. */
  readonly used: number;
}

/** A drafted supply. */
export interface SupplyDraft {
  readonly tier: Tier;
  readonly design: Design;
  readonly says: string;
  readonly parts: readonly string[];
  readonly price: number;
  readonly kg: number;
  readonly daysAlone: number;
  /** Lowest charge of the trip in mean weather and in dull weather. */
  readonly lowMean: number;
  readonly lowDull: number;
  readonly givesOut: readonly GivesOut[];
  /** It stands what its tier asks, and keeps to the brief's money and weight. */
  readonly stands: boolean;
  readonly overBudget: boolean;
  readonly overWeight: boolean;
  readonly why: readonly string[];
}

const priced = (design: Design, catalogue: Catalogue): { readonly parts: readonly string[]; readonly price: number; readonly kg: number } => {
  const list = devicesOf(design, catalogue);
  return {
    parts: list.map((d) => (d.quantity > 1 ? `${d.quantity} × ${d.part.name}` : d.part.name)),
    price: list.reduce((s, d) => s + d.quantity * d.part.price, 0),
    kg: list.reduce((s, d) => s + d.quantity * d.part.kg, 0),
  };
};

/** Least that a trip on which a load goes off is short by: with the hours that it is off, below any charge. */
const OFF = 1e-3;

/** Lowest charge of the trip with every day at this clearness and the loads grown by this much; below 0: a load goes off, the more so the longer. */
function lowest(design: Design, catalogue: Catalogue, clearness: number, growth: number): number {
  const job = jobOfDesign(design, catalogue, { stepS: STEP_S });
  if (!job) return -Infinity;
  const kinds = growth === 1 ? job.kinds : job.kinds.map((k) => ({ ...k, loads: k.loads.map((l) => ({ ...l, value: l.value * growth })) }));
  const r = simulateJob({ ...job, kinds, clearness: job.clearness.map(() => clearness) });
  return r.disconnectOperations > 0 ? -OFF - r.criticalOffH : r.minSoc;
}

const dullClearness = (design: Design): number => {
  const { clearness } = climateOf(design.brief.trip);
  return (clearness + weatherChain(clearness).cloudy) / 2;
};

function figuresOf(design: Design, catalogue: Catalogue): SupplyFigures {
  const trip = design.brief.trip;
  return supplyFigures(design, catalogue, loadsOn(design, catalogue, trip.drivingH, 0), loadsOn(design, catalogue, 0, 0), bankOf(design, catalogue), arraysOf(design, catalogue));
}

/** Electrical limits that no trip shows: they must hold in every tier. */
function holds(design: Design, catalogue: Catalogue): boolean {
  const bank = bankOf(design, catalogue)!;
  const inverter = inverterOf(design, catalogue)?.ports.mainsOut ?? null;
  const vehicle = vehicleChargeA(design, catalogue, bank);
  const alternator = alternatorOf(design);
  const left = alternatorBudget(alternator.ratedA, allWanted(vehicle.wanted, design), alternator.vehicleA ?? undefined);
  const mainsA = mainsChargersOf(design, catalogue).reduce((s, m) => s + m.outputA, 0);
  const inverterA = inverter ? inverter.ratedW / (0.9 * bank.openV) : 0;
  const chargers = dcdcsOf(design, catalogue).length;
  return (
    inverterA <= bank.continuousA && (chargers === 0 || vehicle.outA <= bank.maxChargeA) && mainsA <= bank.maxChargeA && (vehicle.wanted.roadA === 0 || design.brief.trip.drivingH === 0 || !left.over)
  );
}

function givesOut(design: Design, f: SupplyFigures, lowMean: number, lowDull: number): readonly GivesOut[] {
  const { bank } = f;
  if (!bank) return [];
  const fall = (low: number): number => (1 - Math.max(0, low)) / bank.usableShare;
  const list: GivesOut[] = [
    { what: 'the bank in dull weather', used: fall(lowDull) },
    { what: 'the bank in mean weather', used: fall(lowMean) },
    ...(f.alternator.wanted.roadA > 0 && design.brief.trip.drivingH > 0 ? [{ what: 'the alternator on the road', used: f.alternator.share / ALTERNATOR.wantAtMost }] : []),
    ...(f.inverter ? [{ what: 'the battery’s limit under the inverter', used: f.inverter.currentA / f.inverter.limitA }] : []),
    ...(f.charging.length ? [{ what: 'the bank’s charge limit', used: Math.max(...f.charging.map((c) => c.chargerA)) / bank.maxChargeA }] : []),
  ];
  return list.sort((a, b) => b.used - a.used);
}

function describe(tier: Tier, design: Design, catalogue: Catalogue, stands: boolean): SupplyDraft {
  const f = figuresOf(design, catalogue);
  const { parts, price, kg } = priced(design, catalogue);
  const lowMean = simulateDesign(design, catalogue, { stepS: STEP_S })?.minSoc ?? 0;
  const lowDull = Math.max(0, lowest(design, catalogue, dullClearness(design), 1));
  const { budget, payloadLeftKg } = design.brief;
  const [overBudget, overWeight] = [budget !== null && price > budget, payloadLeftKg !== null && kg > payloadLeftKg];
  return {
    tier,
    design,
    says: saysOf(tier, design.brief.trip),
    parts,
    price,
    kg,
    daysAlone: f.daysAlone,
    lowMean,
    lowDull,
    givesOut: givesOut(design, f, lowMean, lowDull),
    stands,
    overBudget,
    overWeight,
    why: whys(design, catalogue, f),
  };
}

/** A pair stands back behind one battery of twice the size, unless it costs a tenth less. */
const ONE_FOR_TWO = 0.1;

/** What several batteries are reckoned dearer than they are, where one of their size together is in the catalogue. */
function more(design: Design, catalogue: Catalogue): number {
  const supply = supplyOf(design);
  const part = catalogue.find('battery', supply.battery.part);
  const strings = supply.battery.count / (supply.houseV / 12);
  const single = part && strings > 1 && catalogue.usual('battery').some((p) => p.chemistry === part.chemistry && p.capacityAh >= part.capacityAh * strings - 1e-9);
  return single ? (ONE_FOR_TWO / (1 - ONE_FOR_TWO)) * part.price * supply.battery.count : 0;
}

/** Whole circuits tried for one draft that stands its test, and for one that falls short of it. */
const MOST_CIRCUITS = 10;
const MOST_FALLEN = 40;

/** A supply, and how far it gets in what its tier asks. */
interface Tried {
  readonly d: Design;
  readonly low: number;
}

/** A trip that is too much for what fits the vehicle is said on the draft's card; everything else would be a fault of the draft. */
const onlyTrip = (stops: readonly Finding[]): boolean => stops.every((f) => f.rule === 'trip-runs-low');

/** Banks and roofs that a whole circuit has shown to be too big for the vehicle: with another charger they are no smaller. */
class TooBig {
  private readonly known = new Set<string>();
  private readonly key = (d: Design): string => `${supplyOf(d).battery.part} ${supplyOf(d).battery.count} ${supplyOf(d).sun.count}`;

  has(d: Design): boolean {
    return this.known.has(this.key(d));
  }

  learn(d: Design, stops: readonly Finding[]): void {
    if (stops.some((f) => f.rule === 'place-does-not-fit' || f.rule === 'place-in-the-way')) this.known.add(this.key(d));
  }
}

/** Where none stands its test: of those that fit the vehicle the one that falls least short. */
function fallBack(tried: readonly Tried[], base: Design, catalogue: Catalogue, tooBig: TooBig): Design {
  const nearest = [...tried].sort((a, b) => b.low - a.low);
  let first: Design | null = null;
  let limp: Design | null = null;
  let circuits = 0;
  for (const { d } of nearest) {
    if (first && tooBig.has(d)) continue;
    if (circuits++ === MOST_FALLEN) break;
    const { design, stops } = finish(d, catalogue);
    tooBig.learn(d, stops);
    if (!stops.length) return design;
    if (onlyTrip(stops)) limp ??= design;
    first ??= design;
  }
  return limp ?? first ?? base;
}

/** A supply that could be, with what is known of it before any trip. */
interface Candidate {
  readonly d: Design;
  readonly price: number;
  readonly holds: boolean;
  readonly alone: number;
}

/** All supplies with so many folding panels, the cheapest first. */
function candidates(base: Design, catalogue: Catalogue, folding: number): readonly Candidate[] {
  return supplyOptions(base, catalogue, folding)
    .map((o) => withOption(base, catalogue, o))
    .filter((d) => bankOf(d, catalogue) !== null)
    .map((d) => ({ d, price: priced(d, catalogue).price, holds: holds(d, catalogue), alone: figuresOf(d, catalogue).daysAlone, reckoned: priced(d, catalogue).price + more(d, catalogue) }))
    .sort((a, b) => a.reckoned - b.reckoned);
}

/**
 * Three supplies for the loads and the trip: lean, sound and roomy. Each is the cheapest of all that were tried which
 * stands what its tier asks, by simulation. Folding panels are tried where the roof and the charger alone do not carry
 * it; where none does, it is the one that falls least short, and said so.
 */
export function threeDrafts(design: Design, catalogue: Catalogue): readonly SupplyDraft[] {
  const base = withFixedParts(unboxBank(design, catalogue), catalogue);
  const { clearness } = climateOf(base.brief.trip);
  const rounds: (readonly Candidate[])[] = [];
  const round = (folding: number): readonly Candidate[] => (rounds[folding] ??= candidates(base, catalogue, folding));
  const tooBig = new TooBig();
  let [dearest, alone, low] = [0, 0, 0];
  const dull = dullClearness(base);
  return TIERS.map((tier) => {
    const ask = ASKS[tier];
    const sky = ask.weather === 'mean' ? clearness : dull;
    const tried: Tried[] = [];
    for (let folding = 0; folding <= MOST_FOLDING; folding++) {
      let circuits = 0;
      for (const o of round(folding)) {
        if (!o.holds || o.price < STEP_UP * dearest) continue;
        const reached = lowest(o.d, catalogue, sky, ask.growth);
        tried.push({ d: o.d, low: reached });
        const reserve = 1 - bankOf(o.d, catalogue)!.usableShare;
        // A roomier draft is in nothing behind the one before it.
        const stands = reached >= reserve - 1e-9 && o.alone >= Math.max(ask.daysAlone, alone) && lowest(o.d, catalogue, dull, 1) >= low;
        if (stands && !tooBig.has(o.d) && circuits++ < MOST_CIRCUITS) {
          const { design: whole, stops } = finish(o.d, catalogue);
          tooBig.learn(o.d, stops);
          if (!stops.length) {
            const draft = describe(tier, whole, catalogue, true);
            [dearest, alone, low] = [o.price, o.alone, draft.lowDull];
            return draft;
          }
        }
      }
    }
    // One that is no dearer than the draft before it may still fall least short.
    const cheaper = rounds
      .flat()
      .filter((o) => o.holds && o.price < STEP_UP * dearest)
      .map((o): Tried => ({ d: o.d, low: lowest(o.d, catalogue, sky, ask.growth) }));
    return describe(tier, fallBack([...cheaper, ...tried], base, catalogue, tooBig), catalogue, false);
  });
}
