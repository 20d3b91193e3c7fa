import type { RunSpec } from '../routes/index.js';
import { BOLTED, endOf, makeRun, type DraftContext } from './context.js';
import { controllerOutA } from './controller.js';
import { supplyLimit } from './limits.js';

/** Runs from the panels to their regulator, and from a controller of their own to the bus bars. */
export function sunRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { array, bank, gear } = c;
  const panel = gear.get('panel');
  if (!array || !bank || !panel) return [];
  const regulator = gear.get('controller') ?? (array.throughCharger ? gear.get('charger') : undefined);
  const bus = gear.get('bus');
  if (!regulator || !bus) return [];
  const toName = regulator.role === 'controller' ? 'solar controller' : 'charger';
  const limit = supplyLimit(c.design, 'sun', 'panels to their regulator: lost watts, not lost function');
  const runs = [
    makeRun(c, next(), {
      id: 'panel-regulator',
      name: `Panels → ${toName}`,
      group: 'sun',
      from: endOf(panel),
      to: endOf(regulator, 'sun'),
      demand: { currentA: array.iscA },
      demandWhy: 'short-circuit current of all panels: the most they can ever give',
      sourceV: array.panel.vmpV,
      nominalV: bank.nominalV,
      limit,
      fuseKinds: ['breaker'],
      ends: [{ at: 'from', source: 'panels' }],
      highestV: array.coldOpenV,
      reason: 'the breaker isolates the panels for work; they are live whenever there is light',
    }),
  ];
  if (regulator.role !== 'controller') return runs;
  const outA = controllerOutA(array, bank);
  runs.push(
    makeRun(c, next(), {
      id: 'controller-bus',
      name: `Solar controller → ${bus.name}`,
      group: 'sun',
      from: endOf(regulator, 'out'),
      to: endOf(bus),
      demand: { currentA: outA },
      demandWhy: 'the panels’ rated watts at the lowest charging volts, not above the controller’s own limit',
      sourceV: bank.absorptionV,
      nominalV: bank.nominalV,
      limit,
      fuseKinds: outA <= 24 ? ['blade', ...BOLTED] : BOLTED,
      ends: [{ at: 'to', source: 'house battery' }],
      reason: 'the house battery can feed a fault on it; the panels cannot give more than the cable carries',
    }),
  );
  return runs;
}
