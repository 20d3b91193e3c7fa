import { ROOF_PANELS, type RunSpec } from '../routes/index.js';
import { steadyA } from './amps.js';
import { BOLTED, endOf, makeRun, type DraftContext } from './context.js';
import { controllerOutA, portableOutA } from './controller.js';
import { supplyLimit, TERMINAL } from './limits.js';

/** Runs that the sun comes in by: from the roof, and from a portable panel's socket. */
export function sunRuns(c: DraftContext, next: () => number): RunSpec[] {
  return [...roofRuns(c, next), ...portableRuns(c, next)];
}

/** Smallest lead of a controller's output by custom, mm². */
const CONTROLLER_LEAD_MM2 = 2.5;
/** Smallest cable of panels by custom, mm². */
const SUN_LEAST_MM2 = 4;
/** Rating of the plug that a portable panel is put on with, A. */
const PORTABLE_PLUG_A = 50;

/** From the socket of a portable panel to the bus bars, where it has its own regulator, else to the regulator of the roof. */
function portableRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { array, bank, gear } = c;
  const [socket, bus] = [gear.get('portable'), gear.get('bus')];
  if (!array?.portable || !bank || !socket || !bus) return [];
  const { panel, ownRegulator } = array.portable;
  const regulator = gear.get('controller') ?? (array.throughCharger ? gear.get('charger') : undefined);
  const common = {
    group: 'sun',
    nominalV: bank.nominalV,
    limit: supplyLimit(c.design, 'sun', 'portable panel: lost watts, not lost function'),
    weak: [{ what: `${PORTABLE_PLUG_A} A plug`, ratingA: PORTABLE_PLUG_A, kind: 'plug' }],
    minAreaMm2: SUN_LEAST_MM2,
    terminal: TERMINAL.m8,
  } as const;
  if (ownRegulator) {
    const outA = portableOutA(array, bank);
    return [
      makeRun(c, next(), {
        ...common,
        id: 'portable-bus',
        role: 'portable lead',
        serves: socket.ref,
        name: `Portable panel’s socket → ${bus.name}`,
        from: endOf(socket, 'out'),
        to: endOf(bus),
        ...steadyA(outA, 'its rated watts at the lowest charging volts'),
        sourceV: bank.absorptionV,
        fuseKinds: ['blade', ...BOLTED],
        ends: [{ at: 'to', source: 'house battery' }],
        reason: 'the socket is live from the house battery, with its contacts covered; its regulator comes with the panel',
      }),
    ];
  }
  if (!regulator) return [];
  return [
    makeRun(c, next(), {
      ...common,
      id: 'portable-regulator',
      role: 'portable lead',
      serves: socket.ref,
      name: `Portable panel’s socket → ${regulator.role === 'controller' ? 'solar controller' : 'charger'}`,
      from: endOf(socket),
      to: endOf(regulator, 'sun'),
      lastingA: panel.iscA,
      lastingWhy: 'its short-circuit current: the most it can ever give',
      usualA: panel.ratedW / panel.vmpV,
      usualWhy: 'its current at its best volts',
      refV: panel.vmpV,
      sourceV: panel.vmpV,
      fuseKinds: ['blade', ...BOLTED],
      ends: [],
      highestV: array.coldOpenV,
      reason: 'joins the roof’s panels on their regulator while the vehicle stands; the plug is what parts it',
    }),
  ];
}

/** Runs from the panels on the roof to their regulator, and from a controller of their own to the bus bars. */
function roofRuns(c: DraftContext, next: () => number): RunSpec[] {
  const { array, bank, gear } = c;
  // The cable starts at the first panel that is fitted now.
  const panels = [...gear.values()].filter((g) => g.role === 'panel');
  const panel = panels.find((g) => g.when === 'now') ?? panels[0];
  if (!array || !bank || !panel) return [];
  const regulator = gear.get('controller') ?? (array.throughCharger ? gear.get('charger') : undefined);
  const bus = gear.get('bus');
  if (!regulator || !bus) return [];
  const toName = regulator.role === 'controller' ? 'solar controller' : 'charger';
  const limit = supplyLimit(c.design, 'sun', 'panels to their regulator: lost watts, not lost function');
  const stringV = array.panel.vmpV * array.inSeries;
  const runs = [
    makeRun(c, next(), {
      id: 'panel-regulator',
      role: 'panel lead',
      serves: panel.ref,
      name: `Panels → ${toName}`,
      group: 'sun',
      // However many there are, the cable meets them as one.
      from: { ...endOf(panel), name: array.count > 1 ? `panels ${array.ratedW} W` : panel.name, ...ROOF_PANELS },
      to: endOf(regulator, 'sun'),
      lastingA: array.iscA,
      lastingWhy: 'short-circuit current of all panels: the most they can ever give',
      usualA: array.ratedW / stringV,
      usualWhy: 'all panels at their best volts',
      refV: array.controller?.way === 'pwm' ? bank.nominalV : stringV,
      minAreaMm2: SUN_LEAST_MM2,
      terminal: TERMINAL.m8,
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
      role: 'charger output',
      serves: regulator.ref,
      name: `Solar controller → ${bus.name}`,
      group: 'sun',
      from: endOf(regulator, 'out'),
      to: endOf(bus),
      ...steadyA(outA, 'the panels’ rated watts at the lowest charging volts, not above the controller’s own limit'),
      minAreaMm2: CONTROLLER_LEAD_MM2,
      terminal: TERMINAL.m8,
      sourceV: bank.absorptionV,
      nominalV: bank.nominalV,
      limit: supplyLimit(c.design, 'chargerOutput', 'output of a controller: it must see the battery’s own volts'),
      fuseKinds: outA <= 24 ? ['blade', ...BOLTED] : BOLTED,
      ends: [{ at: 'to', source: 'house battery' }],
      reason: 'the house battery can feed a fault on it; the panels cannot give more than the cable carries',
    }),
  );
  return runs;
}
