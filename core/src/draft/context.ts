import { CHASSIS_OHM, plugPoleOhm, type Laid } from '../cable/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { InlinePart } from '../circuit/index.js';
import { gearKey, refTo, type Collection, type Design, type Ref, type Vehicle } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { ridesMm, type Gear } from '../places/index.js';
import { FIRST_BANK, type Plant } from '../plant/index.js';
import { carriesA, RATED_AIR_C } from '../protection/index.js';
import {
  bankPosts,
  cutLengthM,
  groupedOf,
  PLUG_WIRE_MM2,
  routeBetween,
  terminals,
  type Terminal as TerminalOf,
  type Route,
  type RunEnd,
  type RunSpec,
  type Stand,
  type RunAmps,
} from '../routes/index.js';
import { driveVolts, type Bank, type SolarArray } from '../supply/index.js';
import { squareMm } from '../vehicle/index.js';
import type { Limit, Terminal } from './limits.js';

/** What the drafting of runs looks at. */
export interface DraftContext {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly plant: Plant;
  readonly vehicle: Vehicle;
  readonly gear: ReadonlyMap<string, Gear>;
  readonly bank: Bank | null;
  readonly arrays: readonly SolarArray[];
  readonly day: DayFigures;
  readonly parkedDay: DayFigures;
  readonly inline: readonly InlinePart[];
}

type Given = Pick<RunSpec, 'id' | 'name' | 'group' | 'role' | 'serves' | 'from' | 'to' | keyof RunAmps | 'sourceV' | 'nominalV' | 'fuseKinds' | 'ends' | 'reason'> & {
  readonly limit: Limit;
  /** What hangs on its end, where that is not its lasting current. */
  readonly demand?: RunSpec['demand'];
  readonly passingA?: number;
  readonly startA?: number;
  readonly wholeA?: number;
  readonly leastEndV?: number;
  readonly refV?: number;
  readonly parent?: string;
  readonly limitingParts?: RunSpec['limitingParts'];
  /** Largest fuse that the maker of what it feeds states, A: it wins over what lasts. */
  readonly makerFuseA?: number | null;
  readonly minAreaMm2: number;
  readonly terminal?: Terminal;
  readonly leastFuseA?: number;
  readonly equalTo?: string;
  readonly apart?: boolean;
  readonly inline?: RunSpec['inline'];
  readonly highestV?: number;
  readonly protectedBy?: string;
};

/** A chassis return that goes through a trailer's coupling: ball and safety chains are no conductors. */
const COUPLING_RETURN_OHM = 20e-3;
/** Coil left at each end of a provision, m. */
const PROVISION_COIL_M = 0.5;

/** A pair of terminals of a piece of gear; the poles of one have their return in common. */
export function endOf(gear: Gear, terminal: TerminalOf | null = null): RunEnd {
  return { ref: gear.ref, terminal, string: null, gear: gear.id, name: gear.name, ...terminals(gear.id, terminal) };
}

/** The posts of a bank, or of one string of several. */
export function bankEnd(gear: Gear, string: number | null): RunEnd {
  return { ref: gear.ref, terminal: null, string, gear: gear.id, name: gear.name, ...bankPosts(gear.id, string) };
}

/** The lead of the house battery that paths are counted from: of several the first. */
export const mainId = (c: DraftContext): string => leadId(FIRST_BANK, c.bank!.strings > 1 ? 1 : null);

/** Key of a bank’s lead, or of that of one string of several. */
export const leadId = (bank: Ref, string: number | null): string => `${bank.id}${string ?? ''}-bus`;

/** The piece of gear that a thing is. */
export const gearOf = (c: DraftContext, collection: Collection, id: string): Gear | undefined => c.gear.get(gearKey(refTo(collection, id)));

export const standOf = (gear: Gear): Stand => ({ zone: gear.zone, at: gear.terminal });

/** Copper as warm as a loaded run, ohm·mm²/m. */
const WARM_COPPER = 0.0225;
/** Drop that a run without a limit of its own is sized for by a first estimate, per cent. */
const ALONE_PERCENT = 3;

/** Copper that the drop limit will ask for, by a first estimate, mm². */
function roughAreaMm2(given: Given, outM: number): number {
  return (2 * outM * given.usualA * WARM_COPPER) / (((given.limit.percent ?? ALONE_PERCENT) / 100) * given.nominalV);
}

/** Rating of the plug at a coupling: the smaller kind when it carries the fuse and its contacts take the cable. */
function couplingA(given: Given, route: Route | null, outM: number): number | null {
  if (!route?.ways.some((w) => w.coupling)) return null;
  return given.lastingA / 0.8 <= 50 && roughAreaMm2(given, outM) <= PLUG_WIRE_MM2['50 A'][1] ? 50 : 175;
}

interface Surroundings {
  readonly ambientC: number;
  readonly ambientWhy: string;
  readonly laid: Laid;
}

/** Hottest air on the way, and whether any of it is in conduit. */
function surroundings(c: DraftContext, from: Gear, to: Gear, route: Route | null): Surroundings {
  const zones = [{ name: from.zoneName, ambientC: from.ambientC }, { name: to.zoneName, ambientC: to.ambientC }, ...(route?.ways ?? []).map((w) => ({ name: w.along, ambientC: w.ambientC }))];
  const hottest = zones.reduce((hot, z) => (z.ambientC > hot.ambientC ? z : hot));
  return { ambientC: hottest.ambientC, ambientWhy: `hottest on its way: ${hottest.name}`, laid: route?.ways.some((w) => w.conduit) ? 'conduit' : 'air' };
}

/** Cable of a chassis return at both ends, to the earth stud that is nearest, m. */
function earthLeadsM(c: DraftContext, from: Stand, to: Stand): number {
  const studs = c.vehicle.points.filter((p) => p.kind === 'earth stud').flatMap((p) => c.vehicle.waypoints.find((w) => w.id === p.waypoint) ?? []);
  const lead = (s: Stand): number => Math.min(1500, ...studs.map((w) => squareMm(s.at, w.at)));
  return Math.ceil((lead(from) + lead(to)) / 100) / 10 + 0.4;
}

interface Return {
  readonly back: RunSpec['back'];
  readonly backM: number;
  readonly chassisOhm: number;
}

function returnOf(c: DraftContext, given: Given, outM: number, stands: RunSpec['stands'], coupled: boolean): Return {
  const edit = c.design.runs[given.id] ?? {};
  if (edit.back !== 'chassis') return { back: 'cable', backM: edit.backM ?? outM, chassisOhm: 0 };
  return { back: 'chassis', backM: edit.backM ?? earthLeadsM(c, stands.from, stands.to), chassisOhm: CHASSIS_OHM + (coupled ? COUPLING_RETURN_OHM : 0) };
}

/** Kinds that bolt on beside a battery or bus bar, the plainest first; a higher short calls up the next. */
export const BOLTED = ['small-bolt-in', 'terminal-post', 'cartridge', 'large-bolt-in', 'class-t'] as const;

/** At a battery’s post behind what is thin: a blade in its holder, where it cannot break a short there a small cartridge. */
export const SMALL = ['blade', 'cartridge', ...BOLTED.filter((k) => k !== 'cartridge')] as const;

type Protection = Pick<RunSpec, 'fuseKinds' | 'reset' | 'fuseAirC' | 'highestV'>;

/** What protects a run: the kinds that suit the place, or what a person said. */
function protectionOf(c: DraftContext, given: Given, from: Gear, to: Gear): Protection {
  const { protect } = c.design.runs[given.id] ?? {};
  const breaker = protect ? protect !== 'fuse' : given.fuseKinds[0] === 'breaker';
  const fuses = given.fuseKinds.filter((k) => k !== 'breaker');
  const air = given.ends.map((e) => (e.at === 'from' ? from : to).ambientC);
  return {
    fuseKinds: breaker ? ['breaker'] : fuses.length ? fuses : ['blade', ...BOLTED],
    reset: !breaker ? null : protect === 'breaker, self-resetting' ? 'self' : 'manual',
    fuseAirC: Math.max(RATED_AIR_C, ...air),
    // A charging battery stands a fifth above its nominal volts; a variable alternator on overrun above that.
    highestV: given.highestV ?? Math.max(c.bank?.absorptionV ?? 0, given.nominalV * 1.2, from.role === 'starting' || c.plant.links.length > 0 ? driveVolts(c.design).overrunV : 0),
  };
}

/** Fills in what every run has: its way, length, surroundings, and what a person has typed. */
export function makeRun(c: DraftContext, number: number, given: Given): RunSpec {
  const edit = c.design.runs[given.id] ?? {};
  const [from, to] = [c.gear.get(given.from.gear)!, c.gear.get(given.to.gear)!];
  const stands = { from: standOf(from), to: standOf(to) };
  const routed = routeBetween(c.vehicle, stands.from, stands.to, { via: edit.via ?? [], avoid: edit.avoid ?? [] });
  const route = routed.ok ? routed.route : null;
  const provision = from.when === 'provision' || to.when === 'provision';
  const straight = { alongMm: 0, dropsMm: squareMm(stands.from.at, stands.to.at), loopsMm: 0 };
  const followed = route ?? straight;
  // What rides on a slide or in a drawer pulls its loom along for all of the travel.
  const loopsMm = followed.loopsMm + ridesMm(c.vehicle, from) + ridesMm(c.vehicle, to);
  const outM = edit.outM ?? cutLengthM({ alongMm: followed.alongMm, dropsMm: followed.dropsMm, loopsMm }) + (provision ? PROVISION_COIL_M : 0);
  const plugA = couplingA(given, route, outM);
  const around = surroundings(c, from, to, route);
  const plugWire = plugA ? PLUG_WIRE_MM2[plugA > 50 ? '175 A' : '50 A'] : null;
  const plug = plugA ? [{ what: `${plugA} A plug`, ratingA: plugA, kind: 'plug' as const }] : [];
  const back = returnOf(c, given, outM, stands, plugA !== null);
  const by = protectionOf(c, given, from, to);
  const maker = given.makerFuseA ? carriesA(by.fuseKinds[0]!, given.makerFuseA, by.fuseAirC) : null;
  // Field by field: runs are made at every move of a drag, and spread objects cost more than all that is reckoned here.
  return {
    id: given.id,
    number,
    name: given.name,
    group: given.group,
    role: given.role,
    serves: given.serves,
    from: given.from,
    to: given.to,
    demand: given.demand ?? { currentA: given.lastingA },
    lastingA: maker === null ? given.lastingA : Math.min(given.lastingA, maker),
    lastingWhy: maker !== null && maker < given.lastingA ? `${given.lastingWhy}; its maker’s largest fuse of ${given.makerFuseA} A wins` : given.lastingWhy,
    wholeA: given.wholeA ?? given.lastingA,
    usualA: given.usualA,
    usualWhy: given.usualWhy,
    passingA: maker === null ? (given.passingA ?? 0) : 0,
    startA: given.startA ?? 0,
    leastEndV: given.leastEndV ?? null,
    sourceV: given.sourceV,
    nominalV: given.nominalV,
    refV: given.refV ?? given.nominalV,
    parent: given.parent ?? null,
    pathLimitPercent: given.limit.percent,
    limitWhy: given.limit.why,
    inline: given.inline ?? [],
    fuseKinds: by.fuseKinds,
    reset: by.reset,
    fuseAirC: by.fuseAirC,
    highestV: by.highestV,
    ends: given.ends,
    protectedBy: given.protectedBy ?? null,
    existing: false,
    limitingParts: plug.length ? [...(given.limitingParts ?? []), ...plug] : (given.limitingParts ?? []),
    minAreaMm2: plugWire ? Math.max(plugWire[0], given.minAreaMm2) : given.minAreaMm2,
    maxAreaMm2: plugWire ? Math.min(plugWire[1], given.terminal?.maxAreaMm2 ?? Infinity) : (given.terminal?.maxAreaMm2 ?? null),
    maxWhy: plugWire && plugWire[1] < (given.terminal?.maxAreaMm2 ?? Infinity) ? `the contacts of its ${plugA} A plug take ${plugWire[1]} mm²` : (given.terminal?.maxWhy ?? ''),
    leastFuseA: given.leastFuseA ?? 0,
    equalTo: given.equalTo ?? null,
    outM,
    backM: back.backM,
    multicore: null,
    lengthFrom: edit.outM === undefined ? 'routed' : 'typed',
    ambientC: edit.ambientC ?? around.ambientC,
    ambientWhy: edit.ambientC === undefined ? around.ambientWhy : 'typed',
    grouped: edit.grouped ?? 1,
    apart: given.apart ?? false,
    laid: edit.laid ?? around.laid,
    plugOhm: plugA ? 2 * plugPoleOhm(plugA) : 0,
    plugA,
    route,
    noWay: routed.ok ? null : routed.why,
    stands,
    back: back.back,
    chassisOhm: back.chassisOhm,
    provision,
    edit,
    reason: given.reason,
  };
}

/** Runs with the circuits that they are bunched with, unless a person typed how many. */
export function withBundles(specs: readonly RunSpec[]): RunSpec[] {
  const grouped = groupedOf(specs);
  return specs.map((s) => (s.edit.grouped === undefined && grouped.get(s.id)! > 1 ? { ...s, grouped: grouped.get(s.id)! } : s));
}

/** Leads of one bank: as long as the longest of them, unless their own lengths were typed. */
export function equalLeads(leads: readonly RunSpec[]): RunSpec[] {
  const longestM = Math.max(...leads.map((l) => l.outM));
  return leads.map((l) => {
    const outM = l.lengthFrom === 'typed' ? l.outM : longestM;
    return { ...l, outM, backM: l.back === 'cable' ? (l.edit.backM ?? outM) : l.backM };
  });
}
