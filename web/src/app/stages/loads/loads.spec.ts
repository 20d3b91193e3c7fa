import { onBench } from '../../testing/bench';
import { LoadsStage } from './loads';

const labelled = (element: HTMLElement, label: string): Element | null => element.querySelector(`[aria-label="${label}"]`);

describe('the loads stage', () => {
  it('has a row for each load, in order, with its Ah a day', async () => {
    const { element, bench } = await onBench(LoadsStage, 'vet');
    const rows = [...element.querySelectorAll('tbody tr')];
    expect(rows.length).toBe(6);
    expect(rows.map((r) => r.querySelectorAll('td')[4]!.textContent)).toEqual(bench.openAssessment().day.loads.map((l) => l.ahDay.toFixed(1)));
  });

  it('answers first: Ah, Wh and peak in its head', async () => {
    const { element, bench } = await onBench(LoadsStage, 'vet');
    const head = element.querySelector('.bench-head')!.textContent!;
    expect(head).toContain(bench.openAssessment().day.ahDay.toFixed(1));
    expect(head).toContain('Wh');
    expect(element.querySelector('.at-once')!.textContent).toContain('Most at once');
    const { loadAh } = bench.openAssessment().trip!;
    expect(element.querySelector('.at-once')!.textContent).toContain(`the trip takes ${(loadAh.reduce((s, x) => s + x, 0) / loadAh.length).toFixed(1)} Ah a day`);
  });

  it('takes a draw as it is typed and lets the day follow', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    const before = bench.openAssessment().day.ahDay;
    await type(labelled(element, 'Draw of vaccine fridge'), '6,5 A');
    expect(bench.openDesign().loads['l1']!.draw).toEqual({ by: 'plate', unit: 'A', value: 6.5 });
    expect(bench.openAssessment().day.ahDay).not.toBe(before);
  });

  it('refuses a duty above 100 % with what is accepted, and changes nothing', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    await type(labelled(element, 'Runs: vaccine fridge'), '140 %');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 0 to 100 %');
    expect(bench.labels).toEqual([]);
  });

  it('takes hours of the day', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    await type(labelled(element, 'When: canopy lights'), '20-2');
    expect(bench.openDesign().loads['l2']!.when).toEqual({
      at: 'hours',
      spans: [
        [20, 24],
        [0, 2],
      ],
    });
  });

  it('adds a row by N, which is a finding until it has a draw', async () => {
    const { element, bench, key } = await onBench(LoadsStage, 'vet');
    await key('n');
    expect(element.querySelectorAll('tbody tr').length).toBe(7);
    expect(bench.openAssessment().open.some((f) => f.rule === 'load-without-power')).toBeTrue();
  });

  it('guesses the kind from the name, but not against a kind that was chosen', async () => {
    const { element, bench, key, type } = await onBench(LoadsStage, 'vet');
    await key('n');
    const name = [...element.querySelectorAll('tbody input.plain')].at(-1)!;
    await type(name, 'deep freezer');
    expect(Object.values(bench.openDesign().loads).at(-1)!.purpose).toBe('fridge');
    bench.edit('kind', (d) => (Object.values(d.loads).at(-1)!.purpose = 'tools'));
    await type(name, 'deep freezer lamp');
    expect(Object.values(bench.openDesign().loads).at(-1)!.purpose).toBe('tools');
  });

  it('takes a load off at once', async () => {
    const { element, bench, click } = await onBench(LoadsStage, 'vet');
    await click(labelled(element, 'Take water pump off'));
    expect(Object.values(bench.openDesign().loads).some((l) => l.name === 'water pump')).toBeFalse();
    expect(bench.labels).toEqual(['water pump taken off']);
  });

  it('walks the rows by J and K', async () => {
    const { element, key } = await onBench(LoadsStage, 'vet');
    const chosen = (): number => [...element.querySelectorAll('tbody tr')].findIndex((r) => r.classList.contains('chosen'));
    expect(chosen()).toBe(0);
    await key('j');
    await key('j');
    expect(chosen()).toBe(1);
    await key('k');
    expect(chosen()).toBe(0);
  });

  it('says what to do when there is nothing yet', async () => {
    const { element } = await onBench(LoadsStage, 'vet', (d) => (d.loads = {}));
    expect(element.querySelector('.empty')!.textContent).toContain('from the library');
  });

  it('takes a load from the library with the size that was typed', async () => {
    const { fixture, bench, settle } = await onBench(LoadsStage, 'vet');
    (fixture.componentInstance as unknown as { addPicked(p: { id: string; size: number }): void }).addPicked({ id: 'freezer', size: 80 });
    await settle();
    const added = Object.values(bench.openDesign().loads).at(-1)!;
    expect([added.name, added.purpose, added.use.by]).toEqual(['compressor freezer 80 L', 'fridge', 'fridge']);
    expect(bench.labels).toEqual(['compressor freezer 80 L from the library']);
  });

  it('takes a measured cycle as it is typed, and then has no duty to type', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    await type(labelled(element, 'Draw of vaccine fridge'), '4.6 A, 240 s on, 360 s off');
    expect(bench.openDesign().loads['l1']!.draw).toEqual({ by: 'measured', onA: 4.6, onS: 240, offS: 360 });
    expect(labelled(element, 'Runs: vaccine fridge')).toBeNull();
    expect(bench.openAssessment().day.loads[0]!.duty).toBeCloseTo(0.4, 9);
  });

  it('keeps a fridge’s duty one that grows with the heat', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    await type(labelled(element, 'Runs: vaccine fridge'), '30 %');
    expect(bench.openDesign().loads['l1']!.use).toEqual({ by: 'fridge', duty25: 0.3, insideC: 4 });
  });

  it('draws the chosen load’s hours by dragging on the strip', async () => {
    const { element, bench, settle } = await onBench(LoadsStage, 'vet', (d) => (d.loads['l1']!.when = { at: 'hours', spans: [] }));
    const svg = element.querySelector('mx-day-strip svg')!;
    const box = svg.getBoundingClientRect();
    const at = (hour: number): number => box.left + ((40 + hour * 30) / 760) * box.width;
    const point = (kind: string, hour: number, target: Element): void => void target.dispatchEvent(new PointerEvent(kind, { clientX: at(hour), bubbles: true, pointerId: 1 }));
    point('pointerdown', 6.1, element.querySelector('.track')!);
    point('pointermove', 9.4, svg);
    point('pointerup', 9.4, svg);
    await settle();
    expect(bench.openDesign().loads['l1']!.when).toEqual({ at: 'hours', spans: [[6, 9.5]] });
    point('pointerdown', 9.5, element.querySelectorAll('mx-day-strip .end')[1]!);
    point('pointermove', 12, svg);
    point('pointerup', 12, svg);
    await settle();
    expect(bench.openDesign().loads['l1']!.when).toEqual({ at: 'hours', spans: [[6, 12]] });
  });

  it('moves the ends of the hours by arrow keys, and takes them off by Delete', async () => {
    const { element, bench, settle } = await onBench(LoadsStage, 'vet', (d) => (d.loads['l1']!.when = { at: 'hours', spans: [[6, 9]] }));
    const press = async (key: string, end: number): Promise<void> => {
      element.querySelectorAll('mx-day-strip .end')[end]!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await settle();
    };
    await press('ArrowLeft', 0);
    await press('ArrowRight', 1);
    expect(bench.openDesign().loads['l1']!.when).toEqual({ at: 'hours', spans: [[5.5, 9.5]] });
    await press('Delete', 0);
    expect(bench.openDesign().loads['l1']!.when).toEqual({ at: 'hours', spans: [] });
  });

  it('changes the way a draw is known without changing what it comes to', async () => {
    const { fixture, element, bench, settle } = await onBench(LoadsStage, 'vet');
    const before = bench.openAssessment().day.loads[0]!.whDay;
    const detail = fixture.debugElement.query((e) => e.name === 'mx-load-detail').componentInstance as { setWay(w: string): void };
    for (const way of ['measured', 'energy']) {
      detail.setWay(way);
      await settle();
      expect(Math.abs(bench.openAssessment().day.loads[0]!.whDay - before) / before).toBeLessThan(0.03);
    }
    expect(element.querySelector('mx-load-detail')!.textContent).toContain('by Wh a day');
  });

  it('sets a light’s watts by its lumens and colour', async () => {
    const { element, bench, type, click } = await onBench(LoadsStage, 'vet');
    await click(element.querySelectorAll('tbody tr')[1]!);
    await type(labelled(element, 'Lumens'), '900');
    expect(bench.openDesign().loads['l2']!.draw).toEqual({ by: 'plate', unit: 'W', value: 10 });
  });

  it('says what a boil costs', async () => {
    const { element, type } = await onBench(LoadsStage, 'vet');
    const boil = element.querySelector('mx-boil')!;
    const ah = (): number => Number(/([\d.]+) Ah/.exec(boil.textContent!)![1]);
    const one = ah();
    await type(labelled(element, 'Water'), '2');
    expect(ah()).toBeCloseTo(2 * one, 0);
  });
});
