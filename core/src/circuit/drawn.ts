import { inverterInputW } from '../catalogue/index.js';
import { invertersOf, standsIn } from '../plant/index.js';
import type { CircuitLoad } from '../network/index.js';
import { largestTogether, type DayLoad } from '../loads/index.js';
import { converterPosts, terminals } from '../routes/index.js';
import type { CircuitPlan } from './plan.js';
import { vehicleTakesA } from './units.js';
import type { CircuitState } from './state.js';

/** What draws in a state, and where it stands in the circuit. */
export interface Drawn extends CircuitLoad {
  readonly name: string;
  /** The piece of gear that draws. */
  readonly gear: string;
  /** The load that it is; null: the inverter, what was there before, the vehicle itself. */
  readonly load: string | null;
}

/** Loads that may run at once: of those that exclude one another the heavier. */
function together(loads: readonly DayLoad[], watts: (l: DayLoad) => number): ReadonlySet<string> {
  return new Set(largestTogether(loads.map((l) => ({ id: l.id, watts: watts(l), never: l.never }))).ids);
}

/** Which loads run: all that may at once, one alone, or none. */
function running(plan: CircuitPlan, state: CircuitState): ReadonlySet<string> {
  if (state.loads === 'off') return new Set();
  if (typeof state.loads === 'object') return new Set(state.loads.only);
  const { loads, onVehicle } = plan.day;
  return new Set([
    ...together(onVehicle, (l) => l.runningW),
    ...together(
      loads.filter((l) => !l.mains),
      (l) => l.runningW,
    ),
    ...together(
      loads.filter((l) => l.mains),
      (l) => l.ownW,
    ),
  ]);
}

/** The load that starts hardest, at its start. */
function starter(loads: readonly DayLoad[]): DayLoad | null {
  return loads.reduce<DayLoad | null>((hard, l) => (l.startW - l.runningW > (hard ? hard.startW - hard.runningW : 0) ? l : hard), null);
}

function inverterDraw(plan: CircuitPlan, state: CircuitState, thing: ReturnType<typeof invertersOf>[number], on: readonly DayLoad[], hardest: DayLoad | null): Drawn | null {
  const {
    part,
    ref,
    ports: { mainsIn, mainsOut },
  } = thing;
  const joined = thing.inside ?? plan.runs.find((r) => r.spec.role === 'inverter feed' && r.spec.serves.id === ref.id);
  // Plugged in, an inverter-charger passes the mains on to its loads.
  if (!joined || (state.mains && mainsIn)) return null;
  const behind = on.filter((l) => l.inverter === ref.id);
  const wantsW = behind.reduce((sum, l) => sum + l.ownW * (l === hardest && l.runningW > 0 ? l.startW / l.runningW : 1), 0);
  const acW = Math.min(wantsW, hardest?.inverter === ref.id ? mainsOut.surgeW : mainsOut.ratedW);
  return { id: ref.id, name: part.name, gear: standsIn(thing).id, load: null, ...converterPosts(thing, null), kind: 'power', value: inverterInputW(acW, mainsOut.ratedW) };
}

/** What hung on a tapped wire before anything was added. */
function thereBefore(plan: CircuitPlan, state: CircuitState): Drawn[] {
  if (typeof state.loads === 'object' || state.loads === 'off') return [];
  return plan.runs
    .filter((r) => r.spec.existing)
    .flatMap(({ spec }): Drawn[] => {
      const amps = plan.design.brief.traces[spec.serves.id]?.presentA ?? 0;
      return amps > 0
        ? [{ id: `there:${spec.id}`, name: `${spec.to.name}: what was there before`, gear: spec.to.gear, load: null, plus: spec.to.plus, minus: spec.to.minus, kind: 'current', value: amps }]
        : [];
    });
}

/** Everything that draws in a state: loads with a run, the inverter with what hangs on it, and the running vehicle itself. */
export function drawnIn(plan: CircuitPlan, state: CircuitState): Drawn[] {
  const ids = running(plan, state);
  // A lead to another bank runs as that takes it, whatever else is on.
  const runs = ({ id }: DayLoad): boolean => (plan.outletW?.[id] === undefined ? ids.has(id) : plan.outletW[id] > 0);
  const on = [...plan.day.loads, ...plan.day.onVehicle].filter(runs);
  const hardest = state.loads === 'surge' ? starter(on) : null;
  const wired = new Map(plan.runs.flatMap((r) => (r.spec.role === 'load feed' ? [[r.spec.serves.id, r.spec.to] as const] : [])));
  const dc = on
    .filter((l) => !l.mains && wired.has(l.id))
    .map((l): Drawn => {
      const surge = l === hardest && l.runningW > 0 ? l.startW / l.runningW : 1;
      const takenW = plan.outletW?.[l.id];
      const value = takenW ?? (l.kind === 'current' ? l.runningA : l.runningW) * surge;
      const { gear, plus, minus } = wired.get(l.id)!;
      return { id: gear, name: l.name, gear, load: l.id, plus, minus, kind: takenW === undefined ? l.kind : 'power', value };
    })
    .filter((l) => l.value > 0);
  // One that nothing runs on still draws by itself, unless all is off or just these loads are on.
  const waits = state.loads !== 'off' && typeof state.loads !== 'object';
  const inverters = invertersOf(plan.design, plan.catalogue)
    .filter((i) => waits || on.some((l) => l.inverter === i.ref.id))
    .flatMap((i) => inverterDraw(plan, state, i, on, hardest) ?? []);
  const onStarting = plan.runs.some((r) => r.spec.from.ref.in === 'vehicles');
  const vehicle: Drawn[] =
    state.engine !== 'off' && onStarting
      ? [{ id: 'vehicle', name: 'the vehicle’s own', gear: 'starting', load: null, ...terminals('starting'), kind: 'current', value: vehicleTakesA(plan.design) }]
      : [];
  const { besideW = 0 } = plan;
  const beside: Drawn[] = besideW === 0 || !onStarting ? [] : [{ id: 'beside', name: 'other vehicles on it', gear: 'starting', load: null, ...terminals('starting'), kind: 'power', value: besideW }];
  return [...dc, ...thereBefore(plan, state), ...inverters, ...vehicle, ...beside];
}
