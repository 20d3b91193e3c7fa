import type { Gear } from '../places/index.js';
import { standsIn, type ArrayThing } from '../plant/index.js';
import { withoutDetail } from '../design/index.js';
import { sentence } from '../quantity/index.js';
import { terminals, type RunSpec } from '../routes/index.js';
import type { PortablePanel, SolarArray } from '../supply/index.js';
import { steadyA } from './amps.js';
import { chargeEnd, throughSelector } from './charge-end.js';
import { BOLTED, endOf, makeRun, type DraftContext } from './context.js';
import { controllerOutA, portableOutA } from './controller.js';
import { supplyLimit, TERMINAL } from './limits.js';

/** Runs that the sun comes in by: of every regulator its panels, and of a controller its output; from every portable panel's socket. */
export function sunRuns(c: DraftContext, next: () => number): RunSpec[] {
  return [...c.arrays.flatMap((a) => fixedRuns(c, next, a)), ...c.arrays.flatMap((a) => a.portables.flatMap((p) => portableRuns(c, next, a, p)))];
}

/** Smallest lead of a controller's output by custom, mm². */
const CONTROLLER_LEAD_MM2 = 2.5;
/** Smallest cable of panels by custom, mm². */
const SUN_LEAST_MM2 = 4;
/** Rating of the plug that a portable panel is put on with, A. */
const PORTABLE_PLUG_A = 50;

function regulatorOf(c: DraftContext, a: SolarArray): Gear | undefined {
  const thing = c.plant.converters.find((x) => x.ref.id === a.regulator?.id);
  return thing && c.gear.get(standsIn(thing).id);
}
const regulatorName = (regulator: Gear): string => (regulator.role === 'charger' ? 'charger' : regulator.plain);

/** From the socket of a portable panel to the bus bars, where it has its own regulator, else to the regulator that it joins. */
function portableRuns(c: DraftContext, next: () => number, array: SolarArray, portable: PortablePanel): RunSpec[] {
  const { bank, gear } = c;
  const [socket, to] = [gear.get(portable.ref.id), chargeEnd(c)];
  if (!bank || !socket || !to) return [];
  const { panel, ownRegulator, ratedW, count } = portable;
  const regulator = regulatorOf(c, array);
  const common = {
    group: 'sun',
    nominalV: bank.nominalV,
    limit: supplyLimit(c.design, 'sun', 'portable panel: lost watts, not lost function'),
    limitingParts: [{ what: `${PORTABLE_PLUG_A} A plug`, ratingA: PORTABLE_PLUG_A, kind: 'plug' }],
    minAreaMm2: SUN_LEAST_MM2,
    terminal: TERMINAL.m8,
  } as const;
  if (ownRegulator)
    return [
      makeRun(c, next(), {
        ...common,
        id: `${socket.id}-bus`,
        role: 'portable lead',
        serves: socket.ref,
        name: `${sentence(socket.name)} → ${to.name}`,
        from: endOf(socket, 'out'),
        to,
        ...throughSelector(c, portableOutA([portable], bank), common.limitingParts),
        ...steadyA(portableOutA([portable], bank), 'its rated watts at the lowest charging volts'),
        sourceV: bank.absorptionV,
        fuseKinds: ['blade', ...BOLTED],
        ends: [{ at: 'to', source: 'house battery' }],
        reason: 'the socket is live from the house battery, with its contacts covered; its regulator comes with the panel',
      }),
    ];
  if (!regulator) return [];
  return [
    makeRun(c, next(), {
      ...common,
      id: `${socket.id}-regulator`,
      role: 'portable lead',
      serves: socket.ref,
      name: `${sentence(socket.name)} → ${regulatorName(regulator)}`,
      from: endOf(socket),
      to: endOf(regulator, 'sun'),
      lastingA: panel.iscA * count,
      lastingWhy: 'its short-circuit current: the most it can ever give',
      usualA: ratedW / panel.vmpV,
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

/** The panel that an array's cable starts at: the first that is fitted now. */
function firstPanel(c: DraftContext, array: ArrayThing): Gear | undefined {
  const panels = [...c.gear.values()].filter((g) => g.role === 'panel' && withoutDetail(g.ref).id === array.ref.id);
  return panels.find((g) => g.when === 'now') ?? panels[0];
}

/** The cable of one array to the regulator that it shares with others, or has for itself. */
function panelRun(c: DraftContext, next: () => number, array: SolarArray, one: ArrayThing, regulator: Gear): RunSpec[] {
  const { bank } = c;
  const panel = firstPanel(c, one);
  if (!bank || !panel) return [];
  const strings = Math.max(1, Math.floor(one.quantity / one.inSeries));
  const ratedW = one.part.ratedW * strings * one.inSeries;
  const stringV = one.part.vmpV * one.inSeries;
  const many = c.arrays.reduce((n, a) => n + a.fixed.length, 0) > 1;
  return [
    makeRun(c, next(), {
      id: `${one.ref.id}-regulator`,
      role: 'panel lead',
      serves: panel.ref,
      name: many ? `Panels ${ratedW} W → ${regulatorName(regulator)}` : `Panels → ${regulatorName(regulator)}`,
      group: 'sun',
      // However many there are, the cable meets them as one.
      from: { ...endOf(panel), name: one.quantity > 1 ? `panels ${ratedW} W` : panel.name, ...terminals(one.ref.id) },
      to: endOf(regulator, 'sun'),
      lastingA: one.part.iscA * strings,
      lastingWhy: 'short-circuit current of all panels: the most they can ever give',
      usualA: ratedW / stringV,
      usualWhy: 'all panels at their best volts',
      refV: array.controller?.regulates === 'pwm' ? bank.nominalV : stringV,
      minAreaMm2: SUN_LEAST_MM2,
      terminal: TERMINAL.m8,
      sourceV: one.part.vmpV,
      nominalV: bank.nominalV,
      limit: supplyLimit(c.design, 'sun', 'panels to their regulator: lost watts, not lost function'),
      fuseKinds: ['breaker'],
      ends: [{ at: 'from', source: 'panels' }],
      highestV: array.coldOpenV,
      reason: 'the breaker isolates the panels for work; they are live whenever there is light',
    }),
  ];
}

/** Runs from the fixed panels of one regulator to it, and from a controller to the bus bars. */
function fixedRuns(c: DraftContext, next: () => number, array: SolarArray): RunSpec[] {
  const { bank, gear } = c;
  const [regulator, to] = [regulatorOf(c, array), chargeEnd(c)];
  if (!bank || !regulator || !to) return [];
  const runs = array.fixed.flatMap((one) => panelRun(c, next, array, one, regulator));
  if (regulator.role !== 'controller' || !(runs.length || array.portables.some((p) => gear.has(p.ref.id)))) return runs;
  const outA = controllerOutA(array, bank);
  runs.push(
    makeRun(c, next(), {
      id: `${regulator.id}-bus`,
      role: 'charger output',
      serves: regulator.ref,
      name: `${sentence(regulator.name)} → ${to.name}`,
      group: 'sun',
      from: endOf(regulator, 'out'),
      to,
      ...throughSelector(c, outA),
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
