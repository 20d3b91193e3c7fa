import { COMPARE_SLACK } from '../quantity/index.js';
import { earliest, freeFor, holdsOf, type Slot, slotsOf } from './slots.js';
import type { PlacedJob, WeekJob, WeekPlan, WeekTask } from './task.js';

/** A search gives up after so many branches, and says so. */
const MOST_BRANCHES = 400_000;

/** Left, lateness, sum of ends: what is to be kept small, in turn. */
type Cost = readonly [number, number, number];

const NEVER: Cost = [Infinity, Infinity, Infinity];
const plus = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

function less(a: Cost, b: Cost): boolean {
  for (let i = 0; i < a.length; i++) if (Math.abs(a[i]! - b[i]!) > COMPARE_SLACK) return a[i]! < b[i]!;
  return false;
}

function costAt(job: WeekJob, start: number): Cost {
  const finish = start + job.halfDays - 1;
  return [0, job.weight * Math.max(0, finish - job.promisedHalfDay), finish];
}

/** A fixed job is never left out. */
const leftOut = (job: WeekJob): Cost => (job.fixed ? NEVER : [job.weight, 0, 0]);

type Order = (a: WeekJob, b: WeekJob) => number;

const heaviest: Order = (a, b) => b.weight - a.weight || b.halfDays - a.halfDays;
/** Turns in which jobs are taken for a first plan, the longest way of looking last: that one is then searched through. */
const TURNS: readonly Order[] = [
  (a, b) => a.promisedHalfDay - b.promisedHalfDay,
  (a, b) => b.halfDays - a.halfDays,
  (a, b) => Number(b.licensed) - Number(a.licensed) || b.halfDays - a.halfDays,
  heaviest,
];

interface Found {
  readonly cost: Cost;
  readonly plan: readonly PlacedJob[];
}

/** The best plan that one turn of the jobs leads to, within so many branches. */
class Search {
  branches = 0;
  best: Found = { cost: NEVER, plan: [] };
  private readonly holds;
  private readonly slots: readonly (readonly Slot[])[];
  private readonly jobs: readonly WeekJob[];
  private most = 0;

  constructor(task: WeekTask, order: Order) {
    this.jobs = [...task.jobs].sort((a, b) => Number(!a.fixed) - Number(!b.fixed) || order(a, b));
    this.slots = this.jobs.map((j) => slotsOf(j, task));
    this.holds = holdsOf(task);
  }

  run(best: Found, most: number): void {
    this.best = best;
    this.most = most;
    this.visit(0, [0, 0, 0], []);
  }

  /** The least that the jobs from here on can add, each as if it were alone with what is taken now. */
  private bound(from: number): Cost {
    let sum: Cost = [0, 0, 0];
    for (let i = from; i < this.jobs.length; i++) {
      const job = this.jobs[i]!;
      const slot = earliest(job, this.slots[i]!, this.holds);
      const [there, out] = [slot ? costAt(job, slot.start) : NEVER, leftOut(job)];
      sum = plus(sum, less(out, there) ? out : there);
    }
    return sum;
  }

  private visit(i: number, cost: Cost, plan: readonly PlacedJob[]): void {
    if (++this.branches > this.most) return;
    if (i === this.jobs.length) {
      if (less(cost, this.best.cost)) this.best = { cost, plan };
      return;
    }
    if (!less(plus(cost, this.bound(i)), this.best.cost)) return;
    const job = this.jobs[i]!;
    for (const { start, span } of this.slots[i]!)
      for (const bay of freeFor(job, this.holds.bays, span, true))
        for (const person of freeFor(job, this.holds.people, span, false)) {
          bay.taken |= span;
          person.taken |= span;
          this.visit(i + 1, plus(cost, costAt(job, start)), [...plan, { id: job.id, bay: bay.id, person: person.id, start }]);
          bay.taken &= ~span;
          person.taken &= ~span;
        }
    if (!job.fixed) this.visit(i + 1, plus(cost, leftOut(job)), plan);
  }
}

/** The best plan for these jobs: a short look in several turns, then all branches of the last, tried or given up after so many. */
export function search(task: WeekTask, mostBranches = MOST_BRANCHES): WeekPlan {
  let best: Found = { cost: NEVER, plan: [] };
  let given = false;
  for (const [i, order] of TURNS.entries()) {
    const turn = new Search(task, order);
    const most = i === TURNS.length - 1 ? mostBranches : mostBranches / 40;
    turn.run(best, most);
    best = turn.best;
    given = turn.branches > most;
    if (!given) break;
  }
  const order = new Map(task.jobs.map((j, i) => [j.id, i]));
  const plan = [...best.plan].sort((a, b) => order.get(a.id)! - order.get(b.id)!);
  const [left, lateness, finishSum] = best.cost;
  return { left, lateness, finishSum, plan, ...(given ? { proved: false as const } : {}) };
}
