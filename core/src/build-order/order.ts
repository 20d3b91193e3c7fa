import { COMPARE_SLACK } from '../quantity/index.js';
import { leastChangeMin } from './bound.js';
import { cycleIn } from './cycle.js';
import type { BuildStep, BuildTask } from './task.js';

export interface BuildOrder {
  readonly changeMin: number;
  /** Times that one arrives at another place. */
  readonly placeChanges: number;
  readonly order: readonly string[];
  /** Only where the list was too long to try all: no order can stay below this, min. */
  readonly leastChangeMin?: number;
}

export type BuildOrderAnswer = BuildOrder | { readonly error: 'cycle'; readonly steps: readonly string[] };

/** So many states of one length are followed up; beyond that the better ones. Fourteen steps never come to as many. */
const MOST_STATES = 60_000;

/** Where one stands: what is done, where, and with which tool in hand. */
interface State {
  readonly done: bigint;
  readonly place: string;
  readonly tool: string | null;
  readonly changeMin: number;
  readonly placeChanges: number;
  readonly last: number;
  readonly from: State | null;
}

const better = (a: State, b: State): boolean => a.changeMin < b.changeMin - COMPARE_SLACK || (a.changeMin <= b.changeMin + COMPARE_SLACK && a.placeChanges < b.placeChanges);

/** A step done next; one arrives with no tool in hand, so that the first there is free. */
function after(state: State, step: BuildStep, index: number, task: BuildTask): State {
  const arrives = step.place !== state.place;
  const hand = arrives ? null : state.tool;
  const changes = step.tool != null && hand !== null && hand !== step.tool;
  return {
    done: state.done | (1n << BigInt(index)),
    place: step.place,
    tool: step.tool ?? hand,
    changeMin: state.changeMin + (arrives ? task.placeChangeMin : 0) + (changes ? task.toolChangeMin : 0),
    placeChanges: state.placeChanges + (arrives ? 1 : 0),
    last: index,
    from: state,
  };
}

/** Steps that can be done now. One that is here and wants nothing but what is in hand is never worse done at once, so it stands alone. */
function next(state: State, task: BuildTask, needs: readonly bigint[]): number[] {
  const open = task.steps.flatMap((_, i) => (((state.done >> BigInt(i)) & 1n) === 0n && (state.done & needs[i]!) === needs[i]! ? [i] : []));
  const atOnce = open.find((i) => task.steps[i]!.place === state.place && (task.steps[i]!.tool == null || task.steps[i]!.tool === state.tool));
  return atOnce === undefined ? open : [atOnce];
}

function orderOf(end: State, steps: readonly BuildStep[]): string[] {
  const order: string[] = [];
  for (let s: State | null = end; s && s.last >= 0; s = s.from) order.unshift(steps[s.last]!.id);
  return order;
}

/**
 * An order of steps that keeps every `after`, with the least minutes of walking and of changing tools, then with the fewest
 * walks. Steps of one number done, place and tool are carried on together, so that all orders are tried as long as there is
 * room for them; a longer list follows the better ones and says below what no order can stay.
 *
 * @example buildOrder({ startPlace: 'dash', placeChangeMin: 5, toolChangeMin: 2, steps: [{ id: 'drill', place: 'roof', minutes: 9, after: [], tool: 'drill' }] }) // { changeMin: 5, placeChanges: 1, order: ['drill'] }
 */
export function buildOrder(task: BuildTask): BuildOrderAnswer {
  const cycle = cycleIn(task.steps);
  if (cycle) return { error: 'cycle', steps: cycle };
  const at = new Map(task.steps.map((s, i) => [s.id, i]));
  const needs = task.steps.map((s) => s.after.reduce((mask, a) => mask | (1n << BigInt(at.get(a)!)), 0n));
  let layer: State[] = [{ done: 0n, place: task.startPlace, tool: null, changeMin: 0, placeChanges: 0, last: -1, from: null }];
  let cut = false;
  for (let n = 0; n < task.steps.length; n++) {
    const found = new Map<string, State>();
    for (const state of layer)
      for (const i of next(state, task, needs)) {
        const now = after(state, task.steps[i]!, i, task);
        const key = `${now.done}|${now.place}|${now.tool ?? ''}`;
        const known = found.get(key);
        if (!known || better(now, known)) found.set(key, now);
      }
    layer = [...found.values()];
    if (layer.length > MOST_STATES) {
      layer.sort((a, b) => a.changeMin - b.changeMin || a.placeChanges - b.placeChanges);
      layer.length = MOST_STATES;
      cut = true;
    }
  }
  const end = layer.reduce((a, b) => (better(b, a) ? b : a));
  const answer = { changeMin: end.changeMin, placeChanges: end.placeChanges, order: orderOf(end, task.steps) };
  return cut ? { ...answer, leastChangeMin: leastChangeMin(task) } : answer;
}
