import { assess, type Assessment } from '../assess/index.js';
import { Catalogue, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { bothWays, circuitPlan, selectivePairs } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, type Design, supplyOf } from '../design/index.js';
import { carriesA, fuseWindow } from '../protection/index.js';
import { inWords } from './judge.js';
import type { Finding } from './rule.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const found = (d: Design, rule: string): Finding[] => of(d).findings.filter((f) => f.rule === rule);
const said = (d: Design, rule: string): string =>
  found(d, rule)
    .map((f) => `${inWords(f).say} ${inWords(f).fix}`)
    .join(' | ');
const edit = (d: Design, id: string, more: Design['runs'][string]): Design => ({ ...d, runs: { ...d.runs, [id]: { ...d.runs[id], ...more } } });

describe('the air at a fuse', () => {
  it('takes from what it carries: more from a breaker than from a fuse, nothing at 25 °C', () => {
    expect(carriesA('small-bolt-in', 50, 25)).toBeCloseTo(40, 9);
    expect(carriesA('small-bolt-in', 50, 65)).toBeCloseTo(40 * 0.94, 9);
    expect(carriesA('breaker', 50, 65)).toBeCloseTo(32, 9);
  });

  it('never opens a window wider as it gets hotter', () => {
    for (const loadA of [3, 8, 12.1, 27, 39.9, 64])
      for (const type of ['blade', 'breaker', 'class-t'] as const) {
        const at = (c: number): readonly number[] => fuseWindow(type, loadA, [{ what: 'cable', ratingA: 200 }], c).fitsA;
        expect(at(40).every((a) => at(25).includes(a)) && at(80).every((a) => at(40).includes(a))).toBeTrue();
      }
  });

  it('is met by every fuse of every demo job, or said', () => {
    for (const { key, design } of DEMO_JOBS) {
      const a = of(design);
      const said = new Set(a.findings.filter((f) => f.rule === 'fuse-hot').map((f) => f.at.about));
      for (const r of a.runs) {
        if (!r.ok || !r.spec.ends.length) continue;
        const short = r.figures.currentA > carriesA(r.figures.fuseType, r.figures.fuseA, r.spec.fuseAirC) + 1e-9;
        expect(said.has(r.spec.id)).withContext(`${key} ${r.spec.name}`).toBe(short);
      }
    }
  });

  it('is named where no larger rating may stand: by what is printed it would do, in its air it does not', () => {
    const d = edit(demo('vet'), 'start-charger', { fuseA: 70 });
    const [f] = found(d, 'fuse-hot');
    expect(f!.at.about).toBe('start-charger');
    expect(inWords(f!).say).toMatch(/in the 70 °C where it stands the 70 A .* carries 52\.2 A all day; 55\.5 A may flow/);
  });

  it('gives way to the largest fuse that a charger’s maker states', () => {
    const part = SHIPPED_CATALOGUE.find('dcdc', supplyOf(demo('vet')).dcdc)!;
    const held = assess(demo('vet'), new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => p.id !== part.id), { ...part, maxFuseA: 60 }]));
    const run = held.runs.find((r) => r.spec.id === 'start-charger')!;
    expect(run.ok && run.figures.fuseA).toBe(60);
    expect(run.spec.lastingWhy).toContain('its maker’s largest fuse of 60 A wins');
    expect(held.findings.filter((x) => x.rule === 'fuse-hot' || x.rule === 'run-fails')).toEqual([]);
  });
});

describe('fuses in a row', () => {
  it('are told where a rating in the window would wait, and that rating does', () => {
    expect(found(demo('bees'), 'opens-first')).toEqual([]);
    const small = edit(demo('bees'), 'house-bus', { areaMm2: 35, fuseA: 60 });
    const [f] = found(small, 'opens-first');
    expect(f!.at.about).toBe('house-bus');
    expect(inWords(f!).say).toMatch(/House battery → bus bars: from .*A on its 60 A fuse may open before the/);
    const pressed = editDesign(small, [...f!.presses[0]!.patch]);
    if (!pressed.ok) throw new Error(pressed.message);
    const mended = of(pressed.design);
    const still = selectivePairs(mended.runs).filter((p) => !p.result.holds && p.near.run === 'house-bus');
    const named = inWords(f!).say.match(/of run \d+/g)!;
    expect(named.length).toBeGreaterThan(0);
    for (const run of named) expect(still.map((p) => `of run ${p.far.number}`)).not.toContain(run);
  });

  it('that nothing in the window would mend are shown on the sheet, and are no finding', () => {
    for (const { key, design } of DEMO_JOBS) {
      const a = of(design);
      const failing = selectivePairs(a.runs).filter((p) => !p.result.holds);
      for (const f of a.findings.filter((x) => x.rule === 'opens-first')) {
        const run = a.runs.find((r) => r.spec.id === f.at.about)!;
        expect(failing.some((p) => p.near.run === f.at.about)).toBeTrue();
        expect(run.ok && run.figures.window.fitsA.includes(Number(f.values['waits'])))
          .withContext(key)
          .toBeTrue();
      }
    }
    // The inverter's fuse is nearly as big as the main one, whatever is chosen.
    const inverter = selectivePairs(of(demo('vet')).runs).find((p) => p.far.run === 'bus-inverter')!;
    expect(inverter.result.holds).toBeFalse();
    expect(said(demo('vet'), 'opens-first')).not.toContain(`of run ${inverter.far.number}`);
  });
});

describe('a breaker', () => {
  it('stands where a person wants one, with how it closes again on the order', () => {
    const d = edit(demo('vet'), 'start-charger', { protect: 'breaker, self-resetting' });
    const a = of(d);
    const run = a.runs.find((r) => r.spec.id === 'start-charger')!;
    expect([run.ok && run.figures.fuseType, run.spec.reset]).toEqual(['breaker', 'self']);
    expect(a.order.lines.map((l) => l.what).join(' | ')).toMatch(/thermal breaker, self-resetting \d+ A, for both directions/);
    expect(said(d, 'breaker-resets-itself')).toContain('fed again and again');
  });

  it('gives way to a fuse where a person wants that', () => {
    const run = of(edit(demo('survey'), 'panel-regulator', { protect: 'fuse' })).runs.find((r) => r.spec.id === 'panel-regulator')!;
    expect([run.ok && run.figures.fuseType, run.spec.reset]).toEqual(['blade', null]);
  });

  it('may close again by itself where the load must not be lost, which is still asked', () => {
    const d = demo('vet');
    const [id] = Object.entries(d.loads).find(([, l]) => l.supply === 'dc')!;
    d.loads[id]!.critical = true;
    const f = found(edit(d, `load-${id}`, { protect: 'breaker, self-resetting' }), 'breaker-resets-itself');
    expect(f.map((x) => x.severity)).toEqual(['look']);
  });

  it('for one direction is refused where current goes both ways, and on a run fed from both ends', () => {
    const d = edit(edit(demo('survey'), 'house-bus', { protect: 'breaker, manual reset', poled: true }), 'panel-regulator', { poled: true });
    d.runs['charger-bus'] = { protect: 'breaker, manual reset', poled: true };
    const about = found(d, 'breaker-one-way').map((f) => f.at.about);
    expect(about).toContain('charger-bus');
    // The panels' own run only ever carries one way.
    expect(about).not.toContain('panel-regulator');
    const a = of(demo('survey'));
    const met = bothWays(circuitPlan(demo('survey'), SHIPPED_CATALOGUE, a)!);
    expect(met.get('house-bus')!.outA).toBeGreaterThan(1);
    expect(met.get('house-bus')!.backA).toBeGreaterThan(1);
    expect(met.get('panel-regulator')!.backA).toBe(0);
  });

  it('for one direction is fine where it is for both, and a fuse is never asked', () => {
    expect(found(edit(demo('survey'), 'panel-regulator', { poled: false }), 'breaker-one-way')).toEqual([]);
    expect(found(edit(demo('survey'), 'house-bus', { poled: true }), 'breaker-one-way')).toEqual([]);
  });
});

describe('the volts of a fuse', () => {
  it('are asked for on the order where a cold string stands above 32 V', () => {
    const d = demo('survey');
    supplyOf(d).sun = { ...supplyOf(d).sun, count: 2, inSeries: 2, controller: 'mppt-40' };
    const panels = of(d);
    const run = panels.runs.find((r) => r.spec.id === 'panel-regulator')!;
    expect(run.spec.highestV).toBe(panels.supply.array!.coldOpenV);
    expect(run.spec.highestV).toBeGreaterThan(32);
    expect(said(d, 'fuse-volts')).toContain('rated for 32 V DC');
    expect(panels.order.lines.some((l) => l.what.includes(`for ${Math.ceil(run.spec.highestV)} V DC or more`))).toBeTrue();
  });

  it('are no matter at 12 V', () => expect(found(demo('vet'), 'fuse-volts')).toEqual([]));
});

describe('a start through the closed isolator', () => {
  it('is reckoned for a link, and blames the fuse that may open', () => {
    expect(said(demo('bees'), 'cranking-through-link')).toMatch(/\d+ A come from the house bank: the \d+ A fuse of .* may open within/);
    expect(found(demo('vet'), 'cranking-through-link')).toEqual([]);
  });

  it('stops where the main switch does not bear it', () => {
    const part = SHIPPED_CATALOGUE.find('switch', 'sw-150')!;
    const weak = new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => p.id !== part.id), { ...part, peakA: 150 }]);
    const d = demo('bees');
    supplyOf(d).mainSwitch = 'sw-150';
    d.runs['house-bus'] = {};
    const severities = (c: Catalogue): string[] =>
      assess(d, c)
        .findings.filter((f) => f.rule === 'cranking-through-link')
        .map((f) => f.severity);
    expect([severities(SHIPPED_CATALOGUE), severities(weak)]).toEqual([['look'], ['stop']]);
  });
});

describe('the main switch', () => {
  it('is held to the hardest start behind it, the inverter’s surge included', () => {
    const d = demo('vet');
    expect(found(d, 'switch-surge')).toEqual([]);
    const part = SHIPPED_CATALOGUE.find('switch', supplyOf(d).mainSwitch)!;
    const weak = new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => p.id !== part.id), { ...part, peakA: 200 }]);
    const a = assess(d, weak);
    const [f] = a.findings.filter((x) => x.rule === 'switch-surge');
    expect(Number(f!.values['amps'])).toBeGreaterThan(a.supply.inverter!.surgeA);
    expect(inWords(f!).say).toContain('bears 200 A for a start');
  });
});
