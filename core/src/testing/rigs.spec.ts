import { assess } from '../assess/index.js';
import { assessIn } from '../couplings/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { circuitPlan, namedStates, settle, sweep } from '../circuit/index.js';
import { circuitsCsv, orderCsv } from '../formats/index.js';
import { partsOf, plant, standsIn } from '../plant/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { asOfNow, blankDesign, readDesign } from '../design/index.js';
import { EXAMPLE_VEHICLES } from './rigs.js';

describe('the example rigs', () => {
  for (const { key, job, id, design } of EXAMPLE_VEHICLES) {
    const catalogue = catalogueOf(design);
    const a = assessIn(job, id, catalogue);

    it(`${key}: nothing stops it, and every run has its size`, () => {
      expect(a.open.filter((f) => f.severity === 'stop').map((f) => f.key)).toEqual([]);
      expect(a.runs.filter((r) => !r.ok).map((r) => r.spec.name)).toEqual([]);
    });

    it(`${key}: every named state is solved, and no run carries more in the worst one than it is sized for`, () => {
      const plan = circuitPlan(design, catalogue, a)!;
      for (const [name, state] of Object.entries(namedStates(plan))) {
        const r = settle(plan, state);
        if (!r.ok) expect([name, r.error]).toEqual(['main switch open', 'no-operating-point']);
      }
      for (const { id, amp } of sweep(plan).runs) {
        const run = a.runs.find((r) => r.spec.id === id)!;
        expect(run.ok && amp <= run.figures.ampacityA + 1e-6)
          .withContext(`${run.spec.name}: ${amp} A`)
          .toBeTrue();
      }
    });

    it(`${key}: every thing of the plant is ordered as often as it is there, and joined`, () => {
      const p = plant(asOfNow(design), catalogue);
      const wanted = new Map<string, number>();
      for (const t of partsOf(p)) wanted.set(t.part.id, (wanted.get(t.part.id) ?? 0) + t.quantity);
      for (const [part, quantity] of wanted)
        expect(a.order.lines.find((l) => l.key === part)?.quantity)
          .withContext(part)
          .toBe(quantity);
      const ends = new Set(a.runs.flatMap((r) => [r.spec.from.ref.id, r.spec.to.ref.id, r.spec.serves.id]));
      for (const id of [...p.converters.map((t) => standsIn(t).id), ...p.arrays.map((t) => t.ref.id)]) expect(ends.has(id)).withContext(id).toBeTrue();
    });

    it(`${key}: goes through its trip, and its energy balances`, () => {
      const { energy: e, endOfDaySoc } = a.trip!;
      expect(endOfDaySoc.length).toBe(design.brief.trip.days);
      expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan(1e-6 * Math.max(e.givenWh, e.usedWh));
    });

    it(`${key}: is written out and read back equal`, () => {
      expect(readDesign(JSON.parse(JSON.stringify(job)))).toEqual({ ok: true, design: job });
      const plan = circuitPlan(design, catalogue, a)!;
      expect(circuitsCsv(a.runs, sweep(plan)).trim().split('\r\n').length).toBe(a.runs.length + 1);
      expect(orderCsv(a.order).trim().split('\r\n').length).toBe(a.order.lines.length + 1);
    });
  }
});

describe('a rig far beyond any roof', () => {
  it('of sixty arrays is reckoned with and found not to fit, in words', () => {
    const done = doCommands(
      blankDesign('Nobody'),
      Array.from({ length: 60 }, (): Asked => ({ do: 'addArray', with: { part: 'pv-110' } })),
    );
    if (!done.ok) throw new Error(done.message);
    const a = assess(done.design, catalogueOf(done.design));
    expect(a.supply.arrays.map((x) => [x.count, x.ratedW])).toEqual([[60, 6600]]);
    expect(a.runs.filter((r) => r.spec.role === 'panel lead').length).toBe(60);
    expect(a.open.map((f) => f.rule)).toEqual(jasmine.arrayContaining(['place-clash', 'face-overloaded']));
  });
});
