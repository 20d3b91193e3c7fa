import { onBench } from '../../testing/bench';
import { FitStage } from './fit';

describe('the fit stage', () => {
  const planned = async (key: string) => {
    const on = await onBench(FitStage, key);
    for (let i = 0; i < 4; i++) await on.settle();
    const button = (words: string): HTMLElement => [...on.element.querySelectorAll('button')].find((b) => b.textContent!.trim() === words)!;
    return { ...on, button, names: (): string[] => [...on.element.querySelectorAll('h2')].map((h) => h.textContent!.trim()) };
  };

  it('goes place by place, from making safe to first power, and says what that saves', async () => {
    const { element, names } = await planned('vet');
    expect([names()[0], names().at(-1)]).toEqual(['At the vehicle', 'At the vehicle']);
    expect(element.querySelector('.step')!.textContent).toContain('negative first');
    expect(element.querySelector('.saved')!.textContent!.replace(/\s+/g, ' ')).toMatch(/\d+ visits in place of \d+ .* less going about .*no order saves more/);
    expect(element.querySelectorAll('details[open]').length).toBe(1);
  });

  it('keeps its list while a changed plan is put in order: a photo that is being taken has its step', async () => {
    const { element, bench, settle } = await planned('vet');
    const camera = element.querySelector('.item.now mx-photos')!;
    bench.edit('length', (d) => (d.runs['start-charger'] = { outM: 7 }));
    for (let i = 0; i < 4; i++) await settle();
    expect(camera.isConnected).toBeTrue();
  });

  it('shows no list while no order is known', async () => {
    const { fixture, element, settle } = await planned('vet');
    fixture.componentInstance['plan'].set(null);
    await settle();
    expect(element.querySelector('.next')!.textContent).toContain('Putting the steps in order');
    expect(element.querySelectorAll('details').length).toBe(0);
  });

  it('stands by kind of work where that is wanted', async () => {
    const { click, button, names } = await planned('vet');
    await click(button('by kind of work'));
    expect(names()).toEqual(['Make safe', 'Place the gear', 'Pull and cut', 'Join and tighten', 'Settings', 'First power']);
  });

  it('asks about a tick that comes before what it waits for, and takes it on a word', async () => {
    const { element, bench, click, settle, button } = await planned('vet');
    const box = (): HTMLInputElement => element.querySelector<HTMLInputElement>('[data-step=power-main]')!;
    box().click();
    await settle();
    expect(bench.ticked().has('power-main')).toBeFalse();
    expect(element.querySelector('.ask')!.textContent).toContain('Still open before it: Look over every joint');
    await click(button('Not yet'));
    expect(element.querySelector('.ask')).toBeNull();
    box().click();
    await settle();
    await click(button('It is done all the same'));
    expect(bench.ticked().has('power-main')).toBeTrue();
  });

  it('ticks a step, counts it, and moves the next one on', async () => {
    const { element, bench, settle } = await planned('vet');
    const next = (): string => element.querySelector('.next b')!.textContent!;
    const first = next();
    element.querySelector<HTMLInputElement>('[data-step=safe-negative]')!.click();
    await settle();
    expect(bench.ticked().has('safe-negative')).toBeTrue();
    expect(next()).not.toBe(first);
    expect(element.querySelector('.bench-head')!.textContent).toContain('1 of');
  });

  it('takes a tick back', async () => {
    const { element, bench, settle } = await planned('vet');
    const box = element.querySelector<HTMLInputElement>('[data-step=safe-negative]')!;
    box.click();
    await settle();
    box.click();
    await settle();
    expect(bench.ticked().has('safe-negative')).toBeFalse();
  });

  it('has for every run a pull, a crimp and its fuse, with torque and label', async () => {
    const { element, bench } = await planned('vet');
    for (const r of bench.openAssessment().runs)
      for (const kind of ['pull', 'join', 'fuse'])
        expect(element.querySelector(`[data-step="${kind}-${r.spec.id}"]`))
          .withContext(`${kind} ${r.spec.id}`)
          .not.toBeNull();
    expect(element.textContent).toMatch(/M8, 12 N·m unless the maker says/);
    expect(element.textContent).toContain('label 1+ and 1− at both ends');
  });

  it('keeps a tick where a changed length does not change the step', async () => {
    const { element, bench, settle } = await planned('vet');
    bench.tick('pull-start-charger', true);
    bench.edit('length', (d) => (d.runs['start-charger'] = { outM: 7 }));
    await settle();
    expect(element.querySelector<HTMLInputElement>('[data-step="pull-start-charger"]')!.checked).toBeTrue();
  });

  it('leaves 230 V to the licensed electrician, and out where there is none', async () => {
    const { element } = await planned('vet');
    expect(element.querySelector('[data-step=power-licensed]')).not.toBeNull();
  });

  it('says so when all is done', async () => {
    const { element, bench, settle } = await planned('bees');
    for (const s of bench.openAssessment().fit) bench.tick(s.id, true);
    await settle();
    expect(element.querySelector('.next')!.textContent).toContain('All steps are done');
    expect(element.querySelector('[data-step=power-licensed]')).toBeNull();
  });
});
