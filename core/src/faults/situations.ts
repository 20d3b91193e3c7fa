import { PARKED, settle, type CircuitPlan, type CircuitState, type SettledState } from '../circuit/index.js';
import { fromPlug, withPort } from '../plant/index.js';

/** How things stand while it is measured. */
export const SITUATIONS = {
  loads: { words: 'engine off, every load on', state: PARKED, minutes: 0 },
  rest: { words: 'engine off, all off, rested', state: { ...PARKED, loads: 'off' }, minutes: 0 },
  engine: { words: 'engine at 2000 rpm, loads off, bank well below full', state: { ...PARKED, engine: 'cruise', loads: 'off' }, minutes: 1 },
  sun: { words: 'full sun, engine off, loads off, bank well below full', state: { ...PARKED, loads: 'off', sun: 'full' }, minutes: 1 },
  mains: { words: 'plugged in to what charges it, loads off, bank well below full', state: { ...PARKED, loads: 'off', mains: true }, minutes: 2 },
  full: {
    words: 'bank nearly full, engine at 2000 rpm and plugged in where there is an inlet, loads off',
    state: { ...PARKED, engine: 'cruise', mains: true, charging: 'absorption', loads: 'off' },
    minutes: 5,
  },
  kept: {
    words: 'bank nearly full, in the sun or plugged in, engine off, loads off',
    state: { ...PARKED, sun: 'full', mains: true, charging: 'absorption', loads: 'off' },
    minutes: 5,
  },
} as const satisfies Readonly<Record<string, { readonly words: string; readonly state: CircuitState; readonly minutes: number }>>;
export type Situation = keyof typeof SITUATIONS;

/** Situations that a rig can be brought into. */
export function situationsOf(plan: CircuitPlan): readonly Situation[] {
  const engine = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const sun = plan.plant.arrays.some((a) => a.into?.in === 'converters');
  const mains = fromPlug(plan.plant).length > 0;
  const there: Readonly<Record<Situation, boolean>> = { loads: true, rest: true, engine, sun, mains, full: engine || mains, kept: withPort(plan.plant, 'startOut').length > 0 && (sun || mains) };
  return (Object.keys(SITUATIONS) as Situation[]).filter((s) => there[s]);
}

export type Settled = ReadonlyMap<Situation, SettledState>;

/** A plan in each of some situations; null where one of them does not settle. */
export function settled(plan: CircuitPlan, all: readonly Situation[]): Settled | null {
  const out = new Map<Situation, SettledState>();
  for (const s of all) {
    const r = settle(plan, SITUATIONS[s].state);
    if (!r.ok) return null;
    out.set(s, r);
  }
  return out;
}
