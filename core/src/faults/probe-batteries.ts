import type { CircuitPlan, SettledState } from '../circuit/index.js';
import { meterTolerance } from '../verdicts/index.js';
import type { Fault } from './fault.js';
import { at, AT_HAND_MIN, CLAMP, CLAMP_MIN, type Probe, VOLT } from './probe.js';

const battery = (s: SettledState, id: string): { readonly volt: number; readonly amp: number } => s.batteries.find((b) => b.id === id) ?? { volt: 0, amp: 0 };
const drawn = (s: SettledState, load: string): number => at(s, `load-${load}`).amp;

/** What the battery's display shows, alone and against a clamp. */
function onDisplay(house: readonly string[]): readonly Probe[] {
  const all = (s: SettledState): number => house.reduce((sum, id) => sum + battery(s, id).amp, 0);
  const unseen = (s: SettledState, fault: Fault): number => (fault.shows?.unseen ?? []).reduce((sum, l) => sum + drawn(s, l), 0);
  return [
    {
      id: 'loads.display',
      what: 'amps that the battery display shows going out',
      meter: { kind: 'shunt' },
      unit: 'A',
      situation: 'loads',
      minutes: 0.5,
      about: 'shunt',
      read: (s, fault) => all(s) - unseen(s, fault),
    },
    {
      id: 'loads.display-clamp',
      what: 'amps that the battery display shows, less what a clamp on the battery’s lead shows',
      meter: CLAMP,
      unit: 'A',
      situation: 'loads',
      minutes: CLAMP_MIN,
      about: 'shunt',
      tolerance: (s) => Math.hypot(meterTolerance(CLAMP, all(s)), meterTolerance({ kind: 'shunt' }, all(s))),
      read: (s, fault) => 0 - unseen(s, fault),
    },
  ];
}

/** The bank's posts and leads, the starting battery, and what the display says. */
export function probesOnBatteries(plan: CircuitPlan): readonly Probe[] {
  const { strings } = plan.bank;
  const many = strings > 1;
  const house = Array.from({ length: strings }, (_, i) => ({ id: `battery${i + 1}`, name: many ? `house battery ${i + 1}` : 'house battery' }));
  const shunt = plan.inline.some((p) => p.id === 'shunt');
  return [
    ...house.flatMap(({ id, name }): Probe[] => [
      {
        id: `rest.volts:${id}`,
        what: `volts at the posts of the ${name}`,
        meter: VOLT,
        unit: 'V',
        situation: 'rest',
        minutes: AT_HAND_MIN,
        about: 'house',
        modelShare: 0.01,
        read: (s) => battery(s, id).volt,
      },
      {
        id: `loads.volts:${id}`,
        tells: 'the bank',
        what: `volts at the posts of the ${name}`,
        meter: VOLT,
        unit: 'V',
        situation: 'loads',
        minutes: AT_HAND_MIN,
        about: 'house',
        modelShare: 0.01,
        read: (s) => battery(s, id).volt,
      },
      { id: `loads.amps:${id}`, what: `amps out of the ${name}`, meter: CLAMP, unit: 'A', situation: 'loads', minutes: CLAMP_MIN, about: 'house', read: (s) => battery(s, id).amp },
    ]),
    ...(shunt ? onDisplay(house.map((h) => h.id)) : []),
    {
      id: 'rest.volts:starting',
      what: 'volts at the posts of the starting battery',
      meter: VOLT,
      unit: 'V',
      situation: 'rest',
      minutes: AT_HAND_MIN,
      about: 'starting',
      apart: true,
      modelShare: 0.01,
      read: (s) => battery(s, 'starting').volt,
    },
    {
      id: 'engine.volts:starting',
      what: 'volts at the posts of the starting battery',
      meter: VOLT,
      unit: 'V',
      situation: 'engine',
      minutes: AT_HAND_MIN,
      about: 'starting',
      apart: true,
      modelShare: 0.02,
      read: (s) => battery(s, 'starting').volt,
    },
  ];
}
