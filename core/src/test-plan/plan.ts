import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { circuitPlan, settle, type SettledState } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import { probesThatProve } from '../faults/index.js';
import { fromPlug } from '../plant/index.js';
import { sentence } from '../quantity/index.js';
import { givesBy } from '../routes/index.js';
import { asOwned, type Meters, readingTolerance } from '../verdicts/index.js';
import type { TestGroup, TestRow } from './rows.js';
import { jointRows } from './joints.js';
import { residualTests } from './residual.js';
import { setPoints } from './set-points.js';
import { type SoakPlace, soakPlaces, soakTest } from './soak.js';
import { asPlanned, lookFor, moreProbes, type PlanProbe, STANDS, type Stand } from './more.js';

/** A bank is charged with what it takes only while it is well below full. */
export const FULL_FROM_PERCENT = 90;
/** Light below which panels prove nothing, W/m². */
const SUN_BELOW_WM2 = 700;

/** What no meter shows, V or A. */
const LEAST = 1e-3;

/** A charger whose four readings are judged together: rows of volts and amps on both sides. */
export interface Converts {
  readonly name: string;
  readonly ratedW: number;
  readonly efficiency: number;
  readonly rows: readonly [inV: string, inA: string, outV: string, outA: string];
}

export interface TestPlan {
  readonly groups: readonly TestGroup[];
  readonly converters: readonly Converts[];
  /** Compartments that are run warm. */
  readonly soak: readonly SoakPlace[];
  /** What the readings are taken with. */
  readonly meters: Meters;
}

function rowOf(p: PlanProbe, stand: Stand, s: SettledState): TestRow {
  const read = p.read(s);
  const expected = Math.abs(read) < LEAST ? 0 : read;
  const share = p.own ? undefined : p.modelShare;
  // Volts rest on the drop down to them; where the model is off by a share of the figure, that share is what it rests on.
  const dropV = p.unit === 'V' && share !== undefined ? Math.abs(expected) : 0;
  const look = lookFor(p);
  const excuses = stand.also.includes('charge') && !p.apart ? { batteryFull: true, ...(stand.also.includes('sun') ? { sunBelowWm2: SUN_BELOW_WM2 } : {}) } : undefined;
  return {
    id: p.id,
    where: sentence(p.what),
    state: stand.words,
    meter: p.own ? { ...p.meter, share: 0, absolute: p.own(s) } : p.meter,
    unit: p.unit,
    expected,
    dropV,
    tolerance: p.own?.(s) ?? readingTolerance(p.meter, expected, expected, dropV, share),
    mostV: null,
    run: null,
    currentA: 0,
    minutes: p.minutes,
    about: p.about,
    ...(share === undefined ? {} : { modelShare: share }),
    ...(excuses ? { excuses } : {}),
    ...(look === undefined ? {} : { look }),
  };
}

function convertsOf(plan: NonNullable<ReturnType<typeof circuitPlan>>, there: ReadonlySet<string>): Converts[] {
  return plan.plant.converters.flatMap((c) => {
    const { id } = c.ref;
    const by = c.inputs.some((i) => i.by === 'lead') ? 'mains' : 'engine';
    const rows = [`${by}.in-volts:${id}`, `${by}.in-amps:${id}`, `${by}.out-volts:${id}`, `${by}.out-amps:${id}`] as const;
    const { dcIn } = c.ports;
    if (!dcIn || !rows.every((r) => there.has(r))) return [];
    const out = plan.runs.find((r) => givesBy(r, id));
    return [{ name: out?.spec.from.name ?? c.part.name, ratedW: dcIn.outputA * dcIn.outputV, efficiency: dcIn.efficiency, rows }];
  });
}

/**
 * Everything to read on a rig before it goes out, beyond each circuit alone: at rest, under load, by each source, held, and
 * what switches by itself at its set points.
 * What each should show comes from the network solved in that state; null while the design has no circuit.
 */
export function testPlan(design: Design, catalogue: Catalogue): TestPlan | null {
  const assessed = assess(design, catalogue);
  const plan = circuitPlan(design, catalogue, assessed);
  if (!plan) return null;
  const { meters } = design.settings;
  const probes = [...probesThatProve(plan).map(asPlanned), ...moreProbes(plan)].map((p) => ({ ...p, meter: asOwned(p.meter, meters) }));
  const mains = fromPlug(plan.plant).length > 0;
  const read = STANDS.flatMap((stand) => {
    const asked = probes.filter((p) => p.stand === stand.id);
    const state = asked.length ? settle(plan, { ...stand.state, mains: stand.state.mains && mains }) : null;
    return state?.ok ? [{ stand, state, asked }] : [];
  });
  const joints = jointRows(plan, read);
  const groups = read.map(({ stand: { id, words, minutes, also }, stand, state, asked }): TestGroup => ({
    id,
    words,
    minutes,
    also,
    rows: [...asked.map((p) => rowOf(p, stand, state)), ...(joints.get(id) ?? [])],
  }));
  const soak = soakPlaces(assessed, catalogue);
  const last = [setPoints(design, catalogue, plan.plant, meters), soakTest(soak), residualTests(design, catalogue)];
  return { groups: [...groups, ...last.flatMap((g) => (g ? [g] : []))], soak, converters: convertsOf(plan, new Set(groups.flatMap((g) => g.rows.map((r) => r.id)))), meters };
}
