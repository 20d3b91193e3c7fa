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

/** So many steps are tried in every order that there is room for; longer lists begin with fewer states, which is mostly enough to reach the bound. */
const TRIED_WHOLE = 14;
/** So many states of one length are followed up; beyond that the better ones. Fourteen steps never come to the last of them. */
const WIDTHS = [1000, 10_000, 60_000] as const;

/** Where one stands: what is done, where, and with which tool in hand. */
/** Steps as bits, thirty to a word: whole numbers of this size are quick. */
type Bits = readonly number[];
const WORD = 30;

const has = (bits: Bits, i: number): boolean => ((bits[Math.floor(i / WORD)]! >> (i % WORD)) & 1) === 1;
const holdsAll = (bits: Bits, of: Bits): boolean => of.every((w, k) => (bits[k]! & w) === w);

function withBit(bits: Bits, i: number): Bits {
  const out = bits.slice();
  out[Math.floor(i / WORD)]! |= 1 << (i % WORD);
  return out;
}

const noBits = (many: number): Bits => Array.from({ length: Math.ceil(many / WORD) }, () => 0);

interface State {
  readonly done: Bits;
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
    done: withBit(state.done, index),
    place: step.place,
    tool: step.tool ?? hand,
    changeMin: state.changeMin + (arrives ? task.placeChangeMin : 0) + (changes ? task.toolChangeMin : 0),
    placeChanges: state.placeChanges + (arrives ? 1 : 0),
    last: index,
    from: state,
  };
}

/**
 * Steps that can be done now. One that is here and wants nothing but what is in hand is never worse done at once, so it
 * stands alone; unless going away and coming back is cheaper than another tool: then a step left behind may be what one
 * goes for.
 */
function next(state: State, task: BuildTask, needs: readonly Bits[]): number[] {
  const open: number[] = [];
  for (let i = 0; i < task.steps.length; i++) if (!has(state.done, i) && holdsAll(state.done, needs[i]!)) open.push(i);
  if (task.toolChangeMin > 2 * task.placeChangeMin) return open;
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
 * room for them; a longer list follows the better ones and says below what no order can stay. `most`: so many states of
 * one length are followed up at most, where somebody waits for the answer.
 *
 * @example buildOrder({ startPlace: 'dash', placeChangeMin: 5, toolChangeMin: 2, steps: [{ id: 'drill', place: 'roof', minutes: 9, after: [], tool: 'drill' }] }) // { changeMin: 5, placeChanges: 1, order: ['drill'] }
 */
export function buildOrder(task: BuildTask, most: number = Infinity): BuildOrderAnswer {
  const cycle = cycleIn(task.steps);
  if (cycle) return { error: 'cycle', steps: cycle };
  const least = leastChangeMin(task);
  let best: BuildOrder | null = null;
  for (const width of task.steps.length > TRIED_WHOLE ? WIDTHS.filter((w) => w <= Math.max(most, WIDTHS[0])) : WIDTHS.slice(-1)) {
    const { end, cut } = followed(task, width);
    const answer = { changeMin: end.changeMin, placeChanges: end.placeChanges, order: orderOf(end, task.steps) };
    if (!cut) return answer;
    if (!best || answer.changeMin < best.changeMin || (answer.changeMin === best.changeMin && answer.placeChanges < best.placeChanges)) best = { ...answer, leastChangeMin: least };
    if (best.changeMin <= least + COMPARE_SLACK) break;
  }
  return best!;
}

/** Steps of each place, as a mask. */
function placesOf(steps: readonly BuildStep[]): ReadonlyMap<string, Bits> {
  const out = new Map<string, Bits>();
  const none = noBits(steps.length);
  steps.forEach((s, i) => out.set(s.place, withBit(out.get(s.place) ?? none, i)));
  return out;
}

/** Walking that is left at least: every other place with a step to do is arrived at once more. */
function aheadMin({ done, place }: State, { placeChangeMin }: BuildTask, places: ReadonlyMap<string, Bits>): number {
  let many = 0;
  for (const [at, mask] of places) if (at !== place && !holdsAll(done, mask)) many++;
  return many * placeChangeMin;
}

/** The best end of all orders, or of those that the better states of each length lead to. */
function followed(task: BuildTask, width: number): { readonly end: State; readonly cut: boolean } {
  const at = new Map(task.steps.map((s, i) => [s.id, i]));
  const none = noBits(task.steps.length);
  const needs = task.steps.map((s) => s.after.reduce((mask, a) => withBit(mask, at.get(a)!), none));
  let layer: State[] = [{ done: none, place: task.startPlace, tool: null, changeMin: 0, placeChanges: 0, last: -1, from: null }];
  const places = placesOf(task.steps);
  let cut = false;
  for (let n = 0; n < task.steps.length; n++) {
    const found = new Map<string, State>();
    for (const state of layer)
      for (const i of next(state, task, needs)) {
        const now = after(state, task.steps[i]!, i, task);
        const key = `${now.done.join()}|${now.place}|${now.tool ?? ''}`;
        const known = found.get(key);
        if (!known || better(now, known)) found.set(key, now);
      }
    layer = [...found.values()];
    if (layer.length > width) {
      const ahead = new Map(layer.map((state) => [state, state.changeMin + aheadMin(state, task, places)]));
      layer.sort((a, b) => ahead.get(a)! - ahead.get(b)! || a.placeChanges - b.placeChanges);
      layer.length = width;
      cut = true;
    }
  }
  return { end: layer.reduce((a, b) => (better(b, a) ? b : a)), cut };
}
