import { plugPoleOhm } from '../cable/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import type { Gear } from '../places/index.js';
import type { RunEnd, RunSpec } from '../routes/index.js';
import type { Bank, SolarArray } from '../supply/index.js';
import { pathLengthM, runPath, VEHICLE_TEMPLATES, ZONE_C } from '../vehicle/index.js';
import type { Limit } from './limits.js';

/** What the drafting of runs looks at. */
export interface DraftContext {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly gear: ReadonlyMap<string, Gear>;
  readonly bank: Bank | null;
  readonly array: SolarArray | null;
  readonly day: DayFigures;
}

type Given = Pick<RunSpec, 'id' | 'name' | 'group' | 'from' | 'to' | 'demand' | 'demandWhy' | 'sourceV' | 'nominalV' | 'fuseKinds' | 'ends' | 'reason'> & {
  readonly limit: Limit;
  readonly parent?: string;
  readonly weak?: RunSpec['weak'];
  readonly minAreaMm2?: number;
  /** A coupling on the way: its rating, A. */
  readonly plugA?: number;
  readonly terminalV?: number;
  /** Length where the picture cannot tell, m. */
  readonly closeByM?: number;
};

/** Smallest conductor in a vehicle, and for a feed drawn through from the battery, mm². */
export const SMALLEST_MM2 = { vehicle: 1, batteryFeed: 4 } as const;

export function endOf(gear: Gear, terminal = ''): RunEnd {
  const node = terminal ? `${gear.id}.${terminal}` : gear.id;
  return { gear: gear.id, name: gear.name, plus: `${node}+`, minus: `${gear.id}-` };
}

/** Fills in what every run has: length, surroundings, and what a person has typed. */
export function makeRun(c: DraftContext, number: number, given: Given): RunSpec {
  const edit = c.design.runs[given.id] ?? {};
  const template = VEHICLE_TEMPLATES[c.design.brief.vehicleKind];
  const [from, to] = [c.gear.get(given.from.gear)!, c.gear.get(given.to.gear)!];
  const estimateM = given.closeByM ?? pathLengthM(runPath(template, from, to, 0));
  const outM = edit.outM ?? estimateM;
  const crossesFloor = from.zone !== to.zone && from.zone !== 'roof' && to.zone !== 'roof';
  const zones = [{ name: from.zoneName, ambientC: from.ambientC }, { name: to.zoneName, ambientC: to.ambientC }, ...(crossesFloor ? [{ name: 'under the floor', ambientC: ZONE_C.underFloor }] : [])];
  const hottest = zones.reduce((hot, z) => (z.ambientC > hot.ambientC ? z : hot));
  const plug = given.plugA ? [{ what: `${given.plugA} A plug`, ratingA: given.plugA }] : [];
  return {
    ...given,
    number,
    parent: given.parent ?? null,
    terminalV: given.terminalV ?? null,
    pathLimitPercent: given.limit.percent,
    limitWhy: given.limit.why,
    weak: [...(given.weak ?? []), ...plug],
    minAreaMm2: given.minAreaMm2 ?? SMALLEST_MM2.vehicle,
    outM,
    backM: edit.backM ?? outM,
    lengthFrom: edit.outM === undefined ? 'estimated' : 'typed',
    ambientC: edit.ambientC ?? hottest.ambientC,
    ambientWhy: edit.ambientC === undefined ? `hottest zone it crosses: ${hottest.name}` : 'typed',
    grouped: edit.grouped ?? 1,
    laid: edit.laid ?? (crossesFloor ? 'conduit' : 'air'),
    plugOhm: given.plugA ? 2 * plugPoleOhm(given.plugA) : 0,
    edit,
  };
}
