import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { inWords } from '../rules/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { circuitPlan, PARKED, settle } from './index.js';
import { houseNodes, inlineParts } from './inline.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design) => assess(d, SHIPPED_CATALOGUE);
const nodes = (d: Design) => houseNodes(inlineParts(d, SHIPPED_CATALOGUE));

describe('parts in line', () => {
  it('stand between battery leads and bus bars, and between bus bars and loads', () =>
    expect(nodes(demo('vet'))).toEqual({ main: { plus: 'main+', minus: 'main-' }, fed: { plus: 'fed+', minus: 'bus-' }, straight: { minus: 'bus-' }, charge: { plus: 'bus+', minus: 'bus-' } }));

  it('leave the bus bars as they are where there are none', () => {
    const d = demo('vet');
    Object.assign(supplyOf(d), { mainSwitch: null, shunt: null, disconnect: { part: null, pole: 'positive' } });
    expect(nodes(d)).toEqual({ main: { plus: 'bus+', minus: 'bus-' }, fed: { plus: 'bus+', minus: 'bus-' }, straight: { minus: 'bus-' }, charge: { plus: 'bus+', minus: 'bus-' } });
    expect(of(d).gear.some((g) => ['switch', 'shunt', 'disconnect', 'display'].includes(g.id))).toBeFalse();
  });

  it('open the returns of the loads where the disconnect sits in the negative', () => {
    const d = demo('vet');
    supplyOf(d).disconnect.pole = 'negative';
    expect(nodes(d).fed).toEqual({ plus: 'bus+', minus: 'fed-' });
    const block = of(d).runs.find((r) => r.spec.id === 'bus-block')!.spec;
    expect([block.from.plus, block.from.minus]).toEqual(['bus+', 'fed-']);
  });

  it('stand in the negative where the main switch does: shunt, then switch, with what is always live returned between them', () => {
    const d = demo('vet');
    d.switchgear['switch']!.pole = 'negative';
    d.loads['l2']!.feed = { by: 'battery', of: 'house' };
    const a = of(d);
    expect(a.inline.map((p) => [p.id, p.a, p.b])).toEqual([
      ['switch', 'counted-', 'bus-'],
      ['shunt', 'main-', 'counted-'],
      ['disconnect', 'bus+', 'fed+'],
    ]);
    const lead = a.runs.find((r) => r.spec.id === 'house-bus')!.spec;
    expect([lead.to.plus, lead.to.minus]).toEqual(['bus+', 'main-']);
    expect(a.runs.find((r) => r.spec.id === 'load-l2')!.spec.from.minus).toBe('counted-');
    expect(a.links.map((l) => [l.name, l.colour])).toEqual([
      ['main switch → negative bus bar', 'black'],
      ['shunt → main switch', 'black'],
      ['low-voltage disconnect → bus bar', 'red'],
    ]);
    // Off, it takes away everything but what is always live.
    const r = settle(circuitPlan(d, SHIPPED_CATALOGUE, a)!, { ...PARKED, mainSwitch: 'open' });
    if (!r.ok) throw new Error(r.error);
    expect(r.loads.filter((l) => l.live).map((l) => l.id)).toEqual(['load:l2']);
    expect(r.loads.find((l) => l.id === 'load:l2')!.volt).toBeGreaterThan(12);
    const on = settle(circuitPlan(d, SHIPPED_CATALOGUE, a)!, PARKED);
    expect(on.ok && on.loads.every((l) => l.live)).toBeTrue();
    expect(a.open.find((f) => f.rule === 'switch-in-negative')!.severity).toBe('look');
    const drawn = buildDiagram({ design: d, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: null });
    const into = (id: string): readonly string[] => drawn.lines.filter((l) => l.id === id).flatMap((l) => [l.from.node, l.to.node]);
    expect([into('shunt:link'), into('switch:link')]).toEqual([
      ['shunt', 'switch'],
      ['switch', 'bus'],
    ]);
  });

  it('stay in the positive where two banks are chosen between, or a board has shunt and bar in one, and that is a stop', () => {
    for (const change of [(d: Design) => (supplyOf(d).second = { part: 'bat-lfp-200', count: 1, joined: 'selector' }), (d: Design) => (supplyOf(d).hub = 'hub-8')]) {
      const d = demo('vet');
      d.switchgear['switch']!.pole = 'negative';
      change(d);
      const a = of(d);
      expect(a.inline.find((p) => p.id === 'switch')!.pole).toBe('positive');
      expect(a.open.find((f) => f.rule === 'switch-in-negative')!.severity).toBe('stop');
    }
    const earthed = demo('vet');
    earthed.switchgear['switch']!.pole = 'negative';
    earthed.loads['l2']!.feed = { by: 'battery', of: 'house' };
    earthed.runs['load-l2'] = { back: 'chassis' };
    const f = of(earthed).open.find((x) => x.rule === 'switch-in-negative')!;
    expect([f.severity, f.presses.map((p) => p.label)]).toEqual(['stop', ['Move it to the positive']]);
  });

  it('cost drop in the runs that pass them, the more of a shared one the smaller the run’s share', () => {
    const d = demo('vet');
    const of1 = of(d).runs.find((r) => r.spec.id === 'house-bus')!.spec.inline;
    expect(of1.map((p) => p.what)).toEqual(['main switch', 'shunt']);
    supplyOf(d).battery.count = 2;
    const of2 = of(d).runs.find((r) => r.spec.id === 'house1-bus')!.spec.inline;
    for (const [i, p] of of1.entries()) expect(of2[i]!.ohm).toBeCloseTo(2 * p.ohm, 12);
    supplyOf(d).mainSwitch = supplyOf(d).shunt = null;
    expect(of(d).runs.find((r) => r.spec.id === 'house1-bus')!.spec.inline).toEqual([]);
  });

  it('hold the fuse of what passes them to their rating', () => {
    const d = demo('vet');
    supplyOf(d).mainSwitch = 'sw-150';
    const run = of(d).runs.find((r) => r.spec.id === 'house-bus')!;
    expect(run.ok).toBeFalse();
  });
});

describe('a run that no single cable suits', () => {
  const far = demo('vet');
  far.runs['bus-inverter'] = { outM: 9 };
  const a = of(far);
  const run = a.runs.find((r) => r.spec.id === 'bus-inverter')!;

  it('lies in two equal conductors a pole, each with its own fuse and lugs', () => {
    if (!run.ok) throw new Error(run.error);
    const { figures: f } = run;
    expect([f.perPole, f.cable]).toEqual([2, `2 × ${f.size}`]);
    expect(f.fuseA).toBeLessThanOrEqual(f.ampacityA);
    expect(f.pathDropPercent).toBeLessThanOrEqual(run.spec.pathLimitPercent! + 1);
    expect(a.order.cuts.filter((c) => c.run === run.spec.number).map((c) => c.label)).toEqual([`${run.spec.number}a+`, `${run.spec.number}a−`, `${run.spec.number}b+`, `${run.spec.number}b−`]);
    expect(a.order.lines.find((l) => l.key === `fuse-${f.fuseType}-${f.fuseA}`)!.quantity).toBeGreaterThanOrEqual(2);
  });

  it('is told with what happens when one fuse is open: the others carry it all', () => {
    const [f] = a.findings.filter((x) => x.rule === 'per-pole');
    if (!run.ok) throw new Error(run.error);
    const others = (run.figures.currentA * run.figures.perPole) / (run.figures.perPole - 1);
    expect(inWords(f!).say).toContain(`the others carry ${Math.round(others)} A each`);
    expect(inWords(f!).say).toMatch(/open too|go on|too warm/);
  });

  it('is pointed out, with how equal they must be', () => expect(a.findings.filter((f) => f.rule === 'per-pole').map((f) => f.at.about)).toEqual(['bus-inverter']));

  it('loses what one conductor of twice the copper would', () => {
    if (!run.ok) throw new Error(run.error);
    const { figures: f } = run;
    expect(f.dropV).toBeCloseTo(f.usualA * f.perPole * f.cableOhm, 6);
    expect(f.ohm).toBeCloseTo(f.cableOhm + f.jointsOhm, 12);
  });

  it('takes the thickest where it is only long, and says by how much it misses', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { outM: 60 };
    const far = of(d).runs.find((r) => r.spec.id === 'start-charger')!;
    if (!far.ok) throw new Error(far.error);
    expect([far.figures.perPole, far.figures.areaMm2]).toEqual([1, 95]);
    expect(far.figures.pathDropPercent).toBeGreaterThan(5);
    expect(of(d).findings.find((f) => f.rule === 'run-fails')!.severity).toBe('stop');
  });
});
