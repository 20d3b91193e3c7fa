import { CHASSIS_OHM, cableSeries, lugOhm, resistanceOhmPerM, sizeInWords } from '../cable/index.js';
import type { Design } from '../design/index.js';
import type { Gear } from '../places/index.js';
import { kFactor } from '../protection/index.js';
import { inCircuit, type Fitted, type SizedRun } from '../routes/index.js';
import { squareMm, vehicleOf } from '../vehicle/index.js';

/** Volts of a starter while it turns, and what it takes, for a 12 V vehicle; representative of a diesel ute. */
const CRANKING = { volt: 10.5, amp: 250 } as const;
/** The bond where no earth stud is on the plan, m; and what both lugs and a loop take. */
const USUAL_M = 1.5;
const ENDS_M = 0.4;
const LEAST_MM2 = 16;

/** The one tie of the house negative to the body, on the load side of the shunt. */
export interface Bond {
  readonly areaMm2: number;
  readonly size: string;
  readonly lengthM: number;
  /** The run whose fault sets its size, and what that fault lets through, A²s. */
  readonly setBy: string;
  readonly letThroughA2s: number;
  /** What cranking sends back through the thinnest return in parallel when the engine's own earth fails, A; null: no such return. */
  readonly cranking: { readonly run: string; readonly number: number; readonly amp: number; readonly carriesA: number } | null;
}

/** The largest energy that any battery's fuse lets through: what a feed that touches the body sends along the bond. */
function worstFault(runs: readonly Fitted[]): { readonly run: string; readonly letThroughA2s: number } {
  let worst = { run: '', letThroughA2s: 0 };
  for (const r of runs) for (const f of r.figures.fuses) if ((f.fault?.worstLetThroughA2s ?? 0) > worst.letThroughA2s) worst = { run: r.spec.name, letThroughA2s: f.fault!.worstLetThroughA2s };
  return worst;
}

function crankingThrough(design: Design, runs: readonly Fitted[], bondOhm: number): Bond['cranking'] {
  const scale = design.brief.vehicleV / 12;
  const link = runs.find((r) => r.spec.from.ref.in === 'vehicles' && r.spec.back === 'cable');
  if (!link) return null;
  const { spec, figures } = link;
  const perM = resistanceOhmPerM(figures.areaMm2, design.settings.tinned, spec.ambientC) / figures.perPole;
  const starterOhm = (CRANKING.volt * scale) / (CRANKING.amp * scale);
  const backOhm = spec.backM * perM + spec.plugOhm / 2;
  return { run: spec.id, number: spec.number, amp: (CRANKING.volt * scale) / (starterOhm + backOhm + bondOhm + CHASSIS_OHM), carriesA: figures.ampacityA * figures.perPole };
}

/**
 * The house-negative bond of a design, sized for the largest fault that may return through it; `joined`: something of the rig hangs on the starting battery; null where the house side
 * shares no body with a starting battery, or nothing is fitted. Thickness by I²t ≤ k²S².
 */
export function bondOf(design: Design, joined: boolean, gear: readonly Gear[], runs: readonly SizedRun[]): Bond | null {
  const vehicle = vehicleOf(design);
  const fitted = runs.map(inCircuit);
  const bus = gear.find((g) => g.id === 'bus');
  const fault = worstFault(fitted);
  if (!joined || !bus || fault.letThroughA2s === 0) return null;
  const studs = vehicle.points.filter((p) => p.kind === 'earth stud').flatMap((p) => vehicle.waypoints.find((w) => w.id === p.waypoint) ?? []);
  const nearMm = studs.length ? Math.min(...studs.map((w) => squareMm(bus.terminal, w.at))) : USUAL_M * 1000;
  const lengthM = Math.round(10 * (Math.ceil(nearMm / 100) / 10 + ENDS_M)) / 10;
  const k = kFactor(design.settings.insulationC);
  const series = cableSeries(design.settings.series);
  const size = series.find((s) => s.areaMm2 >= LEAST_MM2 - 1e-9 && (k * s.areaMm2) ** 2 >= fault.letThroughA2s) ?? series[series.length - 1]!;
  const bondOhm = lengthM * resistanceOhmPerM(size.areaMm2, design.settings.tinned, 20) + 2 * lugOhm(size.areaMm2);
  const named = sizeInWords(size.size);
  return { areaMm2: size.areaMm2, size: named, lengthM, setBy: fault.run, letThroughA2s: fault.letThroughA2s, cranking: crankingThrough(design, fitted, bondOhm) };
}
