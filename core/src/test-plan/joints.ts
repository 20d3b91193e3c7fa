import type { CircuitPlan, SettledState } from '../circuit/index.js';
import { figure, sentence } from '../quantity/index.js';
import type { Meter } from '../verdicts/index.js';
import type { Stand } from './more.js';
import type { TestRow } from './rows.js';

/** What a sound joint loses at most: its resistance, and volts however much flows. Handled as a planning limit; a maker's own wins. */
export const JOINT = { ohm: 0.0005, mostV: 0.02 } as const;
/** From this current a bad joint warms up before it is felt any other way, A. */
const FROM_A = 30;
const MINUTES = 2;
/** A hand meter on its range of millivolts: a share, and two digits, mV. */
const MILLIVOLTS: Meter = { kind: 'volt', share: 0.005, absolute: 0.2 };

/** Most that a joint may lose at some amps, mV. @example jointMostMv(30) // 15 */
export const jointMostMv = (amp: number): number => 1000 * Math.min(JOINT.ohm * amp, JOINT.mostV);

interface Read {
  readonly stand: Stand;
  readonly state: SettledState;
}

/** For each heavy run the worst of its joints, in the stand in which most flows through it. */
export function jointRows({ runs }: CircuitPlan, read: readonly Read[]): ReadonlyMap<string, readonly TestRow[]> {
  const rows = new Map<string, TestRow[]>();
  for (const { spec } of runs) {
    const ampIn = ({ state }: Read): number => Math.abs(state.runs.get(spec.id)?.amp ?? 0);
    const [most] = [...read].sort((a, b) => ampIn(b) - ampIn(a));
    const amp = most ? ampIn(most) : 0;
    if (!most || amp < FROM_A) continue;
    const expected = jointMostMv(amp);
    const row: TestRow = {
      id: `${most.stand.id}.joint:${spec.id}`,
      where: `Worst joint of ${sentence(spec.name)}`,
      state: `stud to lug, both poles, ${figure(amp, 0)} A flowing`,
      meter: MILLIVOLTS,
      unit: 'mV',
      expected,
      tolerance: MILLIVOLTS.share! * expected + MILLIVOLTS.absolute!,
      atMost: true,
      dropV: 0,
      mostV: null,
      run: spec.name,
      currentA: amp,
      minutes: MINUTES,
      about: spec.id,
      look: 'take it apart, clean both faces, crimp anew if the lug turns, and torque it; a fuse between the tips loses more than a joint',
    };
    rows.set(most.stand.id, [...(rows.get(most.stand.id) ?? []), row]);
  }
  return rows;
}
