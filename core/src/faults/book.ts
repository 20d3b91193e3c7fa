import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { circuitPlan, type CircuitPlan } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import { asOwned, readingTolerance } from '../verdicts/index.js';
import { complaintsOf } from './complaints.js';
import { SOUND, type Fault } from './fault.js';
import { faultsInBatteries } from './in-batteries.js';
import { faultsInBoxes } from './in-boxes.js';
import { faultsInRuns } from './in-runs.js';
import type { Probe } from './probe.js';
import { probeInWords, probesOf } from './probes.js';
import { settled, SITUATIONS, situationsOf, type Settled, type Situation } from './situations.js';

/** A reading that can be taken, with what it should be and what each fault would make it. */
export interface FaultProbe extends Omit<Probe, 'read' | 'tolerance' | 'apart'> {
  /** What to do and how things must stand, as one line. */
  readonly words: string;
  /** How things must stand. */
  readonly stands: string;
  readonly expected: number;
  /** Of meter and model, in its unit. */
  readonly tolerance: number;
  /** Largest figure that the meter shows, in its unit. */
  readonly range: number;
  readonly predicted: Readonly<Record<string, number>>;
}

/** Everything that may be wrong with one rig, and what each would read. */
export interface FaultBook {
  readonly faults: readonly Fault[];
  readonly probes: readonly FaultProbe[];
  /** What people say of it, with the faults that would explain each. */
  readonly complaints: readonly { readonly id: string; readonly words: string; readonly explainedBy: readonly string[] }[];
  /** Faults of which no state settles, by name: nothing is predicted of them. */
  readonly leftOut: readonly string[];
}

const RANGE = { V: 60, A: 600 } as const;
/** Parts of a tolerance to which predictions are kept: faults that no meter tells apart then read the same. */
const STEPS = 40;

/** A rig with a fault, in the situations that the fault can change; the others are as when sound. */
function under(plan: CircuitPlan, fault: Fault, sound: Settled): Settled | null {
  if (!Object.keys(fault.change).length) return sound;
  const touched: readonly Situation[] = fault.underLoad ? ['loads'] : [...sound.keys()];
  const drawing = plan.runs.map((r) => r.spec.to.gear);
  // Where what is left cannot feed what draws, nothing runs.
  const now = settled({ ...plan, fault: fault.change }, touched) ?? settled({ ...plan, fault: { ...fault.change, drawsNothing: drawing } }, touched);
  return now && new Map([...sound, ...now]);
}

/** The faults of a design, each with all its predicted readings, by the solved network; null while it has no circuit. */
export function faultBook(design: Design, catalogue: Catalogue): FaultBook | null {
  const plan = circuitPlan(design, catalogue, assess(design, catalogue));
  const sound = plan && settled(plan, situationsOf(plan));
  if (!plan || !sound) return null;
  const probes = probesOf(plan, sound).map((p) => ({ ...p, meter: asOwned(p.meter, design.settings.meters) }));
  const readAll = (fault: Fault, s: Settled): readonly number[] => probes.map((p) => p.read(s.get(p.situation)!, fault));
  const all = [SOUND, ...faultsInRuns(plan), ...faultsInBoxes(plan), ...faultsInBatteries(plan)].map((fault) => {
    const s = under(plan, fault, sound);
    return { fault, reads: s && readAll(fault, s) };
  });
  const known = all.flatMap((x) => (x.reads ? [{ fault: x.fault, reads: x.reads }] : []));
  const soundReads = known[0]!.reads;
  const index = new Map(probes.map((p, i) => [p.id, i]));
  return {
    faults: known.map((k) => k.fault),
    probes: probes.map(({ read: _, tolerance: own, apart: __, ...p }, i): FaultProbe => {
      const expected = soundReads[i]!;
      const tolerance = own?.(sound.get(p.situation)!) ?? Math.hypot(readingTolerance(p.meter, expected, expected), p.modelShare === undefined ? 0 : p.modelShare * expected);
      const step = tolerance / STEPS;
      return {
        ...p,
        minutes: p.minutes + SITUATIONS[p.situation].minutes,
        words: probeInWords(p),
        stands: SITUATIONS[p.situation].words,
        expected,
        tolerance,
        range: RANGE[p.unit],
        predicted: Object.fromEntries(known.map((k) => [k.fault.id, Math.round(k.reads[i]! / step) * step])),
      };
    }),
    complaints: complaintsOf(plan, probes).map(({ id, words, explains }) => ({
      id,
      words,
      explainedBy: known
        .filter(({ fault, reads }) => explains(fault, (probe) => (index.has(probe) ? { sound: soundReads[index.get(probe)!]!, now: reads[index.get(probe)!]! } : null)))
        .map((k) => k.fault.id),
    })),
    leftOut: all.filter((x) => !x.reads).map((x) => x.fault.name),
  };
}
