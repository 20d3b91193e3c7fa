import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankLoad, gearKey, namedBy, type Design, supplyOf } from '../design/index.js';
import { bankPosts, isMainLead, serves, terminals, type SizedRun } from '../routes/index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const runsOf = (d: Design): readonly SizedRun[] => assess(d, SHIPPED_CATALOGUE).runs;

/** A job with a bank behind a selector, two chargers, groups, a tapped wire and a portable panel. */
function withMuch(): Design {
  const d = demo('vet');
  supplyOf(d).second = { part: 'bat-lfp-100', count: 2, joined: 'selector' };
  supplyOf(d).battery = { part: 'bat-lfp-100', count: 3 };
  supplyOf(d).dcdcSecond = supplyOf(d).dcdc;
  supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: true, into: 'bank', hours: 6 };
  d.groups['g1'] = { order: 1, name: 'row of switches', kind: 'switch bank', fuses: 'one for all' };
  d.loads['n1'] = { ...blankLoad(50), name: 'strip light', draw: { by: 'plate', unit: 'A', value: 1 }, use: { by: 'hours', hours: 1 }, feed: { by: 'group', group: 'g1' } };
  return d;
}

describe('what a run says of itself', () => {
  for (const [name, design] of [...DEMO_JOBS.map((j) => [j.key, j.design] as const), ['a job with much in it', withMuch()] as const])
    it(`${name}: both ends and what it serves are things that stand somewhere`, () => {
      const a = assess(design, SHIPPED_CATALOGUE);
      const gear = new Map(a.gear.map((g) => [g.id, g]));
      for (const { spec } of a.runs) {
        for (const end of [spec.from, spec.to]) expect(gear.get(end.gear)?.ref).withContext(`${spec.id} at ${end.name}`).toEqual(end.ref);
        expect(gear.has(gearKey(spec.serves)))
          .withContext(spec.id)
          .toBeTrue();
        expect([spec.from.ref, spec.to.ref].some((r) => r.in === spec.serves.in && r.id === spec.serves.id))
          .withContext(spec.id)
          .toBeTrue();
      }
    });

  it('is told apart by role and thing: one run for each', () => {
    const told = runsOf(withMuch()).map((r) => [r.spec.role, r.spec.serves.in, r.spec.serves.id, r.spec.from.string].join(' '));
    expect(new Set(told).size).toBe(told.length);
  });

  it('leads of two banks name their bank and their string', () => {
    const leads = runsOf(withMuch()).filter((r) => r.spec.role === 'bank lead');
    expect(leads.map((r) => [r.spec.serves.id, r.spec.from.string])).toEqual([
      ['house', 1],
      ['house', 2],
      ['house', 3],
      ['second', 1],
      ['second', 2],
    ]);
    expect(leads.filter(isMainLead).length).toBe(3);
    for (const r of leads) expect([r.spec.from.plus, r.spec.from.minus]).toEqual(Object.values(bankPosts(r.spec.serves.id, r.spec.from.string)));
  });

  it('a second charger has a feed and an output of its own', () => {
    const runs = runsOf(withMuch());
    for (const unit of ['charger', 'charger2']) {
      expect(runs.find((r) => serves(r, 'charger feed', unit))!.spec.to.plus).toBe(terminals(unit, 'in').plus);
      expect(runs.find((r) => serves(r, 'charger output', unit))!.spec.from.plus).toBe(terminals(unit, 'out').plus);
    }
  });

  it('the run of a load keeps the key under which the document knows it', () => {
    for (const { spec } of runsOf(withMuch())) if (spec.role === 'load feed') expect(namedBy(spec.id)).toEqual(spec.serves);
  });
});
