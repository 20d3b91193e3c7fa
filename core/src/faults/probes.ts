import type { CircuitPlan } from '../circuit/index.js';
import { sentence } from '../quantity/index.js';
import { probesOnBatteries } from './probe-batteries.js';
import { probesOnBoxes } from './probe-boxes.js';
import { probesOnRuns } from './probe-runs.js';
import type { Probe } from './probe.js';
import { SITUATIONS, type Settled } from './situations.js';

/** Every reading that can be taken on a rig, in the situations that it can be brought into. */
export function probesOf(plan: CircuitPlan, there: Settled): readonly Probe[] {
  const all = [...probesOnRuns(plan), ...probesOnBatteries(plan), ...probesOnBoxes(plan)];
  const starting = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const seen = new Set<string>();
  return all.filter((p) => {
    const twice = seen.has(p.id);
    seen.add(p.id);
    return !twice && there.has(p.situation) && (starting || p.about !== 'starting');
  });
}

/** What to do and how things must stand, as one line. */
export const probeInWords = (p: Pick<Probe, 'what' | 'situation'>): string => `${sentence(p.what)}: ${SITUATIONS[p.situation].words}`;
