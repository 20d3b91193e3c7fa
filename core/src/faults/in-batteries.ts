import { restV } from '../catalogue/index.js';
import { OPEN_OHM, type CircuitPlan, type InlinePart } from '../circuit/index.js';
import { sentence } from '../quantity/index.js';
import type { Fault } from './fault.js';

/** How many times its resistance a worn battery has, and how far below its volts at rest it stands, V of each 12. */
const WORN = { timesOhm: 6, belowV: 0.15 } as const;
/** Resistance of a burnt contact, ohm. */
const BURNT_OHM = 8e-3;

/** The bank, battery by battery. */
function house({ bank }: CircuitPlan): Fault[] {
  const many = bank.strings > 1;
  return bank.stringParts.flatMap((part, i): Fault[] => {
    const [id, name] = [`battery${i + 1}`, many ? `House battery ${i + 1}` : 'House battery'];
    const of = (belowV: number, timesOhm: number): Fault['change'] => ({ battery: { [id]: { belowV: belowV * bank.inSeries, timesOhm } } });
    const flat = restV(part.chemistry, 0.5) - restV(part.chemistry, 0.05);
    return [
      {
        id: `worn:${id}`,
        name: `${name}: worn out or a bad cell`,
        prior: 2 / bank.strings,
        change: of(WORN.belowV, WORN.timesOhm),
        about: 'house',
        fix: 'A load test with a full charge before it; batteries side by side are replaced together.',
      },
      ...(many
        ? []
        : [
            {
              id: `flat:${id}`,
              name: `${name}: nearly empty`,
              prior: 3,
              change: of(flat, 1.5),
              about: 'house',
              fix: 'Charge it full, then find why it was not: what comes in against what goes out over a day, by the shunt.',
            },
          ]),
    ];
  });
}

function starting(plan: CircuitPlan): Fault[] {
  if (!plan.runs.some((r) => r.spec.from.ref.in === 'vehicles')) return [];
  const inSeries = plan.design.brief.vehicleV / 12;
  const volts = restV('flooded', 0.9) - restV('flooded', 0.15);
  return [
    {
      id: 'flat:starting',
      name: 'Starting battery: flat or worn',
      prior: 3,
      change: { battery: { starting: { belowV: volts * inSeries, timesOhm: 3 } } },
      about: 'starting',
      fix: 'Charge and load-test it; then the draw with everything off, at most 50 mA.',
    },
    {
      id: 'dead:alternator',
      name: 'Alternator: it does not charge',
      prior: 1.5,
      change: { givesNothing: ['alternator'] },
      about: 'starting',
      fix: 'Belt, its plug, its lamp on the dash; then a vehicle electrician.',
    },
  ];
}

/** Main switch, disconnect and shunt: open, burnt, passed by. */
function inLine(plan: CircuitPlan): Fault[] {
  const has = (id: InlinePart['id']): boolean => plan.inline.some((p) => p.id === id);
  const heavy = plan.day.loads.filter((l) => !l.mains && plan.runs.some((r) => r.spec.role === 'load feed' && r.spec.serves.id === l.id)).sort((a, b) => b.runningA - a.runningA)[0];
  return [
    ...(has('switch')
      ? [
          { id: 'off:switch', name: 'Main switch: it is off', prior: 2, change: { mainSwitch: 'open' as const }, about: 'switch', fix: 'Switch it on; ask who switched it off, and why.' },
          {
            id: 'burnt:switch',
            name: 'Main switch: a burnt contact',
            prior: 1.5,
            change: { addOhm: { switch: BURNT_OHM } },
            about: 'switch',
            fix: 'More than 20 mV across it at full current: replace it by one rated for the peak.',
          },
        ]
      : []),
    ...(has('charging')
      ? [
          {
            id: 'burnt:charging',
            name: 'Charging selector: a burnt contact',
            prior: 1.5,
            change: { addOhm: { charging: BURNT_OHM } },
            about: 'charging',
            fix: 'Millivolts across it while everything charges; replace it, and turn it from now on with the chargers at rest.',
          },
          {
            id: 'off:charging',
            name: 'Charging selector: it is off, or between its positions',
            prior: 2,
            change: { addOhm: { charging: OPEN_OHM } },
            about: 'charging',
            fix: 'Turn it to the bank that is to be charged, with the chargers at rest.',
          },
        ]
      : []),
    ...(has('disconnect')
      ? [
          {
            id: 'open:disconnect',
            name: 'Low-voltage disconnect: it has opened',
            prior: 3,
            change: { disconnect: 'open' as const },
            about: 'disconnect',
            fix: 'Charge first. If the bank is well above its closing volts, its sense lead or the disconnect itself.',
          },
          {
            id: 'burnt:disconnect',
            name: 'Low-voltage disconnect: a burnt contact',
            prior: 1,
            change: { addOhm: { disconnect: BURNT_OHM } },
            about: 'disconnect',
            fix: 'Millivolts across it at full current; replace it.',
          },
        ]
      : []),
    ...(has('shunt') && heavy
      ? [
          {
            id: `past-shunt:${heavy.id}`,
            name: `${sentence(heavy.name)}: its return is on the battery’s side of the shunt, so the display does not count it`,
            prior: 1.5,
            change: {},
            shows: { unseen: [heavy.id] },
            about: `load-${heavy.id}`,
            fix: 'Move its return to the load side: nothing but the shunt goes to the battery’s negative post.',
          },
        ]
      : []),
  ];
}

/** Loads that are fed and do not run. */
const loads = (plan: CircuitPlan): Fault[] =>
  plan.runs
    .filter((r) => r.spec.role === 'load feed')
    .map(({ spec }): Fault => ({
      id: `load:${spec.serves.id}`,
      name: `${sentence(spec.to.name)}: the appliance itself`,
      prior: 4,
      change: { drawsNothing: [spec.to.gear] },
      underLoad: true,
      about: spec.to.gear,
      fix: 'Full volts at its own terminals and no current: its switch, its own fuse, then the appliance.',
    }));

/** Everything that may be wrong with batteries, with what stands in their leads, and with the loads. */
export const faultsInBatteries = (plan: CircuitPlan): readonly Fault[] => [...house(plan), ...starting(plan), ...inLine(plan), ...loads(plan)];
