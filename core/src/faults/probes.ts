import type { CircuitPlan } from '../circuit/index.js';
import { sentence } from '../quantity/index.js';
import { probesOnBatteries } from './probe-batteries.js';
import { probesOnBoxes } from './probe-boxes.js';
import { probesOnRuns, probesOnWays } from './probe-runs.js';
import type { Probe } from './probe.js';
import { SITUATIONS, situationsOf, type Settled, type Situation } from './situations.js';

/** Those that can be taken in the situations that a rig can be brought into, each once. */
function possible(plan: CircuitPlan, there: { has(situation: Situation): boolean }, all: readonly Probe[]): readonly Probe[] {
  const starting = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const seen = new Set<string>();
  return all.filter((p) => {
    const twice = seen.has(p.id);
    seen.add(p.id);
    return !twice && there.has(p.situation) && (starting || p.about !== 'starting');
  });
}

/** Every reading that can be taken on a rig, in the situations that it can be brought into. */
export const probesOf = (plan: CircuitPlan, there: Settled): readonly Probe[] => possible(plan, there, [...probesOnRuns(plan), ...probesOnBatteries(plan), ...probesOnBoxes(plan)]);

/** Of these the ones that prove a rig: at its batteries, its boxes and the ways between, not along every circuit. */
export const probesThatProve = (plan: CircuitPlan): readonly Probe[] => possible(plan, new Set(situationsOf(plan)), [...probesOnBatteries(plan), ...probesOnBoxes(plan), ...probesOnWays(plan)]);

/** What to do and how things must stand, as one line. */
export const probeInWords = (p: Pick<Probe, 'what' | 'situation'>): string => `${sentence(p.what)}: ${SITUATIONS[p.situation].words}`;
