import fc from 'fast-check';
import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, commonBackId, PARKED, settle } from '../circuit/index.js';
import { resistanceOhmPerM } from '../cable/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, readDesign, type Design } from '../design/index.js';
import { faultBook } from '../faults/index.js';
import { handOverPack } from '../handover/index.js';
import { inWords } from '../rules/index.js';
import { multicoreOffers, multicoresOf, type Fitted, type Multicore } from '../routes/index.js';
import { after, refusal } from '../testing/commanded.js';

const job = DEMO_JOBS.find((j) => j.key === 'survey')!.design;
const plain = assess(job, SHIPPED_CATALOGUE);
const THIN = ['load-l2', 'load-l3', 'load-l5'] as const;
const together = (back: 'own' | 'common', runs: readonly string[] = THIN, cores: number | null = null): Design =>
  after(job, { do: 'addMulticore', with: { id: 'mc', name: 'roof cable', runs, back, cores } });
const cableOf = (a: Assessment): Multicore => multicoresOf(a.runs)[0]!;
const runOf = (a: Assessment, id: string): Fitted => a.runs.find((r): r is Fitted => r.ok && r.spec.id === id)!;
const foundIn = (design: Design, rule: string): string[] =>
  assess(design, SHIPPED_CATALOGUE)
    .open.filter((f) => f.rule === rule)
    .map((f) => inWords(f).say);

describe('runs in one multi-core', () => {
  it('have one size, that of the run that wants most, and count as bunched with one another', () => {
    fc.assert(
      fc.property(fc.subarray(['load-l1', 'load-l2', 'load-l3', 'load-l4', 'load-l5'], { minLength: 2 }), fc.constantFrom('own' as const, 'common' as const), (runs, back) => {
        const a = assess(together(back, runs), SHIPPED_CATALOGUE);
        const members = runs.map((id) => runOf(a, id));
        expect(new Set(members.map((r) => r.figures.areaMm2)).size).toBe(1);
        for (const r of members) {
          expect(r.spec.grouped).toBeGreaterThanOrEqual(runs.length);
          expect(r.figures.ampacityA).toBeGreaterThanOrEqual(r.figures.fuseA);
          if (r.figures.aloneMm2 !== null) expect(r.figures.aloneMm2).toBeLessThan(r.figures.areaMm2);
        }
        expect(members.some((r) => r.figures.aloneMm2 === null)).toBeTrue();
      }),
      { numRuns: 20 },
    );
  });
  it('have a core for each feed and each return, or as many common ones as bear all fuses together; the rest is spare', () => {
    const [own, common] = [cableOf(assess(together('own'), SHIPPED_CATALOGUE)), cableOf(assess(together('common'), SHIPPED_CATALOGUE))];
    const leads = (m: Multicore): string => m.plan.map((c) => c.lead[0]).join('');
    expect([leads(own), own.used, own.bought]).toEqual(['frfrfrs', 6, 7]);
    const fusesA = common.runs.reduce((s, r) => s + r.figures.fuseA, 0);
    const backs = common.plan.filter((c) => c.lead === 'common return').length;
    expect(backs * Math.min(...common.runs.map((r) => r.figures.ampacityA))).toBeGreaterThanOrEqual(fusesA);
    expect(backs).toBeLessThan(3);
    expect(common.used).toBe(3 + backs);
    expect(common.plan.length).toBe(common.bought);
  });
  it('lose in a common return what all of them carry: the formula, and the solved network within the warmth of the copper', () => {
    const design = together('common');
    const a = assess(design, SHIPPED_CATALOGUE);
    const members = THIN.map((id) => runOf(a, id));
    const usualA = members.reduce((s, r) => s + r.spec.usualA, 0);
    const { cores } = members[0]!.spec.multicore!.common!;
    for (const { spec, figures } of members) {
      const perM = resistanceOhmPerM(figures.areaMm2, design.settings.tinned, figures.conductorC);
      expect(figures.dropV).toBeCloseTo(perM * (spec.usualA * spec.outM + (usualA * spec.backM) / cores), 3);
    }
    const solved = settle(circuitPlan(design, SHIPPED_CATALOGUE, a)!, PARKED);
    if (!solved.ok) throw new Error('does not settle');
    const back = solved.circuit.resistors.find((r) => r.id === commonBackId('mc'))!;
    expect(back.ohm).toBeCloseTo((Math.max(...members.map((r) => r.spec.backM)) * resistanceOhmPerM(members[0]!.figures.areaMm2, design.settings.tinned, 45)) / cores, 3);
  });
  it('are bought as one cable, cut once, pulled once, and go through a hole as one', () => {
    const a = assess(together('own'), SHIPPED_CATALOGUE);
    const m = cableOf(a);
    expect(m.lengthM).toBe(Math.max(...m.runs.map((r) => r.spec.outM)));
    expect(a.order.lines.filter((l) => l.what === `cable 7-core ${m.size} sheathed`).map((l) => l.uses)).toEqual([[`roof cable: runs ${m.runs.map((r) => r.spec.number).join(', ')}`]]);
    expect(a.order.cuts.filter((c) => c.name === 'roof cable').map((c) => [c.lead, c.lengthM])).toEqual([['cores', m.lengthM]]);
    const numbers = new Set(m.runs.map((r) => r.spec.number));
    expect(a.order.cuts.some((c) => c.run !== null && numbers.has(c.run))).toBeFalse();
    expect(a.fit.filter((s) => s.id.startsWith('pull-') && (s.id.includes('multicore') || THIN.some((id) => s.id === `pull-${id}`))).map((s) => s.id)).toEqual(['pull-multicore-mc']);
    for (const id of THIN) expect(a.fit.find((s) => s.id === `join-${id}`)!.after).toContain('pull-multicore-mc');
    for (const s of a.layout.stretches) {
      const before = plain.layout.stretches.find((x) => x.way.id === s.way.id)!;
      if (m.runs.every((r) => s.runs.includes(r.spec.number))) expect(before.cables - s.cables).toBe(5);
    }
  });
  it('stand in the pack, core by core', () => {
    const design = together('own');
    Object.values(design.multicores)[0]!.colours = ['red', 'black', 'yellow'];
    const a = assess(design, SHIPPED_CATALOGUE);
    const cores = (d: Design): readonly (readonly string[])[] =>
      handOverPack(d, assess(d, SHIPPED_CATALOGUE), 'van', { readings: {}, plan: null, ticked: new Set() }).tables.find((t) => t.title === 'Cores')?.rows ?? [];
    expect(cores(design).map((r) => r[3])).toEqual(cableOf(a).plan.map((c) => c.lead));
    expect(cores(design).map((r) => r[2])).toEqual(['red', 'black', 'yellow', '', '', '', '']);
    expect(a.fit.find((s) => s.id.startsWith('pull-multicore-'))!.detail).toMatch(/^Cores: 1 red: feed of \d+, 2 black: return of \d+, 3 yellow: feed of \d+, 4 return/);
    expect(cores(job)).toEqual([]);
  });
  it('give black to what goes back, wherever it stands on the cable, and to a feed only where more are black than go back', () => {
    const leads = (back: 'own' | 'common', colours: string[]): string[] => {
      const design = together(back);
      Object.values(design.multicores)[0]!.colours = colours;
      const { plan } = cableOf(assess(design, SHIPPED_CATALOGUE));
      expect(plan.map((c) => c.core)).toEqual(plan.map((_, i) => i + 1));
      return plan.filter((c) => c.colour.toLowerCase() === 'black').map((c) => c.lead);
    };
    expect(leads('own', ['black', 'red'])).toEqual(['return']);
    expect(leads('common', ['Black', 'red', 'yellow'])).toEqual(['common return']);
    expect(leads('own', ['black', 'black', 'black', 'black'])).toEqual(['return', 'return', 'return', 'feed']);
  });
  it('are as before once the cable is taken apart, and a load that goes leaves its core', () => {
    expect(after(together('own'), { do: 'removeMulticore', with: { multicore: 'mc' } })).toEqual(job);
    expect(after(together('own'), { do: 'removeLoad', with: { load: 'l2' } }).multicores['mc']!.runs).toEqual(['load-l3', 'load-l5']);
    const two = after(together('own'), { do: 'addMulticore', with: { id: 'other', runs: [...THIN] } });
    expect(Object.keys(two.multicores)).toEqual(['other']);
  });
  it('take a size that was typed of one of them', () => {
    const a = assess({ ...together('own'), runs: { 'load-l3': { areaMm2: 4 } } }, SHIPPED_CATALOGUE);
    expect(THIN.map((id) => runOf(a, id).figures.areaMm2)).toEqual([4, 4, 4]);
  });
  it('die together where their common return is parted, which a test tells from any other fault', () => {
    const book = faultBook(together('common'), SHIPPED_CATALOGUE)!;
    const dead = book.faults.find((f) => f.id === 'no-common-return:mc')!;
    const silent = book.probes.filter((p) => p.unit === 'V' && p.expected > 9 && p.predicted[dead.id]! < 1).map((p) => p.id);
    for (const id of ['l2', 'l3', 'l5']) expect(silent.some((probe) => probe.includes(id))).toBeTrue();
    for (const other of ['sound', 'no-return:load-l2', 'open:bus-block', 'blown:load-l3'])
      expect(book.probes.some((p) => Math.abs(p.predicted[dead.id]! - p.predicted[other]!) > 4 * p.tolerance))
        .withContext(other)
        .toBeTrue();
  });
  it('are offered where thin ones go the same way, and not again', () => {
    for (const { design } of DEMO_JOBS) {
      const { runs } = assess(design, SHIPPED_CATALOGUE);
      for (const o of multicoreOffers(runs)) {
        const done = after(design, { do: 'addMulticore', with: { id: 'mc', runs: o.runs.map((r) => r.spec.id) } });
        const a = assess(done, SHIPPED_CATALOGUE);
        expect(cableOf(a).stocked).toBeTrue();
        expect(a.open.filter((f) => f.severity === 'stop').map((f) => f.key)).toEqual(
          assess(design, SHIPPED_CATALOGUE)
            .open.filter((f) => f.severity === 'stop')
            .map((f) => f.key),
        );
        expect(multicoreOffers(a.runs).some((x) => x.runs.some((r) => o.runs.some((y) => y.spec.id === r.spec.id)))).toBeFalse();
      }
    }
  });
  it('are found where the cable has too few cores, one is heavy among light ones, one is alone or cannot lie there', () => {
    expect(foundIn(together('own', THIN, 4), 'multicore-cores')[0]).toContain('needs 6 cores, and has 4');
    expect(foundIn(together('own', ['load-l1', 'load-l2', 'load-l3']), 'multicore-thick')[0]).toContain('alone makes all 7 cores');
    expect(foundIn(together('own', ['load-l2']), 'multicore-left-out')[0]).toContain('is alone in roof cable');
    expect(foundIn(together('own', ['load-l2', 'load-l3', 'house-bus']), 'multicore-left-out')[0]).toContain('cannot lie in roof cable');
    const heavy = { ...together('common'), runs: { 'load-l3': { fuseA: 30, areaMm2: 1.5 } } };
    expect(foundIn(heavy, 'multicore-return')[0]).toContain('the fuses of its runs let 40 A through together');
  });
  it('are found where one goes another way; every press mends what it stands by', () => {
    const cases: readonly (readonly [string, Design])[] = [
      ['multicore-ways', after(DEMO_JOBS.find((j) => j.key === 'vet')!.design, { do: 'addMulticore', with: { runs: ['load-l1', 'load-l2', 'panel-regulator'] } })],
      ['multicore-cores', together('own', THIN, 4)],
      ['multicore-thick', together('own', ['load-l1', 'load-l2', 'load-l3'])],
      ['multicore-return', { ...together('common'), runs: { 'load-l3': { fuseA: 30, areaMm2: 1.5 } } }],
      ['multicore-left-out', together('own', ['load-l2', 'load-l3', 'house-bus'])],
    ];
    for (const [rule, design] of cases) {
      const found = assess(design, SHIPPED_CATALOGUE).open.find((f) => f.rule === rule);
      const pressed = found && editDesign(design, found.presses[0]!.patch);
      expect(pressed?.ok).withContext(rule).toBeTrue();
      if (pressed?.ok) expect(foundIn(pressed.design, rule)).withContext(rule).toEqual([]);
    }
  });
  it('are asked for in words that say what came and what is accepted', () => {
    expect(refusal(job, { do: 'addMulticore', with: { runs: [] } })).toMatch(/^runs: /);
    expect(refusal(job, { do: 'setMulticore', with: { multicore: 'no', set: { back: 'own' } } })).toBe('multicore: no is not there; there are none yet');
    expect(refusal(together('own'), { do: 'setMulticore', with: { multicore: 'mc', set: { cores: 1 } } })).toMatch(/^set\.cores: /);
  });
  it('are read back as they were written; a file without them opens', () => {
    const { multicores, ...older } = together('own');
    const read = (d: unknown): Design => {
      const r = readDesign(d);
      if (!r.ok) throw new Error(r.message);
      return r.design;
    };
    expect(read(JSON.parse(JSON.stringify(together('own')))).multicores).toEqual(multicores);
    expect(read(JSON.parse(JSON.stringify(older))).multicores).toEqual({});
  });
});
