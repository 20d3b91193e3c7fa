import { assess, type Assessment } from '../assess/index.js';
import { ampacityA } from '../cable/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { assessIn } from '../couplings/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { supplyOf, type Design } from '../design/index.js';
import { kFactor } from '../protection/index.js';
import { EXAMPLE_VEHICLES } from '../testing/rigs.js';
import { boardLinks, LINK_M } from './index.js';

const of = (d: Design): Assessment => assess(d, catalogueOf(d));
const demo = (key: string, change: (d: Design) => void = () => undefined): Design => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(d);
  return d;
};

describe('the links on the board', () => {
  it('go on from the one lead as thick as that, and are bought, cut and fitted', () => {
    const a = of(demo('vet'));
    const lead = a.runs.find((r) => r.spec.id === 'house-bus')!;
    const link = a.links.find((l) => l.part === 'switch')!;
    expect(lead.ok && link.areaMm2 === lead.figures.areaMm2).toBeTrue();
    expect(a.links.map((l) => [l.part, l.colour, l.count])).toEqual([
      ['switch', 'red', 1],
      ['shunt', 'black', 1],
      ['disconnect', 'red', 1],
    ]);
    const cuts = a.order.cuts.filter((c) => c.label === 'link');
    expect(cuts.map((c) => [c.name, c.colour, c.lengthM])).toEqual(a.links.map((l) => [l.name, l.colour, LINK_M]));
    expect(a.order.lines.find((l) => l.key === `lug ${link.size} M8`)!.uses).toEqual(jasmine.arrayContaining(['main switch → positive bus bar', 'shunt → negative bus bar']));
    const step = a.fit.find((s) => s.id === 'links')!;
    expect(step.text).toContain(`main switch → positive bus bar, ${link.size}`);
    expect(step.after).toEqual(jasmine.arrayContaining(['place-bus', 'place-switch', 'place-shunt']));
  });

  it('carry what fuses let last, and survive what the main fuse lets through, in every rig', () => {
    for (const { job, id, design } of EXAMPLE_VEHICLES) {
      const a = assessIn(job, id, catalogueOf(design));
      const { insulationC } = design.settings;
      const ambientC = a.gear.find((g) => g.id === 'bus')!.ambientC;
      const leads = a.runs.flatMap((r) => (r.ok && r.spec.role === 'bank lead' ? [r] : []));
      const worst = Math.max(...leads.flatMap((r) => r.figures.fuses.map((f) => f.fault?.worstLetThroughA2s ?? 0)));
      for (const l of a.links) {
        const side = l.part === 'charging' ? l.count / 3 : l.count;
        const single = leads.length === 1 && l.areaMm2 === leads[0]!.figures.areaMm2;
        // One that goes on from a lead is protected as that is.
        if (!single)
          expect(side * ampacityA(l.areaMm2, { insulationC, ambientC, grouped: side, laid: 'air' }))
            .withContext(`${job.brief.customer}: ${l.name}`)
            .toBeGreaterThanOrEqual(l.lastingA);
        expect((kFactor(insulationC) * side * l.areaMm2) ** 2)
          .withContext(l.name)
          .toBeGreaterThanOrEqual(worst * (single ? 0.99 : 1));
      }
    }
  });

  it('of a charging selector go to both studs of the loads’ one, and to its bar', () => {
    const trailer = EXAMPLE_VEHICLES.find((v) => v.key === 'ute-and-trailer, trailer')!;
    const a = assessIn(trailer.job, trailer.id, catalogueOf(trailer.design));
    expect(a.links.find((l) => l.part === 'charging')!.count).toBe(3);
    expect(a.order.cuts.filter((c) => c.name.startsWith('charging selector')).length).toBe(3);
  });

  it('are none on a hub board, and none without a fitted lead', () => {
    expect(of(demo('vet', (d) => (supplyOf(d).hub = 'hub-14'))).links.filter((l) => l.part !== 'switch')).toEqual([]);
    const a = of(demo('vet'));
    expect(
      boardLinks(
        demo('vet'),
        a.runs.filter((r) => r.spec.role !== 'bank lead'),
        a.inline,
        40,
      ),
    ).toEqual([]);
  });
});
