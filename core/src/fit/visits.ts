import { buildOrder } from '../build-order/index.js';
import type { FitStep } from './step.js';

/** Going to another place with what is needed there, and picking up another tool, min: defaults. */
const PLACE_CHANGE_MIN = 6;
const TOOL_CHANGE_MIN = 1.5;
/** Orders that are followed up side by side: somebody stands at the vehicle and waits, and six times as many save a minute or two of an hour. */
const FOLLOWED = 10_000;

/** Steps that are done in one place before one goes to the next. */
export interface Visit {
  readonly place: string;
  readonly steps: readonly FitStep[];
  readonly minutes: number;
}

/** The build in the order that climbs in and changes tools least. */
export interface BuildPlan {
  readonly visits: readonly Visit[];
  /** Of the steps themselves, min. */
  readonly workMin: number;
  /** Of going and changing tools: in this order, and step by step down the list by kind of work. */
  readonly changeMin: number;
  readonly listedChangeMin: number;
  readonly listedVisits: number;
  /** No order of these steps can stay below this, min; the same as `changeMin` where it is proved the least. */
  readonly leastChangeMin: number;
}

/** What one order of steps costs in going and tools. */
function walk(steps: readonly FitStep[]): { readonly changeMin: number; readonly visits: number } {
  let [place, tool, changeMin, visits]: [string | null, string | null, number, number] = [null, null, 0, 0];
  for (const s of steps) {
    if (s.place !== place) {
      changeMin += place === null ? 0 : PLACE_CHANGE_MIN;
      [place, tool, visits] = [s.place, null, visits + 1];
    }
    if (s.tool === null) continue;
    if (tool !== null && tool !== s.tool) changeMin += TOOL_CHANGE_MIN;
    tool = s.tool;
  }
  return { changeMin, visits };
}

function visitsOf(steps: readonly FitStep[]): Visit[] {
  const out: { place: string; steps: FitStep[]; minutes: number }[] = [];
  for (const s of steps) {
    const last = out.at(-1);
    if (last?.place === s.place) {
      last.steps.push(s);
      last.minutes += s.minutes;
    } else out.push({ place: s.place, steps: [s], minutes: s.minutes });
  }
  return out;
}

/**
 * The steps of a build place by place, none before what it waits for, with the least going and changing of tools that is
 * found; long lists say the bound below which none can stay.
 * @example buildPlan(assess(design, catalogue).fit).visits[0].place // 'at the vehicle'
 */
export function buildPlan(steps: readonly FitStep[]): BuildPlan {
  const [first] = steps;
  const there = new Set(steps.map((s) => s.id));
  const found = first
    ? buildOrder(
        {
          startPlace: first.place,
          placeChangeMin: PLACE_CHANGE_MIN,
          toolChangeMin: TOOL_CHANGE_MIN,
          steps: steps.map(({ id, place, minutes, after, tool }) => ({ id, place, minutes, after: after.filter((a) => there.has(a)), tool })),
        },
        FOLLOWED,
      )
    : null;
  const byId = new Map(steps.map((s) => [s.id, s]));
  // A ring of steps would be a fault of ours: the list by kind of work stands then as it is.
  const ordered = found && !('error' in found) ? found.order.map((id) => byId.get(id)!) : steps;
  const listed = walk(steps);
  const { changeMin } = walk(ordered);
  return {
    visits: visitsOf(ordered),
    workMin: steps.reduce((sum, s) => sum + s.minutes, 0),
    changeMin,
    listedChangeMin: listed.changeMin,
    listedVisits: listed.visits,
    leastChangeMin: found && !('error' in found) ? (found.leastChangeMin ?? found.changeMin) : changeMin,
  };
}
