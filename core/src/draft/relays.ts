import { watchesOf } from '../catalogue/index.js';
import type { RunSpec } from '../routes/index.js';
import type { DraftContext } from './context.js';

/** The contact that a load’s wire passes beside its fuse; none: nothing switches it but itself. */
export function contactOn(c: DraftContext, load: string): Pick<RunSpec, 'inline' | 'limitingParts'> {
  for (const m of c.plant.monitors) {
    const outputs = m.part && watchesOf(m.part).outputs(m.part);
    if (!outputs || !m.switches.some((l) => l.id === load)) continue;
    const what = `contact of the ${c.gear.get(m.ref.id)?.name ?? m.part!.name}`;
    return { inline: [{ what, ohm: outputs.milliohm / 1000, kind: 'relay' }], limitingParts: [{ what, ratingA: outputs.amps, kind: 'relay' }] };
  }
  return { inline: [], limitingParts: [] };
}
