import type { SizedRun } from '@meridex/core';
import { type OnBench, onBench } from '../../testing/bench';
import { CablesSheet } from './cables';
import { PlugsSheet } from './plugs';
import { WaysSheet } from './ways';

describe('the way of a run', () => {
  let b: OnBench<CablesSheet>;
  const run = (): SizedRun => b.bench.openAssessment().runs.find((r) => r.spec.id === 'start-charger')!;
  const others = (): Element[] => [...b.element.querySelectorAll('mx-run-way .other')];

  beforeEach(async () => {
    b = await onBench(CablesSheet, 'vet', (d) => delete d.runs['start-charger']);
    if (!b.element.querySelector('mx-run-way')) await b.click([...b.element.querySelectorAll('mx-run-detail button')].find((x) => x.textContent!.trim() === 'way') ?? null);
  });

  it('lists what it passes with length and air, and adds up to its length', () => {
    expect(b.element.querySelectorAll('.legs li').length).toBe(run().spec.route!.ways.length);
    expect(b.element.querySelector('mx-run-way')!.textContent).toContain(`= ${run().spec.outM.toFixed(1)} m`);
  });

  it('shows other ways with their length and why, takes one, and follows', async () => {
    expect(others().length).toBeGreaterThan(0);
    const said = Number(/([\d.]+) m/.exec(others()[0]!.querySelector('b')!.textContent!)![1]);
    expect(others()[0]!.textContent).toMatch(/longer|shorter|as long|past/);
    await b.click(others()[0]!);
    expect(run().spec.outM).toBeCloseTo(said, 6);
    expect(b.bench.openDesign().runs['start-charger']!.avoid!.length).toBe(1);
  });

  it('a barred waypoint never shortens it; the last one barred leaves no way, in words', async () => {
    const before = run();
    const barred = before.spec.route!.waypoints[1]!;
    b.bench.edit('bar', (d) => (d.runs['start-charger'] = { avoid: [barred] }));
    await b.settle();
    expect(run().spec.outM).toBeGreaterThanOrEqual(before.spec.outM);
    b.bench.edit('bar all', (d) => (d.runs['start-charger'] = { avoid: [before.spec.route!.waypoints[0]!] }));
    await b.settle();
    if (run().spec.noWay) expect(b.element.querySelector('mx-run-way .stop')!.textContent).toContain('bars them all');
    else expect(run().spec.route!.waypoints).not.toContain(before.spec.route!.waypoints[0]!);
  });
});

describe('the sheet of ways', () => {
  it('has a row for each stretch that carries cable, with tube and holes', async () => {
    const { element, bench } = await onBench(WaysSheet, 'vet');
    const { stretches } = bench.openAssessment().layout;
    expect(element.querySelectorAll('tbody tr').length).toBeGreaterThanOrEqual(stretches.length);
    for (const s of stretches.filter((x) => x.hole)) expect(element.textContent).toContain(s.way.along);
  });
});

describe('the sheet of plugs', () => {
  it('says of a pair swapped on one side what it does, and no longer when it is put right', async () => {
    const { element, bench, settle } = await onBench(PlugsSheet, 'playgroup');
    const pair = bench.openAssessment().layout.pairs.find((p) => p.kind !== 'trailer socket')!;
    const box = (): HTMLInputElement => [...element.querySelectorAll(`[data-plug="${pair.id}"] label`)].find((l) => l.textContent!.includes('swapped'))!.querySelector('input')!;
    const alert = (): Element | null => element.querySelector(`[data-plug="${pair.id}"] [role=alert]`);
    expect(alert()).toBeNull();
    box().click();
    await settle();
    expect(alert()!.textContent).toContain('feed and return swapped');
    expect(bench.openAssessment().open.some((f) => f.rule === 'plug-mates-wrong')).toBeTrue();
    box().click();
    await settle();
    expect(alert()).toBeNull();
  });

  it('lists every thin lead with its longest length', async () => {
    const { element, bench } = await onBench(PlugsSheet, 'vet');
    const { leads } = bench.openAssessment().layout;
    expect(leads.length).toBeGreaterThan(0);
    expect([...element.querySelectorAll('table tbody tr')].map((r) => r.querySelectorAll('td')[1]!.textContent)).toEqual(leads.map((l) => l.name));
  });
});
