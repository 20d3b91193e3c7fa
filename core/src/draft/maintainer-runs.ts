import { BARS, OWN_VEHICLE, withPort, type Ported } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import type { RunSpec } from '../routes/index.js';
import { steadyA } from './amps.js';
import { endOf, mainId, makeRun, SMALL, type DraftContext } from './context.js';
import { supplyLimit, TERMINAL } from './limits.js';

/** Smallest lead of a maintainer by custom, mm². */
const LEAD_MM2 = 2.5;

/** From the bars into a maintainer and on to the starting battery, each fused where a battery can feed a fault on it. */
function runsOf(c: DraftContext, next: () => number, { ref, ports: { startOut } }: Ported<'startOut'>): RunSpec[] {
  const [starting, box, bus] = [c.gear.get(OWN_VEHICLE.id), c.gear.get(ref.id), c.gear.get(BARS.id)];
  if (!starting || !box || !c.bank || !bus) return [];
  const inA = (startOut.outputA * startOut.holdV) / startOut.efficiency / startOut.aboveV;
  const common = { serves: ref, group: 'charging', fuseKinds: SMALL, minAreaMm2: LEAD_MM2, terminal: TERMINAL.m8 } as const;
  return [
    makeRun(c, next(), {
      ...common,
      id: `bus-${ref.id}`,
      role: 'maintainer feed',
      parent: mainId(c),
      name: `${sentence(bus.name)} → ${box.name}`,
      from: endOf(bus),
      to: endOf(box, 'in'),
      ...steadyA(inA, `${figure(startOut.outputA, 0)} A out at ${figure(startOut.holdV, 1)} V, from ${figure(startOut.aboveV, 1)} V of the bank`),
      sourceV: c.bank.openV,
      nominalV: c.bank.nominalV,
      limit: supplyLimit(c.design, 'dcdcInput', 'input of a maintainer'),
      ends: [{ at: 'from', source: 'house battery' }],
      reason: 'brings what the house battery has to spare to the maintainer; fused at the bars',
    }),
    makeRun(c, next(), {
      ...common,
      id: `${ref.id}-start`,
      role: 'maintainer output',
      name: `${sentence(box.name)} → starting battery`,
      from: endOf(box, 'out'),
      to: endOf(starting),
      ...steadyA(startOut.outputA, 'the maintainer’s output'),
      sourceV: startOut.holdV,
      nominalV: c.design.brief.vehicleV,
      limit: supplyLimit(c.design, 'chargerOutput', 'output of a maintainer: it must see the battery’s own volts'),
      ends: [{ at: 'to', source: 'starting battery' }],
      reason: 'keeps the starting battery up; fused at that battery, which alone can feed a fault on it',
    }),
  ];
}

/** Runs of everything that keeps the starting battery up. */
export const maintainerRuns = (c: DraftContext, next: () => number): RunSpec[] => withPort(c.plant, 'startOut').flatMap((m) => runsOf(c, next, m));
