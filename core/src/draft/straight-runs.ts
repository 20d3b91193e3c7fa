import { houseNodes } from '../circuit/index.js';
import { runKey } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { FIRST_BANK, OWN_VEHICLE } from '../plant/index.js';
import { sentence } from '../quantity/index.js';
import type { RunSpec } from '../routes/index.js';
import { driveVolts } from '../supply/index.js';
import { ampsOf } from './amps.js';
import { bankEnd, SMALL, endOf, gearOf, makeRun, type DraftContext } from './context.js';
import { loadLeastMm2, loadLimit, plugOf } from './limits.js';

/** Loads whose wire starts at a battery’s own post, before every switch. */
const straightOn = (c: DraftContext, of: 'house' | 'vehicle'): readonly DayLoad[] =>
  [...c.day.loads, ...c.day.onVehicle].filter((l) => {
    const { feed } = c.design.loads[l.id]!;
    return !l.mains && feed.by === 'battery' && feed.of === of;
  });

/** Lowest volts at which a starting battery still feeds something, for each 12 V: it must crank afterwards. */
const STARTING_LOW_V = 12;

/** Where such a wire starts: at the first post of the bank, its return on the load side of the shunt; or at the starting battery. */
function startOf(c: DraftContext, of: 'house' | 'vehicle'): (Pick<RunSpec, 'from' | 'sourceV' | 'nominalV'> & { readonly name: string; readonly source: 'house battery' | 'starting battery' }) | null {
  const { bank, gear } = c;
  const { vehicleV } = c.design.brief;
  if (of === 'vehicle') {
    const starting = gear.get(OWN_VEHICLE.id);
    return starting
      ? { from: endOf(starting), sourceV: Math.min((STARTING_LOW_V * vehicleV) / 12, driveVolts(c.design).warmIdleV), nominalV: vehicleV, name: 'Starting battery', source: 'starting battery' }
      : null;
  }
  const house = gear.get(FIRST_BANK.id);
  if (!house || !bank) return null;
  const many = bank.strings > 1;
  // The load side of the shunt, before a switch or a disconnect that stands in the negative.
  const from = { ...bankEnd(house, many ? 1 : null), ...houseNodes(c.inline).straight };
  return { from, sourceV: bank.openV, nominalV: bank.nominalV, name: `${sentence(house.plain)}${many ? ' 1' : ''}`, source: 'house battery' };
}

/** Runs of loads that stay live whatever is switched off: each with its own fuse at the post. */
export function straightRuns(c: DraftContext, next: () => number): RunSpec[] {
  return (['house', 'vehicle'] as const).flatMap((of) => {
    const start = startOf(c, of);
    return (start ? straightOn(c, of) : []).flatMap((load): RunSpec[] => {
      const gear = gearOf(c, 'loads', load.id);
      if (!gear) return [];
      const { purpose } = c.design.loads[load.id]!;
      const { name, source, ...from } = start!;
      return [
        makeRun(c, next(), {
          id: runKey(gear.ref),
          role: 'load feed',
          serves: gear.ref,
          name: `${name} → ${gear.name}`,
          group: 'loads',
          to: endOf(gear),
          ...from,
          ...ampsOf(load, from.sourceV, from.nominalV),
          limit: loadLimit(c.design, purpose),
          fuseKinds: SMALL,
          ends: [{ at: 'from', source }],
          limitingParts: plugOf(c.design.loads[load.id]!),
          leastFuseA: c.design.settings.custom.loadFuseA,
          minAreaMm2: loadLeastMm2(c.design.settings, purpose),
          reason: `straight off the ${source}’s post, within 200 mm of it: no switch and no disconnect takes it away`,
        }),
      ];
    });
  });
}
