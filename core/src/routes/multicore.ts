import { copperKgPerM, outsideDiameterMm } from '../cable/index.js';
import { bundleMm } from './holes.js';
import type { Fitted, SizedRun } from './sized.js';
import type { RunSpec } from './spec.js';

/** Cores that sheathed cable is stocked with. */
export const STOCK_CORES = [2, 3, 4, 5, 7, 12] as const;
/** Thickest core of stocked sheathed cable, mm². */
export const MOST_CORE_MM2 = 6;
/** Sheath round the cores, mm on each side. */
const SHEATH_MM = 1;

/** What may lie in one: a run of loads or panels by its own cable, no thicker than its cores come. @example canLieInMulticore({ existing: false, equalTo: null, apart: false, minAreaMm2: 1.5, group: 'loads' }) // true */
export const canLieInMulticore = ({ existing, equalTo, apart, minAreaMm2, group }: Pick<RunSpec, 'existing' | 'equalTo' | 'apart' | 'minAreaMm2' | 'group'>): boolean =>
  !existing && equalTo === null && !apart && minAreaMm2 <= MOST_CORE_MM2 && (group === 'loads' || group === 'sun');

/** A core by its number, from 1, and what it is for. */
export interface Core {
  readonly core: number;
  /** Its colour as it was typed; empty: known by its number. */
  readonly colour: string;
  readonly lead: 'feed' | 'return' | 'common return' | 'spare';
  /** Number and name of its run; null: it serves several, or none. */
  readonly run: { readonly number: number; readonly name: string } | null;
}

/** One cable of several cores, as it is bought and laid. */
export interface Multicore {
  readonly id: string;
  readonly name: string;
  readonly runs: readonly Fitted[];
  /** Of each core. */
  readonly size: string;
  readonly areaMm2: number;
  /** As long as the longest of its runs. */
  readonly lengthM: number;
  /** Cores in use, and of the cable that is bought; `stocked` is false where none has so many. */
  readonly used: number;
  readonly bought: number;
  readonly stocked: boolean;
  readonly plan: readonly Core[];
  readonly outsideMm: number;
  readonly kgPerM: number;
}

type Use = Omit<Core, 'core' | 'colour'>;

function coresIn(runs: readonly Fitted[]): Use[] {
  const own = runs.flatMap(({ spec, figures }): Use[] => {
    const run = { number: spec.number, name: spec.name };
    const feeds = Array.from({ length: figures.perPole }, () => ({ lead: 'feed' as const, run }));
    return spec.back === 'chassis' || spec.multicore!.common ? feeds : [...feeds, ...feeds.map(() => ({ lead: 'return' as const, run }))];
  });
  const common = runs.flatMap((r) => r.spec.multicore!.common ?? [])[0]?.cores ?? 0;
  return [...own, ...Array.from({ length: common }, () => ({ lead: 'common return' as const, run: null }))];
}

const isBlack = (colour: string): boolean => colour.trim().toLowerCase() === 'black';

/** Numbers of the cores in the order in which they are given out: for a feed those that are not black first, since black goes back to the battery. */
function laidOut(uses: readonly Use[], colours: readonly string[]): Core[] {
  const cores = uses.map((_, i) => ({ core: i + 1, colour: colours[i] ?? '' }));
  const black = cores.filter((c) => isBlack(c.colour));
  const backs = uses.filter((u) => u.lead === 'return' || u.lead === 'common return').length;
  const kept = new Set(black.slice(0, backs));
  const [forBack, forRest] = [[...kept], cores.filter((c) => !kept.has(c))];
  const given = uses.map((u) => ({ ...(((u.lead === 'return' || u.lead === 'common return') && forBack.shift()) || forRest.shift()!), ...u }));
  return given.sort((a, b) => a.core - b.core);
}

function multicoreOf(runs: readonly Fitted[]): Multicore {
  const { id, name, cores: typed, colours } = runs[0]!.spec.multicore!;
  const [{ figures }] = [runs[0]!];
  const inUse = coresIn(runs);
  const stock = STOCK_CORES.find((n) => n >= inUse.length);
  const bought = typed ?? stock ?? inUse.length;
  const spare = Array.from({ length: Math.max(0, bought - inUse.length) }, () => ({ lead: 'spare' as const, run: null }));
  const coreMm = outsideDiameterMm(figures.areaMm2);
  return {
    id,
    name,
    runs,
    size: figures.size,
    areaMm2: figures.areaMm2,
    lengthM: Math.max(...runs.map((r) => Math.max(r.spec.outM, r.spec.back === 'cable' ? r.spec.backM : 0))),
    used: inUse.length,
    bought,
    stocked: bought >= inUse.length && bought <= STOCK_CORES[STOCK_CORES.length - 1]!,
    plan: laidOut([...inUse, ...spare], colours),
    outsideMm: bundleMm(Array<number>(bought).fill(coreMm)) + 2 * SHEATH_MM,
    kgPerM: copperKgPerM(figures.areaMm2) * bought * 1.25,
  };
}

/**
 * Every multi-core of the runs that have a size, with the plan of its cores: feeds and returns run by run, what is common, what is
 * spare and capped at both ends.
 * @example multicoresOf(assess(design, catalogue).runs)[0]?.plan.length // 7
 */
export function multicoresOf(runs: readonly SizedRun[]): readonly Multicore[] {
  const by = new Map<string, Fitted[]>();
  for (const r of runs) if (r.ok && r.spec.multicore) by.set(r.spec.multicore.id, [...(by.get(r.spec.multicore.id) ?? []), r]);
  return [...by.values()].map(multicoreOf);
}

/** Runs that would go well in one cable. */
export interface MulticoreOffer {
  readonly zone: string;
  readonly runs: readonly Fitted[];
  /** In common where that saves a size of cable, not just spare cores. */
  readonly back: 'own' | 'common';
}

/** From so many on one cable is less work than several. */
const WORTH = 3;
/** Thin enough to go together without making the others thick, mm². */
const THIN_MM2 = 2.5;

/** Thin feeds of loads that start at one place and end in one space behind a wall or further, and lie in no multi-core yet; the most runs first. */
export function multicoreOffers(runs: readonly SizedRun[]): readonly MulticoreOffer[] {
  const able = runs.filter(
    (r): r is Fitted => r.ok && r.spec.role === 'load feed' && !r.spec.multicore && canLieInMulticore(r.spec) && r.figures.areaMm2 <= THIN_MM2 && (r.spec.route?.ways.length ?? 0) > 0,
  );
  const by = new Map<string, Fitted[]>();
  for (const r of able) {
    const key = `${r.spec.from.gear}|${r.spec.stands.to.zone}`;
    by.set(key, [...(by.get(key) ?? []), r]);
  }
  const most = STOCK_CORES[STOCK_CORES.length - 1]!;
  return [...by.values()]
    .filter((all) => all.length >= WORTH)
    .map((all): MulticoreOffer => {
      const together = all.slice(0, most / 2);
      const cores = 2 * together.length;
      return { zone: all[0]!.spec.stands.to.zone, runs: together, back: STOCK_CORES.find((n) => n >= cores)! - cores > 1 ? 'common' : 'own' };
    })
    .sort((a, b) => b.runs.length - a.runs.length);
}
