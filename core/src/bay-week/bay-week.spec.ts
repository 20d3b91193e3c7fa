import fc from 'fast-check';
import { vectorFile } from '../testing/vectors.js';
import { planWeek } from './plan.js';
import { type PlacedJob, type WeekTask, weekSchema } from './task.js';

/** Left, lateness and sum of ends of a plan, checked against bays, people and terms; a word where it cannot be kept. */
function kept(task: WeekTask, plan: readonly PlacedJob[]): string | readonly [number, number, number] {
  let [late, ends] = [0, 0];
  const held = new Set<string>();
  for (const p of plan) {
    const job = task.jobs.find((j) => j.id === p.id)!;
    const person = task.people.find((x) => x.id === p.person);
    const finish = p.start + job.halfDays - 1;
    if (!person || !task.bays.includes(p.bay) || (job.needs === 'senior' && person.skill !== 'senior')) return `${p.id}: nobody or nowhere`;
    if (p.start < job.partsFromHalfDay || finish >= task.horizon || (job.licensed && !task.licensedHalfDays.includes(finish))) return `${p.id}: not then`;
    if (job.fixed && (job.fixed.bay !== p.bay || job.fixed.start !== p.start)) return `${p.id}: was promised`;
    for (let h = p.start; h <= finish; h++)
      for (const key of [`bay ${p.bay} ${h}`, `person ${p.person} ${h}`]) {
        if (held.has(key) || person.away.includes(h)) return `${p.id}: ${key} is taken`;
        held.add(key);
      }
    late += job.weight * Math.max(0, finish - job.promisedHalfDay);
    ends += finish;
  }
  const left = task.jobs.filter((j) => !plan.some((p) => p.id === j.id));
  return left.some((j) => j.fixed) ? 'a promise is left out' : [left.reduce((s, j) => s + j.weight, 0), late, ends];
}

function* plans(task: WeekTask, at = 0, plan: PlacedJob[] = []): Generator<PlacedJob[]> {
  const job = task.jobs[at];
  if (!job) {
    yield plan;
    return;
  }
  yield* plans(task, at + 1, plan);
  for (const bay of task.bays)
    for (const person of task.people) for (let start = 0; start < task.horizon; start++) yield* plans(task, at + 1, [...plan, { id: job.id, bay, person: person.id, start }]);
}

const halfDay = fc.nat(4);
const tasks: fc.Arbitrary<WeekTask> = fc
  .record({
    bays: fc.constantFrom(['A'], ['A', 'B']),
    people: fc.array(fc.record({ skill: fc.constantFrom('any', 'senior'), away: fc.array(halfDay, { maxLength: 1 }) }), { minLength: 1, maxLength: 2 }),
    licensedHalfDays: fc.array(halfDay, { maxLength: 3 }),
    jobs: fc.array(
      fc.record({
        halfDays: fc.integer({ min: 1, max: 3 }),
        partsFromHalfDay: fc.nat(2),
        promisedHalfDay: halfDay,
        weight: fc.nat(3),
        needs: fc.constantFrom('any', 'senior'),
        licensed: fc.constantFrom(false, false, true),
        fixed: fc.constantFrom(null, null, { bay: 'A', start: 1 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map((p) => weekSchema.parse({ horizon: 5, ...p, people: p.people.map((x, i) => ({ id: `f${i}`, ...x })), jobs: p.jobs.map((j, i) => ({ id: `j${i}`, ...j })) }));

describe('a week of the workshop', () => {
  for (const c of vectorFile('week.json').cases) {
    const task = weekSchema.parse(c.input);
    const answer = planWeek(task);
    if (!('error' in answer)) it(`${c.name}: its plan can be kept and comes to what it says`, () => expect(kept(task, answer.plan)).toEqual([answer.left, answer.lateness, answer.finishSum]));
  }

  it('is the best of all plans, or says what cannot be', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        const answer = planWeek(task);
        const all = [...plans(task)].map((p) => kept(task, p)).filter((k) => typeof k !== 'string');
        if ('error' in answer && answer.error === 'no-place') {
          const alone = (id: string): boolean =>
            [...plans({ ...task, jobs: task.jobs.filter((j) => j.id === id) })].some((p) => p.length === 1 && typeof kept({ ...task, jobs: task.jobs.filter((j) => j.id === id) }, p) !== 'string');
          return task.jobs.every((j) => alone(j.id) !== answer.jobs.includes(j.id));
        }
        if ('error' in answer) return all.length === 0;
        const best = all.reduce((a, b) => ((b[0] - a[0] || b[1] - a[1] || b[2] - a[2]) < 0 ? b : a));
        return JSON.stringify(kept(task, answer.plan)) === JSON.stringify(best);
      }),
      { numRuns: 60 },
    );
  });

  it('of fourteen jobs is planned, every promise kept', () => {
    const jobs = Array.from({ length: 14 }, (_, i) => ({
      id: `j${i}`,
      halfDays: 1 + (i % 4),
      partsFromHalfDay: i % 3,
      promisedHalfDay: 3 + (i % 7),
      weight: 1 + (i % 3),
      needs: i % 5 ? 'any' : 'senior',
      licensed: i % 6 === 0,
      ...(i === 3 ? { fixed: { bay: 'B', start: 2 } } : {}),
    }));
    const task = weekSchema.parse({
      horizon: 20,
      bays: ['A', 'B'],
      people: [
        { id: 'f1', skill: 'senior' },
        { id: 'f2', skill: 'any', away: [4, 5] },
        { id: 'f3', skill: 'any' },
      ],
      licensedHalfDays: [3, 7, 11, 15],
      jobs,
    });
    const answer = planWeek(task);
    if ('error' in answer) throw new Error(answer.error);
    expect(kept(task, answer.plan)).toEqual([answer.left, answer.lateness, answer.finishSum]);
    expect(answer.left).toBe(0);
  });
  it('refuses a promise in a bay that is not there', () => {
    const job = { id: 'a', halfDays: 1, promisedHalfDay: 1, weight: 1, needs: 'any', fixed: { bay: 'C', start: 0 } };
    expect(weekSchema.safeParse({ horizon: 4, bays: ['A'], people: [], jobs: [job] }).error?.issues[0]?.message).toBe('one of A is accepted');
  });
});
