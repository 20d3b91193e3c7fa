import { onBench } from '../testing/bench';
import { FitStage } from './fit';

describe('the fit stage', () => {
  it('begins with making safe and ends with first power', async () => {
    const { element } = await onBench(FitStage, 'vet');
    const sections = [...element.querySelectorAll('h2')].map((h) => h.textContent!.trim().replace(/\s+\d+ of \d+$/, ''));
    expect(sections).toEqual(['make safe', 'place the gear', 'pull and cut', 'join and tighten', 'settings', 'first power']);
    expect(element.querySelector('.step')!.textContent).toContain('negative first');
  });

  it('ticks a step, counts it, and moves the next one on', async () => {
    const { element, bench, settle } = await onBench(FitStage, 'vet');
    const next = (): string => element.querySelector('.next b')!.textContent!;
    const first = next();
    element.querySelector<HTMLInputElement>('[data-step=safe-negative]')!.click();
    await settle();
    expect(bench.ticked().has('safe-negative')).toBeTrue();
    expect(next()).not.toBe(first);
    expect(element.querySelector('.bench-head')!.textContent).toContain('1 of');
  });

  it('takes a tick back', async () => {
    const { element, bench, settle } = await onBench(FitStage, 'vet');
    const box = element.querySelector<HTMLInputElement>('[data-step=safe-negative]')!;
    box.click();
    await settle();
    box.click();
    await settle();
    expect(bench.ticked().has('safe-negative')).toBeFalse();
  });

  it('has for every run a pull, a crimp and its fuse, with torque and label', async () => {
    const { element, bench } = await onBench(FitStage, 'vet');
    for (const r of bench.assessment()!.runs)
      for (const kind of ['pull', 'join', 'fuse'])
        expect(element.querySelector(`[data-step="${kind}-${r.spec.id}"]`))
          .withContext(`${kind} ${r.spec.id}`)
          .not.toBeNull();
    expect(element.textContent).toMatch(/M8, 12 N·m unless the maker says/);
    expect(element.textContent).toContain('label 1+ and 1− at both ends');
  });

  it('keeps a tick where a changed length does not change the step', async () => {
    const { element, bench, settle } = await onBench(FitStage, 'vet');
    bench.tick('pull-start-charger', true);
    bench.edit('length', (d) => (d.runs['start-charger'] = { outM: 7 }));
    await settle();
    expect(element.querySelector<HTMLInputElement>('[data-step="pull-start-charger"]')!.checked).toBeTrue();
  });

  it('leaves 230 V to the licensed electrician, and out where there is none', async () => {
    const { element } = await onBench(FitStage, 'vet');
    expect(element.querySelector('[data-step=power-licensed]')).not.toBeNull();
  });

  it('says so when all is done', async () => {
    const { element, bench, settle } = await onBench(FitStage, 'bees');
    for (const s of bench.assessment()!.fit) bench.tick(s.id, true);
    await settle();
    expect(element.querySelector('.next')!.textContent).toContain('All steps are done');
    expect(element.querySelector('[data-step=power-licensed]')).toBeNull();
  });
});
