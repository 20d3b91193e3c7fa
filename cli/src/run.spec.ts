import { EXAMPLE_RIGS } from '../../core/src/testing/rigs.js';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { blankDesign, DEMO_JOBS, type StateFigures, supplyOf } from '@meridex/core';
import { run } from './run.js';

const vectors = fileURLToPath(new URL('../../core/vectors/', import.meta.url));
const read = (name: string): string => readFileSync(vectors + name, 'utf8');

describe('the command line', () => {
  for (const [command, file] of [
    ['size', 'run-sizing.json'],
    ['fuse', 'fuse-clearing.json'],
    ['formula', 'formulas.json'],
    ['trip', 'trips.json'],
    ['rigtrip', 'rig-trips.json'],
    ['tree', 'tree-sizing.json'],
    ['verdict', 'verdicts.json'],
    ['infer', 'faults.json'],
    ['cut', 'cutting.json'],
    ['sequence', 'build-order.json'],
    ['week', 'week.json'],
  ] as const) {
    it(`answers every case of ${file} under its name`, async () => {
      const cases = (JSON.parse(read(file)) as { cases: { name: string }[] }).cases;
      const outcome = await run(command, read(file));
      expect(outcome.code).toBe(0);
      const answers = JSON.parse(outcome.out) as { name: string; result: unknown }[];
      expect(answers.map((a) => a.name)).toEqual(cases.map((c) => c.name));
    });
  }

  it('answers a circuit with its volts', async () => {
    const outcome = await run('solve', read('network/01-single-run-constant-current.json'));
    const { nodeVolt } = JSON.parse(outcome.out) as { nodeVolt: Record<string, number> };
    expect(nodeVolt['load_pos']).toBeCloseTo(12.45125, 6);
  });

  it('answers a single case by its input', async () => {
    const [first] = (JSON.parse(read('run-sizing.json')) as { cases: { input: unknown }[] }).cases;
    expect(JSON.parse((await run('size', JSON.stringify(first!.input))).out)).toEqual(jasmine.objectContaining({ size: '1', fuseA: 80 }));
  });

  it('prints null for a fuse that never opens', async () => {
    const input = { fuseType: 'blade', ratingA: 10, faultMinA: 5, faultMaxA: 100, areaMm2: 1, insulationC: 90 };
    expect(JSON.parse((await run('fuse', JSON.stringify(input))).out)).toEqual(jasmine.objectContaining({ slowAtMinS: null, clearsIn5s: false }));
  });

  it('simulates a job’s trip, of one vehicle or of all together', async () => {
    const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
    const one = JSON.parse((await run('simulate', JSON.stringify({ design }))).out) as { endOfDaySoc: number[]; energy: { givenWh: number } };
    expect(one.endOfDaySoc.length).toBe(design.brief.trip.days);
    expect(one.energy.givenWh).toBeGreaterThan(0);
    const towed = EXAMPLE_RIGS.find((r) => r.key === 'truck-and-caravan')!.design;
    const all = JSON.parse((await run('simulate', JSON.stringify({ design: towed }))).out) as { vehicles: object; together: { banks: object } };
    expect(Object.keys(all.together.banks)).toEqual(Object.keys(all.vehicles));
  });

  it('says what every meter should read, with its state and tolerance', async () => {
    const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
    const rows = JSON.parse((await run('expect', JSON.stringify({ design }))).out) as { meter: string; expected: number; tolerance: number; state: string; unit: string; atMost?: true }[];
    expect(rows.length).toBeGreaterThan(20);
    expect(new Set(rows.map((r) => r.meter))).toEqual(new Set(['volt', 'clamp', 'shunt', 'thermometer']));
    expect(new Set(rows.filter((r) => r.atMost).map((r) => r.unit))).toEqual(new Set(['mV', '°C']));
    for (const r of rows) expect([r.expected >= 0 && r.expected < 200, r.tolerance > 0, r.state.length > 0]).toEqual([true, true, true]);
    for (const r of rows.filter((x) => x.state.includes('only this on'))) expect([r.meter, r.expected > 10 && r.expected < 15, r.tolerance < 1]).toEqual(['volt', true, true]);
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
    it(`refuses ${what} in one line with code 2`, async () => {
      const outcome = await run(command, text);
      expect(outcome.code).toBe(2);
      expect(outcome.err).toMatch(message);
      expect(outcome.err.trim().split('\n').length).toBe(1);
    });
  }

  describe('on a job file', () => {
    const vet = { design: DEMO_JOBS.find((j) => j.key === 'vet')!.design };
    const ask = (command: string, more: object = {}) => run(command, JSON.stringify({ ...vet, ...more }));

    it('solves a design in a state, the rest of it as parked', async () => {
      const parked = JSON.parse((await ask('solve')).out) as StateFigures;
      const driving = JSON.parse((await ask('solve', { state: { engine: 'cruise', sun: 'full' } })).out) as StateFigures;
      expect(parked.batteries[0]!.amp).toBeGreaterThan(driving.batteries[0]!.amp + 30);
      expect(driving.givers.map((g) => g.id)).toEqual(['alternator', 'charger']);
    });
    it('says why a state has no solution', async () => {
      const r = JSON.parse((await ask('solve', { state: { engine: 'cruise', mainSwitch: 'open' } })).out) as { ok: boolean; say: string };
      expect(r.ok).toBeFalse();
      expect(r.say).toContain('no cable helps');
    });
    it('refuses a state that is none, by its field', async () => {
      const r = await ask('solve', { state: { engine: 'fast' } });
      expect(r.code).toBe(2);
      expect(r.err).toMatch(/^meridex: state.engine: .*off.*idle.*cruise/);
    });
    it('writes a netlist, a list of circuits and a diagram', async () => {
      expect((await ask('netlist')).out).toMatch(/^\* Bellbird[^\n]*\n[\s\S]*\nvbattery1 [\s\S]*\.op\n\.end\n$/);
      expect((await ask('circuits')).out.split('\r\n').length).toBe(13);
      const svg = (await ask('diagram')).out;
      expect(svg).toContain('vaccine');
      expect(svg).toMatch(/^<svg [\s\S]*<\/svg>\n$/);
    });
    it('refuses a job without a battery, by its field', async () => {
      const design = structuredClone(vet.design);
      supplyOf(design).battery.part = null;
      expect((await run('netlist', JSON.stringify({ design }))).err).toMatch(/design\.banks/);
    });
  });

  describe('on ten answers', () => {
    const ask = (answers: object) => run('draft', JSON.stringify(answers));

    it('drafts a job that reads back as one, at the tier asked for', async () => {
      const outcome = await ask({ customer: 'Tern & Daughter Seafood', use: 'touring', tier: 'lean' });
      expect(outcome.code).toBe(0);
      const { design } = JSON.parse(outcome.out) as { design: { brief: { customer: string; use: string } } };
      expect(design.brief).toEqual(jasmine.objectContaining({ customer: 'Tern & Daughter Seafood', use: 'touring' }));
      const { runs } = JSON.parse((await run('assess', outcome.out)).out) as { runs: { error?: string }[] };
      expect(runs.length).toBeGreaterThan(5);
      expect(runs.filter((r) => r.error)).toEqual([]);
    });

    it('takes 24 V house for a truck unless told otherwise', async () => {
      const volts = async (more: object): Promise<number> => (JSON.parse((await ask({ vehicleKind: 'light-truck', ...more })).out) as { design: { supply: { houseV: number } } }).design.supply.houseV;
      expect(await volts({})).toBe(24);
      expect(await volts({ houseV: 12 })).toBe(12);
    });

    for (const [what, answers, message] of [
      ['an answer that is none', { colour: 'red' }, /colour: not an answer/],
      ['a use that is none', { use: 'farming' }, /use: Invalid option/],
      ['a tier that is none', { tier: 'best' }, /tier: got "best"; one of lean/],
      ['a vehicle that is none', { vehicleKind: 'boat' }, /vehicleKind: /],
      ['an appliance that is none', { wishes: [{ id: 'sauna', quantity: 1 }] }, /wishes/],
    ] as const)
      it(`refuses ${what} in one line with code 2`, async () => {
        const outcome = await ask(answers);
        expect(outcome.code).toBe(2);
        expect(outcome.err).toMatch(message);
        expect(outcome.err.trim().split('\n').length).toBe(1);
      });
  });

  describe('on commands', () => {
    for (const { key, made, design } of EXAMPLE_RIGS)
      it(`makes ${key} of its answers and commands, as it stands in the examples`, async () => {
        const outcome = await run('draft', JSON.stringify(made));
        expect(outcome.err).not.toContain('commands');
        expect((JSON.parse(outcome.out) as { design: object }).design).toEqual(design as object);
      });

    const blank = JSON.parse(JSON.stringify(blankDesign('Nobody'))) as object;
    it('changes a job file, which opens as the same rig with one thing more', async () => {
      const outcome = await run('change', JSON.stringify({ design: blank, commands: [{ do: 'addArray', with: { part: 'pv-200' } }] }));
      expect((JSON.parse(outcome.out) as { design: { arrays: object } }).design.arrays).toEqual({ array: jasmine.objectContaining({ part: 'pv-200', into: { in: 'converters', id: 'charger' } }) });
    });
    for (const [what, document, message] of [
      ['no design', { commands: [] }, /^meridex: design: nothing came/],
      ['commands that are no list', { design: blank, commands: 'all' }, /commands: got "all"; an array/],
      ['a command that is none', { design: blank, commands: [{ do: 'paint' }] }, /commands\.0\.do: paint is no command; addBank,/],
      ['a command without a name', { design: blank, commands: [7] }, /commands\.0: got 7/],
      ['a part of the wrong kind', { design: blank, commands: [{ do: 'addConverter', with: { part: 'pv-200' } }] }, /commands\.0\.part: pv-200 is of the kind panel/],
      ['a battery of no ampere-hours', { design: blank, commands: [{ do: 'addPart', with: { kind: 'battery', name: 'x', chemistry: 'agm', capacityAh: 0 } }] }, /capacityAh: came 0; more than 0 Ah/],
    ] as const)
      it(`refuses ${what} in one line with code 2`, async () => {
        const outcome = await run('change', JSON.stringify(document));
        expect(outcome.code).toBe(2);
        expect(outcome.err).toMatch(message);
        expect(outcome.err.trim().split('\n').length).toBe(1);
      });
  });
});
