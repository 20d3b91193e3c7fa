import fc from 'fast-check';
import { vectorFile } from '../testing/vectors.js';
import { leastChangeMin } from './bound.js';
import { buildOrder } from './order.js';
import { type BuildTask, buildOrderSchema } from './task.js';

/** Minutes and walks of an order done step by step; a word where a step comes too early. */
function walked(task: BuildTask, order: readonly string[]): string | readonly [number, number] {
  let [place, tool, minutes, walks]: [string, string | null, number, number] = [task.startPlace, null, 0, 0];
  const done = new Set<string>();
  for (const id of order) {
    const step = task.steps.find((s) => s.id === id);
    if (!step || done.has(id) || step.after.some((a) => !done.has(a))) return `${id} cannot be done now`;
    done.add(id);
    if (step.place !== place) [place, tool, minutes, walks] = [step.place, null, minutes + task.placeChangeMin, walks + 1];
    if (step.tool == null) continue;
    if (tool !== null && tool !== step.tool) minutes += task.toolChangeMin;
    tool = step.tool;
  }
  return done.size === task.steps.length ? [minutes, walks] : 'steps are left';
}

function* orders(ids: readonly string[], first: readonly string[] = []): Generator<readonly string[]> {
  if (ids.length === 0) yield first;
  for (const id of ids)
    yield* orders(
      ids.filter((x) => x !== id),
      [...first, id],
    );
}

const tasks = (most: number): fc.Arbitrary<BuildTask> =>
  fc
    .record({
      placeChangeMin: fc.constantFrom(0, 2, 5),
      toolChangeMin: fc.constantFrom(0, 1, 3, 5),
      steps: fc.array(fc.record({ place: fc.constantFrom('dash', 'roof', 'bonnet'), tool: fc.constantFrom('drill', 'crimper', null), waits: fc.array(fc.nat(20), { maxLength: 2 }) }), {
        minLength: 1,
        maxLength: most,
      }),
    })
    .map(({ steps, ...p }) => ({
      startPlace: 'dash',
      ...p,
      steps: steps.map((s, i) => ({ id: `s${i}`, place: s.place, tool: s.tool, minutes: 5, after: i ? [...new Set(s.waits.map((w) => `s${w % i}`))] : [] })),
    }));

const found = (task: BuildTask): Exclude<ReturnType<typeof buildOrder>, { error: string }> => {
  const answer = buildOrder(task);
  if ('error' in answer) throw new Error(answer.error);
  return answer;
};

describe('a build order', () => {
  for (const c of vectorFile('build-order.json').cases) {
    const task = buildOrderSchema.parse(c.input);
    const answer = buildOrder(task);
    if (!('error' in answer)) it(`${c.name}: walked step by step it comes to what it says`, () => expect(walked(task, answer.order)).toEqual([answer.changeMin, answer.placeChanges]));
  }

  it('is the best of all orders', () => {
    fc.assert(
      fc.property(tasks(6), (task) => {
        const own = found(task);
        const all = [...orders(task.steps.map((s) => s.id))].map((o) => walked(task, o)).filter((w) => typeof w !== 'string');
        const [minutes, walks] = all.reduce((a, b) => (b[0] < a[0] || (b[0] === a[0] && b[1] < a[1]) ? b : a));
        return own.changeMin === minutes && own.placeChanges === walks && leastChangeMin(task) <= minutes;
      }),
      { numRuns: 300 },
    );
  });

  it('of sixty steps keeps every “after”, and says how far it may be from the least', () => {
    const task: BuildTask = {
      startPlace: 'p0',
      placeChangeMin: 4,
      toolChangeMin: 2,
      steps: Array.from({ length: 60 }, (_, i) => ({
        id: `s${i}`,
        place: `p${(i * 7) % 6}`,
        tool: [null, 'drill', 'crimper', 'meter'][i % 4]!,
        minutes: 5,
        after: i > 8 && i % 3 === 0 ? [`s${i - 8}`] : [],
      })),
    };
    const answer = found(task);
    expect(walked(task, answer.order)).toEqual([answer.changeMin, answer.placeChanges]);
    expect(answer.leastChangeMin ?? answer.changeMin).toBeLessThanOrEqual(answer.changeMin);
  });

  it('leaves a step behind to come back for it, where that is cheaper than another tool', () => {
    const step = (id: string, place: string, tool: string, ...after: string[]) => ({ id, place, tool, minutes: 5, after });
    const steps = [step('s0', 'bonnet', 'drill'), step('s1', 'dash', 'crimper', 's0'), step('s2', 'bonnet', 'drill'), step('s3', 'dash', 'drill', 's0'), step('s4', 'dash', 'drill')];
    const answer = found({ startPlace: 'dash', placeChangeMin: 0, toolChangeMin: 5, steps });
    expect([answer.changeMin, answer.placeChanges]).toEqual([0, 4]);
  });

  it('names the ring, a step after itself too', () => {
    const step = (id: string, after: string[]): object => ({ id, place: 'dash', after });
    const ring = (...steps: object[]): object => buildOrder(buildOrderSchema.parse({ startPlace: 'dash', placeChangeMin: 1, toolChangeMin: 1, steps }));
    expect(ring(step('a', ['k2']), step('k2', ['k10']), step('k10', ['k2']))).toEqual({ error: 'cycle', steps: ['k10', 'k2'] });
    expect(ring(step('a', []), step('b', ['b']))).toEqual({ error: 'cycle', steps: ['b'] });
  });
  it('of nothing is nothing', () => expect(found({ startPlace: 'dash', placeChangeMin: 1, toolChangeMin: 1, steps: [] })).toEqual({ changeMin: 0, placeChanges: 0, order: [] }));
  it('refuses a step after one that is not there', () => {
    const read = buildOrderSchema.safeParse({ startPlace: 'dash', placeChangeMin: 1, toolChangeMin: 1, steps: [{ id: 'a', place: 'dash', after: ['b'] }] });
    expect(read.error?.issues[0]?.path).toEqual(['steps', 0, 'after', 0]);
  });
});
