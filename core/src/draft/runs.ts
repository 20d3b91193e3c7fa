import type { RunSpec } from '../routes/index.js';
import { chargingRuns } from './charging-runs.js';
import { withBundles, type DraftContext } from './context.js';
import { houseRuns } from './house-runs.js';
import { inMulticores } from './multicores.js';
import { maintainerRuns } from './maintainer-runs.js';
import { wireRuns } from './shared-runs.js';
import { straightRuns } from './straight-runs.js';
import { sunRuns } from './sun-runs.js';

/**
 * Drafts every run that the supply and the loads call for, numbered in the order of the current's way. The same design
 * gives the same runs; what a person typed of a run is kept with it.
 */
export function draftRuns(c: DraftContext): RunSpec[] {
  let number = 0;
  const next = (): number => ++number;
  const specs = [...chargingRuns(c, next), ...houseRuns(c, next), ...sunRuns(c, next), ...maintainerRuns(c, next), ...wireRuns(c, next), ...straightRuns(c, next)];
  return inMulticores(withBundles(specs.filter((s) => ![s.from.gear, s.to.gear].some((g) => c.gear.get(g)?.when === 'later'))), c.design);
}
