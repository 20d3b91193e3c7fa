import { z } from 'zod';

const id = z.string().min(1);
const positive = z.number().positive();

const shape = z.object({
  /** What may be wrong, “healthy” among them; priors of any sum. */
  faults: z.array(z.object({ id, prior: positive })).min(1),
  /** What can be measured: minutes it takes, half its tolerance, the range of its instrument, and what each fault would make it read. */
  tests: z.array(z.object({ id, minutes: positive, sd: positive, range: positive, predicted: z.record(id, z.number()) })),
  /** What was read; a test that was read twice counts twice. */
  readings: z.array(z.object({ test: id, value: z.number() })).default([]),
  /** Share of readings that mean nothing: a slipped probe, a wrong terminal. */
  floor: z.number().min(0).lt(1).default(0.01),
});

function twice(ids: readonly string[]): number {
  return ids.findIndex((v, i) => ids.indexOf(v) !== i);
}

/** A table of faults and what each would make every test read. */
export const faultTableSchema = shape.superRefine((t, context) => {
  const say = (path: (string | number)[], message: string): void => context.addIssue({ code: 'custom', path, message });
  for (const list of ['faults', 'tests'] as const) {
    const again = twice(t[list].map((x) => x.id));
    if (again >= 0) say([list, again, 'id'], `an id that no other of the ${list} has is accepted`);
  }
  t.tests.forEach((test, i) => {
    const lacks = t.faults.find((f) => !(f.id in test.predicted));
    if (lacks) say(['tests', i, 'predicted', lacks.id], 'a number is accepted: what this test reads under that fault');
  });
  t.readings.forEach((r, i) => {
    if (!t.tests.some((test) => test.id === r.test)) say(['readings', i, 'test'], `one of ${t.tests.map((test) => test.id).join(', ') || 'no tests'} is accepted`);
  });
});
export type FaultTable = z.infer<typeof faultTableSchema>;
export type FaultTest = FaultTable['tests'][number];
