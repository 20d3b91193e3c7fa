import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { run } from './run.js';

const vectors = fileURLToPath(new URL('../../core/vectors/', import.meta.url));
const read = (name: string): string => readFileSync(vectors + name, 'utf8');

describe('the command line', () => {
  for (const [command, file] of [
    ['size', 'run-sizing.json'],
    ['fuse', 'fuse-clearing.json'],
    ['formula', 'formulas.json'],
    ['trip', 'trips.json'],
  ] as const) {
    it(`answers every case of ${file} under its name`, () => {
      const cases = (JSON.parse(read(file)) as { cases: { name: string }[] }).cases;
      const outcome = run(command, read(file));
      expect(outcome.code).toBe(0);
      const answers = JSON.parse(outcome.out) as { name: string; result: unknown }[];
      expect(answers.map((a) => a.name)).toEqual(cases.map((c) => c.name));
    });
  }

  it('answers a circuit with its volts', () => {
    const outcome = run('solve', read('network/01-single-run-constant-current.json'));
    const { nodeVolt } = JSON.parse(outcome.out) as { nodeVolt: Record<string, number> };
    expect(nodeVolt['load_pos']).toBeCloseTo(12.45125, 6);
  });

  it('answers a single case by its input', () => {
    const [first] = (JSON.parse(read('run-sizing.json')) as { cases: { input: unknown }[] }).cases;
    expect(JSON.parse(run('size', JSON.stringify(first!.input)).out)).toEqual(jasmine.objectContaining({ size: '1', fuseA: 80 }));
  });

  it('prints null for a fuse that never opens', () => {
    const input = { fuseType: 'blade', ratingA: 10, faultMinA: 5, faultMaxA: 100, areaMm2: 1, insulationC: 90 };
    expect(JSON.parse(run('fuse', JSON.stringify(input)).out)).toEqual(jasmine.objectContaining({ slowAtMinS: null, clearsIn5s: false }));
  });

  const refused: [string, string, string, RegExp][] = [
    ['text that is not JSON', 'size', 'abc', /input: not JSON/],
    ['a missing field, by name', 'size', '{"outM": 3}', /backM|insulationC/],
    ['a negative length, by name and value', 'fuse', '{"fuseType":"blade","ratingA":-5,"faultMinA":1,"faultMaxA":2,"areaMm2":1,"insulationC":90}', /ratingA: got -5/],
    ['an unknown command', 'draw', '{}', /command: got draw/],
    ['an unknown formula', 'formula', '{"formula":"magic","input":{}}', /formula: got magic/],
    ['a list', 'solve', '[]', /an object is accepted/],
  ];
  for (const [what, command, text, message] of refused) {
    it(`refuses ${what} in one line with code 2`, () => {
      const outcome = run(command, text);
      expect(outcome.code).toBe(2);
      expect(outcome.err).toMatch(message);
      expect(outcome.err.trim().split('\n').length).toBe(1);
    });
  }
});
