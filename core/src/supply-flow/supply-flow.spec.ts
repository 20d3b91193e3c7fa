import { assess } from '../assess/index.js';
import { catalogueOf, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, type Design } from '../design/index.js';
import { EXAMPLE_VEHICLES } from '../testing/rigs.js';
import { mean } from './given.js';
import { supplyFlow, type SupplyFlow } from './index.js';

const flowOf = (design: Design): SupplyFlow => supplyFlow(design, catalogueOf(design), assess(design, catalogueOf(design)));
const after = (design: Design, ...all: Asked[]): Design => {
  const done = doCommands(design, all);
  if (!done.ok) throw new Error(done.message);
  return done.design;
};
const demo = (key: string): Design => DEMO_JOBS.find((j) => j.key === key)!.design;
const looks = (f: SupplyFlow, id: string): readonly string[] => f.things.find((t) => t.id === id)!.looks;

describe('the supply as boxes and ribbons', () => {
  for (const { key, design } of [...DEMO_JOBS, ...EXAMPLE_VEHICLES]) {
    const f = flowOf(design);
    const a = assess(design, catalogueOf(design));
    const sum = (kind: string, end: (x: SupplyFlow['flows'][number]) => boolean): number => f.flows.filter((x) => x.kind === kind && end(x)).reduce((s, x) => s + x.ahDay, 0);
    const column = new Map(f.things.map((t) => [t.id, t.column]));

    it(`${key}: every ribbon has two boxes, every box stands once`, () => {
      expect(column.size).toBe(f.things.length);
      expect(f.flows.filter((x) => !column.has(x.from) || !column.has(x.to))).toEqual([]);
    });
    it(`${key}: into the bank flows what the trip says, out of it what the loads take`, () => {
      const into = (x: SupplyFlow['flows'][number]): boolean => column.get(x.to) === 'stores';
      // Several regulators are told apart by the law of the whole rig, whose air is the day’s.
      const near = (kind: 'engine' | 'sun' | 'mains', want: number): void =>
        // What comes by plug, from the mains or another bank, the trip books as one.
        expect(Math.abs(sum(kind, into) + (kind === 'mains' ? sum('lead', into) : 0) - want))
          .withContext(kind)
          .toBeLessThan(0.02 * want + 1e-6);
      near('engine', mean(a.trip!.alternatorAh));
      near('mains', mean(a.trip!.mainsAh));
      near('sun', mean(a.trip!.sunAh));
      expect(sum('use', () => true)).toBeCloseTo(mean(a.trip!.loadAh), 6);
    });
    it(`${key}: nothing gives more than it gets`, () => {
      for (const t of f.things.filter((x) => x.column === 'converts')) {
        const [got, given] = [f.flows.filter((x) => x.to === t.id), f.flows.filter((x) => x.from === t.id)].map((list) => list.reduce((s, x) => s + x.ahDay, 0));
        expect(given!)
          .withContext(t.title)
          .toBeLessThanOrEqual(got! * (1 + 1e-9) + 1e-9);
      }
    });
  }

  it('draw a charger that the sun alone feeds, with its cable to the bank, and one that nothing feeds', () => {
    const d = structuredClone(demo('vet'));
    d.converters['charger']!.from = null;
    const a = assess(d, catalogueOf(d));
    expect(a.runs.filter((r) => r.spec.serves.id === 'charger').map((r) => [r.spec.role, r.ok])).toEqual([['charger output', true]]);
    expect(flowOf(d).flows.find((f) => f.from === 'charger')!.ahDay).toBeGreaterThan(10);
    expect(looks(flowOf(d), 'charger')).not.toContain('nothing feeds it');
    expect(a.open.map((f) => f.rule)).not.toContain('controller-idle');
    d.arrays = {};
    expect(looks(flowOf(d), 'charger')).toContain('nothing feeds it');
    expect(assess(d, catalogueOf(d)).open.map((f) => f.rule)).toContain('controller-idle');
  });
  it('say where sun finds no room, and why', () => {
    expect(looks(flowOf(demo('bookmobile')), 'controller')[0]).toContain('find the bank full');
    const many = after(demo('vet'), { do: 'addArray', with: { part: 'pv-200', count: 6 } });
    expect(looks(flowOf(many), 'charger').some((l) => l.includes('40 A is its limit') || l.includes('find no room'))).toBeTrue();
  });
  it('show a panel that hangs on nothing, and let only ends be hung that can be', () => {
    const d = after(demo('bees'), { do: 'addArray', with: { id: 'extra', part: 'pv-160' } });
    expect(looks(flowOf(d), 'extra')).toContain('hangs on nothing yet');
    expect(flowOf(demo('bees')).flows.every((x) => x.hangs === null)).toBeTrue();
    expect(
      flowOf(demo('vet'))
        .flows.filter((x) => x.hangs)
        .map((x) => x.hangs)
        .sort(),
    ).toEqual(['charger', 'panel']);
  });
  it('have two banks used by turns each with its own: what comes, what goes, and its lowest charge', () => {
    const stands = after(demo('survey'), { do: 'addBank', with: { id: 'spare', part: 'bat-lfp-100', selector: 'switch' } });
    const f = flowOf({ ...stands, brief: { ...stands.brief, trip: { ...stands.brief.trip, drivingH: 0.5, days: 14, parkedDays: 12 } } });
    const [first, second] = f.things.filter((t) => t.column === 'stores').map((t) => t.id);
    const into = (id: string): number => f.flows.filter((x) => x.to === id).reduce((s, x) => s + x.ahDay, 0);
    const from = (id: string): number => f.flows.filter((x) => x.from === id).reduce((s, x) => s + x.ahDay, 0);
    expect(into(second!)).toBeGreaterThan(0);
    expect(into(first!) + into(second!)).toBeCloseTo(f.sums.engine + f.sums.sun + f.sums.mains + f.sums.lead, 0);
    expect(from(first!) + from(second!)).toBeCloseTo(f.sums.use, 6);
    expect(Object.keys(f.lows)).toEqual([first!, second!]);
    expect(f.low!.soc).toBeGreaterThanOrEqual(Math.min(f.lows[first!]!.soc, f.lows[second!]!.soc));
    expect(f.flows.filter((x) => x.to === second && x.hangs !== null)).toEqual([]);
  });
  it('name what is always live apart from the block', () => {
    const van = EXAMPLE_VEHICLES.find((v) => v.key === 'van-power-unit')!.design;
    expect(flowOf(van).things.find((t) => t.id === 'always-live')!.says[0]).toContain('heater');
  });
  it('of nothing are nothing', () => {
    const none: Design = { ...blankDesign('Nobody'), banks: {}, converters: {} };
    const f = supplyFlow(none, SHIPPED_CATALOGUE, assess(none, SHIPPED_CATALOGUE));
    expect([f.low, f.flows.filter((x) => x.ahDay > 0)]).toEqual([null, []]);
  });

  it('a controller that lost its panels stays drawn, and says so; hung anew it is as before', () => {
    const two = after(demo('vet'), { do: 'addConverter', with: { id: 'roof', part: 'mppt-20' } }, { do: 'addArray', with: { id: 'wing', part: 'pv-160', into: 'roof' } });
    expect(looks(flowOf(two), 'roof')).not.toContain('no panel feeds it');
    const bare = after(two, { do: 'remove', with: { thing: 'wing' } });
    const box = flowOf(bare).things.find((t) => t.id === 'roof')!;
    expect([box.column, box.idle, box.looks]).toEqual(['converts', true, ['no panel feeds it']]);
    const again = after(bare, { do: 'addArray', with: { id: 'wing', part: 'pv-160', into: 'roof' } });
    expect(flowOf(again)).toEqual(flowOf(two));
  });
});
