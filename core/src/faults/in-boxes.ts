import { sunOnly } from '../catalogue/index.js';
import type { CircuitPlan } from '../circuit/index.js';
import { fromInlet, invertersOf, switchedBy, withPort } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import { givesBy } from '../routes/index.js';
import type { Fault } from './fault.js';

/** Volts that a profile for another chemistry holds above or below the right one, of a 12 V bank. */
const WRONG_PROFILE_V = 0.6;

const boxName = (plan: CircuitPlan, id: string, otherwise: string): string => sentence(plan.runs.find((r) => givesBy(r, id))?.spec.from.name ?? otherwise);

/** Chargers from the vehicle: dead, not switched on, always on, on a profile for another battery. */
function chargers(plan: CircuitPlan): Fault[] {
  return withPort(plan.plant, 'dcIn').flatMap((c): Fault[] => {
    const { id } = c.ref;
    const name = boxName(plan, id, c.part.name);
    const byVehicle = c.inputs.some((i) => i.by === 'vehicle');
    const wired = byVehicle && switchedBy(plan.plant, c) === id && plan.design.converters[id]?.trigger === 'ignition wire';
    const low = plan.bank.absorptionV - (WRONG_PROFILE_V * plan.bank.nominalV) / 12;
    return [
      {
        id: `dead:${id}`,
        name: `${name}: dead, or held off by its own protection`,
        prior: 1.5,
        change: { givesNothing: [id] },
        about: id,
        fix: 'Its lamp and its maker’s list of codes; input and output volts right with nothing given is the box. Replace it, set its profile anew.',
      },
      ...(c.feeds.length
        ? []
        : [
            {
              id: `profile:${id}`,
              name: `${name}: set for another battery, it holds ${figure(low, 1)} V in place of ${figure(plan.bank.absorptionV, 1)} V`,
              prior: 1.5,
              change: { setV: { [id]: low } },
              about: id,
              fix: 'Set the profile that the settings sheet names, by its switches or its app, and read the volts again when it is nearly full.',
            },
          ]),
      ...(wired
        ? [
            {
              id: `no-trigger:${id}`,
              name: `${name}: its trigger wire is dead while the engine runs`,
              prior: 3,
              change: { trigger: { [id]: 'dead' as const } },
              shows: { triggerShare: { [id]: 0 } },
              about: id,
              fix: 'Find the ignition feed again: its fuse, the tap, the plug pin. It must be live with the engine and dead without.',
            },
            {
              id: `always-on:${id}`,
              name: `${name}: its trigger is live with the engine off`,
              prior: 2,
              change: { trigger: { [id]: 'always live' as const } },
              shows: { triggerShare: { [id]: 1 } },
              about: id,
              fix: 'The trigger hangs on a wire that is always live: move it to one that is dead with the ignition off, or the starting battery goes flat overnight.',
            },
          ]
        : []),
      ...c.inputs.flatMap(({ by, ref }): Fault[] =>
        by === 'lead'
          ? [
              {
                id: `lead-out:${id}`,
                name: `${name}: its lead brings nothing (a plug that is out, a fuse at the other battery, that battery cut off)`,
                prior: 4,
                change: { leadOut: [ref.id] },
                about: id,
                fix: 'Volts at the plug, then at the outlet of the other rig, then across its fuse; last whether that battery’s own disconnect is open.',
              },
            ]
          : [],
      ),
    ];
  });
}

/** Solar controllers and their panels: nothing out, nothing in, the wrong way round, a string of several missing. */
function sun(plan: CircuitPlan): Fault[] {
  const controllers = plan.plant.converters
    .filter((c) => sunOnly(c.ports))
    .map((c): Fault => ({
      id: `dead:${c.ref.id}`,
      name: `${boxName(plan, c.ref.id, c.part.name)}: gives nothing though its panels do`,
      prior: 1.5,
      change: { givesNothing: [c.ref.id] },
      about: c.ref.id,
      fix: 'Battery side joined before the panels? Its fuse to the bank? Then the controller itself.',
    }));
  const arrays = plan.plant.arrays
    .filter((a) => a.into?.in === 'converters')
    .flatMap((a, n): Fault[] => {
      const { id } = a.ref;
      const name = a.portable ? 'Portable panels' : n ? `Panels ${n + 1}` : 'Panels';
      const strings = Math.floor(a.quantity / a.inSeries);
      return [
        {
          id: `dark:${id}`,
          name: `${name}: nothing arrives (a connector apart, a breaker off, a cover left on)`,
          prior: 3,
          change: { sunShare: { [id]: 0 } },
          shows: { openShare: { [id]: 0 } },
          about: id,
          fix: 'Breaker, then each connector from the panel down, in daylight, with a voltmeter; never parted under load.',
        },
        {
          id: `reversed:${id}`,
          name: `${name}: plus and minus are swapped`,
          prior: 1,
          change: { sunShare: { [id]: 0 } },
          shows: { openShare: { [id]: -1 } },
          about: id,
          fix: 'Cover the panels, swap the pair at the connector, read the sign before it is joined again.',
        },
        ...(strings > 1
          ? [
              {
                id: `one-out:${id}`,
                name: `${name}: one of ${strings} gives nothing`,
                prior: 2,
                change: { sunShare: { [id]: (strings - 1) / strings } },
                about: id,
                fix: 'Amps of each panel by itself, the others covered: the one at nothing has a bad connector, a blown fuse or a broken cell.',
              },
            ]
          : []),
      ];
    });
  return [...controllers, ...arrays];
}

function mains(plan: CircuitPlan): Fault[] {
  return fromInlet(plan.plant)
    .filter((c) => !c.ports.dcIn && !c.ports.mainsOut)
    .map((c): Fault => ({
      id: `dead:${c.ref.id}`,
      name: `${boxName(plan, c.ref.id, c.part.name)}: gives nothing on mains`,
      prior: 1.5,
      change: { givesNothing: [c.ref.id] },
      about: c.ref.id,
      fix: 'Is there mains at its plug, with the site’s switch and the RCD on? All 230 V is for the licensed electrician; on the 12 V side its fuse and its lamp.',
    }));
}

const inverters = (plan: CircuitPlan): Fault[] =>
  invertersOf(plan.design, plan.catalogue).map(({ ref, part }): Fault => ({
    id: `dead:${ref.id}`,
    name: `${sentence(part.name)}: off, or shut down by itself`,
    prior: 2,
    change: { drawsNothing: [ref.id] },
    underLoad: true,
    about: ref.id,
    fix: 'Its switch and lead first, then its lamp: low volts, overload, heat. With good volts at its posts and nothing out it is the inverter.',
  }));

/** The link to the starting battery: never closes, never opens. */
const isolators = (plan: CircuitPlan): Fault[] =>
  plan.plant.links.flatMap(({ ref }): Fault[] => [
    {
      id: `never-closes:${ref.id}`,
      name: 'Isolator: it does not close with the engine running',
      prior: 3,
      change: { isolator: 'open' },
      about: ref.id,
      fix: 'Volts at its sensing side against its closing volts; its own earth wire. A variable alternator may never reach them: then a DC-DC charger.',
    },
    {
      id: `never-opens:${ref.id}`,
      name: 'Isolator: its contacts are welded, it does not open',
      prior: 1.5,
      change: { isolator: 'closed' },
      about: ref.id,
      fix: 'With the engine off the volts of both batteries must part. Replace it, and look for the current that welded it.',
    },
  ]);

const maintainers = (plan: CircuitPlan): Fault[] =>
  withPort(plan.plant, 'startOut').map(({ ref, part }): Fault => ({
    id: `dead:${ref.id}`,
    name: `${sentence(part.name)}: gives nothing though the bank is nearly full`,
    prior: 1.5,
    change: { givesNothing: [ref.id] },
    about: ref.id,
    fix: 'Both its fuses first, then its input volts against those that it starts at. With both right and nothing given it is the box.',
  }));

/** Everything that may be wrong with boxes that charge, convert or tie. */
export const faultsInBoxes = (plan: CircuitPlan): readonly Fault[] => [...chargers(plan), ...sun(plan), ...mains(plan), ...inverters(plan), ...isolators(plan), ...maintainers(plan)];
