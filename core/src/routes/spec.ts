import type { Laid } from '../cable/index.js';
import type { Ref, RunEdit } from '../design/index.js';
import type { FuseType, WeakKind, WeakPart } from '../protection/index.js';
import type { Route, Stand } from './route.js';

export type RunGroup = 'charging' | 'house' | 'loads' | 'sun';

/** An end of a run from which current can come, and why. */
export interface FuseEnd {
  readonly at: 'from' | 'to';
  readonly source: 'starting battery' | 'house battery' | 'charger' | 'panels' | 'mains charger' | 'lead';
}

/** Terminals of a converter or link: where it is fed, where it gives, and its panels' side. */
export type Terminal = 'in' | 'out' | 'sun';

/** Where a run starts or ends: a piece of gear and the pair of terminals there. */
export interface RunEnd {
  readonly ref: Ref;
  /** Of a thing with several pairs the one it is; null: it has one. */
  readonly terminal: Terminal | null;
  /** String of a bank of several, from 1; null: the whole of it. */
  readonly string: number | null;
  readonly gear: string;
  readonly name: string;
  readonly plus: string;
  readonly minus: string;
}

/** What a run is there for. */
export type RunRole =
  | 'bank lead'
  | 'charger feed'
  | 'charger output'
  | 'maintainer feed'
  | 'maintainer output'
  | 'link feed'
  | 'link'
  | 'inverter feed'
  | 'block feed'
  | 'load feed'
  | 'group feed'
  | 'traced wire'
  | 'panel lead'
  | 'portable lead';

/** A run's place in a cable with several cores. */
export interface InMulticore {
  readonly id: string;
  readonly name: string;
  /** Cores that are bought, as typed; null: the least that is stocked. */
  readonly cores: number | null;
  /** Colours of its cores in order; fewer: the rest go by number. */
  readonly colours: readonly string[];
  /** The return that it has in common with others; null: a core of its own, or the body. */
  readonly common: CommonReturn | null;
}

/** Cores side by side that carry what several runs bring back. */
export interface CommonReturn {
  readonly cores: number;
  /** Usual amps in one of its cores for each amp of the run's own: the metres back count so many times for its drop. */
  readonly share: number;
}

/** The two currents of a run: the largest steady one, for fuse and heat, and the one of a usual day, for drop. */
export type RunAmps = Pick<RunSpec, 'lastingA' | 'lastingWhy' | 'usualA' | 'usualWhy'>;

/** A run before it is sized: what it joins, what it carries, and the ways it may be protected. */
export interface RunSpec {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly group: RunGroup;
  readonly role: RunRole;
  /** The thing that it is there for: the bank that it leads from, the converter, load, group or wire that it serves. */
  readonly serves: Ref;
  readonly from: RunEnd;
  readonly to: RunEnd;
  /** What hangs on its end: a current, or a constant power. */
  readonly demand: { readonly currentA: number } | { readonly powerW: number };
  /** Largest steady current, for fuse and heat, A, and how it came about. */
  readonly lastingA: number;
  readonly lastingWhy: string;
  /** The same with everything whole, for the volts that arrive at worst, A: of parallel batteries its share of all. */
  readonly wholeA: number;
  /** Current of a usual day, for drop, A, and how it came about. */
  readonly usualA: number;
  readonly usualWhy: string;
  /** Current of the hardest start behind it, which its fuse must outlast, A; 0: none. */
  readonly startA: number;
  /** A passing current that its fuse must outlast, A; 0: none above the lasting one. */
  readonly passingA: number;
  /** Volts below which what hangs on its end stops, V; null: not stated. */
  readonly leastEndV: number | null;
  /** Lowest volts at the start of the run's path, V. */
  readonly sourceV: number;
  readonly nominalV: number;
  /** Volts that its drop's per cent is of. */
  readonly refV: number;
  /** Run nearer to the source, whose drop counts towards this run's limit. */
  readonly parent: string | null;
  /** Limit of the whole path from the source, cable alone, per cent, and what set it; null: only what hangs behind it is limited. */
  readonly pathLimitPercent: number | null;
  readonly limitWhy: string;
  /** Parts that its current also passes, such as a main switch; ohm as its own current meets it. */
  readonly inline: readonly { readonly what: string; readonly ohm: number; readonly kind: WeakKind }[];
  /** Kinds of fuse that suit the place, the plainest first. */
  readonly fuseKinds: readonly FuseType[];
  /** How its breaker closes again; null: a fuse. */
  readonly reset: 'manual' | 'self' | null;
  /** Hottest air that one of its fuses stands in, not below the 25 °C of their ratings. */
  readonly fuseAirC: number;
  /** Highest volts that its fuses may have to break, V. */
  readonly highestV: number;
  readonly ends: readonly FuseEnd[];
  /** Run whose fuse protects this one, which has none of its own; null: it has its own. */
  readonly protectedBy: string | null;
  /** It was there before: tapped as it is, neither bought nor pulled. */
  readonly existing: boolean;
  readonly limitingParts: readonly WeakPart[];
  /** Smallest size by custom, mm², and largest that its terminals take, with what they are; null: any. */
  readonly minAreaMm2: number;
  readonly maxAreaMm2: number | null;
  readonly maxWhy: string;
  /** Smallest fuse by custom, A. */
  readonly leastFuseA: number;
  /** Run that it has size and fuse in common with: strings of one bank; null: none. */
  readonly equalTo: string | null;
  readonly outM: number;
  readonly backM: number;
  /** The multi-core that it lies in; null: it has cables of its own. */
  readonly multicore: InMulticore | null;
  /** Typed after laying a string, or along the vehicle's own ways. */
  readonly lengthFrom: 'typed' | 'routed';
  readonly ambientC: number;
  readonly ambientWhy: string;
  readonly grouped: number;
  /** One of several leads that share a current: laid with a cable’s width to the next, where no tube holds them together. */
  readonly apart: boolean;
  readonly laid: Laid;
  /** Poles of plugs in feed and return together, ohm. */
  readonly plugOhm: number;
  /** Rating of the plug where vehicle and trailer part; null: it passes no coupling. */
  readonly plugA: number | null;
  /** Its way through the vehicle; null with the reason: none leads there. */
  readonly route: Route | null;
  readonly noWay: 'no way' | 'zone unreached' | 'kept from it' | null;
  readonly stands: { readonly from: Stand; readonly to: Stand };
  /** By its own cable, or through the body with the ohms of that. */
  readonly back: 'cable' | 'chassis';
  readonly chassisOhm: number;
  /** Pulled, insulated, labelled and fused now for gear that comes later. */
  readonly provision: boolean;
  readonly edit: RunEdit;
  /** Why this run is there. */
  readonly reason: string;
}

/** Metres of conductor that a run's usual current loses its volts in: out, and back with what others bring along. @example dropM({ outM: 4, backM: 4, multicore: null }) // 8 */
export const dropM = ({ outM, backM, multicore }: Pick<RunSpec, 'outM' | 'backM' | 'multicore'>): number => outM + backM * (multicore?.common?.share ?? 1);
