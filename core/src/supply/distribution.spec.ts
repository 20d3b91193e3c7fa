import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, inlineParts, PARKED, settle } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { withFixedParts } from '../supply-options/index.js';
import { distributionOf } from './distribution.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
function onHub(key: string, hub = 'hub-14'): Design {
  const d = demo(key);
  supplyOf(d).hub = hub;
  return d;
}

describe('bars, ways, shunt and disconnect', () => {
  it('are the parts that were chosen, or those of the hub board in their place', () => {
    const apart = distributionOf(demo('survey'), SHIPPED_CATALOGUE);
    expect([apart.hub, apart.block!.name.startsWith('fuse block'), apart.shunt!.onHub]).toEqual([null, true, false]);
    const hub = distributionOf(onHub('survey'), SHIPPED_CATALOGUE);
    expect([hub.block!.ways, hub.shunt!.onHub, hub.disconnect!.pole, hub.mainSwitch!.onHub]).toEqual([14, true, 'positive', true]);
  });

  it('leave a main switch beside a hub board that has none', () => {
    const d = onHub('survey', 'hub-8');
    supplyOf(d).mainSwitch = 'sw-300';
    expect(distributionOf(d, SHIPPED_CATALOGUE).mainSwitch!.onHub).toBeFalse();
    expect(assess(d, SHIPPED_CATALOGUE).gear.map((g) => g.id)).toContain('switch');
  });
});

describe('a hub board', () => {
  for (const { key } of DEMO_JOBS.filter((j) => j.design.supply.houseV === 12)) {
    const a = assess(onHub(key), SHIPPED_CATALOGUE);
    const apart = assess(demo(key), SHIPPED_CATALOGUE);

    it(`stands in ${key} for bars, block, shunt and disconnect: one piece of gear, one line of the order, one run less`, () => {
      expect(a.gear.map((g) => g.id).filter((id) => ['block', 'shunt', 'disconnect', 'switch'].includes(id))).toEqual([]);
      expect(a.gear.find((g) => g.id === 'bus')!.name).toBe('hub board');
      const what = a.order.lines.filter((l) => l.group === 'devices').map((l) => l.what);
      expect(what.filter((w) => /hub board/.test(w)).length).toBe(1);
      expect(what.some((w) => /^(fuse block|shunt|disconnect|bus bar)/.test(w))).toBeFalse();
      expect(a.runs.length).toBe(apart.runs.length - 1);
    });

    it(`feeds every load of ${key} that the fuse block fed, by a fuse in a way of its own`, () => {
      const fed = (of: typeof a, way: string): string[] => of.runs.filter((r) => r.spec.limitingParts.some((w) => w.kind === way)).map((r) => r.spec.id);
      expect(fed(a, 'hub way')).toEqual(fed(apart, 'block way'));
      for (const r of a.runs.filter((x) => x.spec.limitingParts.some((w) => w.kind === 'hub way'))) expect([r.ok && r.figures.fuseType, r.spec.name.split(' → ')[0]]).toEqual(['blade', 'Hub board']);
      expect(a.runs.every((r) => r.ok)).toBeTrue();
    });

    it(`has its shunt and contact in the circuit and the diagram of ${key}, once each`, () => {
      const parts = inlineParts(onHub(key), SHIPPED_CATALOGUE);
      expect(parts.map((p) => [p.id, p.onHub])).toEqual([
        ['switch', true],
        ['shunt', true],
        ['disconnect', true],
      ]);
      const r = settle(circuitPlan(onHub(key), SHIPPED_CATALOGUE, a)!, PARKED);
      if (!r.ok) throw new Error(`${r.error}: ${r.at.join()}`);
      expect(Math.abs(r.solved.branchAmp['shunt']!)).toBeGreaterThan(1);
      const d = buildDiagram({ design: onHub(key), gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond });
      const ids = new Set(d.nodes.map((n) => n.id));
      expect(['switch', 'shunt', 'disconnect'].every((id) => d.nodes.filter((n) => n.id === id).length === 1)).toBeTrue();
      expect(d.lines.every((l) => ids.has(l.from.node) && ids.has(l.to.node))).toBeTrue();
    });
  }

  it('is drafted where the workshop builds so and one carries it all, and not otherwise', () => {
    const drafted = (key: string, school: Design['settings']['boardSchool']): string | null => {
      const d = demo(key);
      d.settings.boardSchool = school;
      return supplyOf(withFixedParts(d, SHIPPED_CATALOGUE)).hub;
    };
    expect(drafted('bees', 'hub board')).toBe('hub-8');
    expect(drafted('bees', 'separate parts')).toBeNull();
    const big = demo('vet');
    big.settings.boardSchool = 'hub board';
    for (let i = 0; i < 12; i++) big.loads[`x${i}`] = { ...big.loads['l2']!, order: 20 + i };
    expect(supplyOf(withFixedParts(big, SHIPPED_CATALOGUE)).hub).toBeNull();
  });
});
