import { onBench } from '../testing/bench';
import { LoadsStage } from './loads';

const labelled = (element: HTMLElement, label: string): Element | null => element.querySelector(`[aria-label="${label}"]`);

describe('the loads stage', () => {
  it('has a row for each load, in order, with its Ah a day', async () => {
    const { element, bench } = await onBench(LoadsStage, 'vet');
    const rows = [...element.querySelectorAll('tbody tr')];
    expect(rows.length).toBe(6);
    expect(rows.map((r) => r.querySelectorAll('td')[7]!.textContent)).toEqual(bench.assessment()!.day.loads.map((l) => l.ahDay.toFixed(1)));
  });

  it('answers first: Ah, Wh and peak in its head', async () => {
    const { element, bench } = await onBench(LoadsStage, 'vet');
    const head = element.querySelector('.bench-head')!.textContent!;
    expect(head).toContain(bench.assessment()!.day.ahDay.toFixed(1));
    expect(head).toContain('Wh');
  });

  it('takes a draw as it is typed and lets the day follow', async () => {
    const { element, bench, type } = await onBench(LoadsStage, 'vet');
    const before = bench.assessment()!.day.ahDay;
    await type(labelled(element, 'Draw of vaccine fridge'), '6,5 A');
    expect(bench.design()!.loads['l1']!.draw).toEqual({ unit: 'A', value: 6.5 });
    expect(bench.assessment()!.day.ahDay).not.toBe(before);
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
    expect(bench.design()!.loads['l2']!.when).toEqual({
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
    expect(bench.assessment()!.open.some((f) => f.rule === 'load-without-power')).toBeTrue();
  });

  it('guesses the kind from the name, but not against a kind that was chosen', async () => {
    const { element, bench, key, type } = await onBench(LoadsStage, 'vet');
    await key('n');
    const name = [...element.querySelectorAll('tbody input.plain')].at(-1)!;
    await type(name, 'deep freezer');
    expect(Object.values(bench.design()!.loads).at(-1)!.purpose).toBe('fridge');
    bench.edit('kind', (d) => (Object.values(d.loads).at(-1)!.purpose = 'tools'));
    await type(name, 'deep freezer lamp');
    expect(Object.values(bench.design()!.loads).at(-1)!.purpose).toBe('tools');
  });

  it('takes a load off at once', async () => {
    const { element, bench, click } = await onBench(LoadsStage, 'vet');
    await click(labelled(element, 'Take water pump off'));
    expect(Object.values(bench.design()!.loads).some((l) => l.name === 'water pump')).toBeFalse();
    expect(bench.labels).toEqual(['water pump taken off']);
  });

  it('walks the rows by J and K', async () => {
    const { element, key } = await onBench(LoadsStage, 'vet');
    const chosen = (): number => [...element.querySelectorAll('tbody tr')].findIndex((r) => r.classList.contains('chosen'));
    await key('j');
    await key('j');
    expect(chosen()).toBe(1);
    await key('k');
    expect(chosen()).toBe(0);
  });

  it('says what to do when there is nothing yet', async () => {
    const { element } = await onBench(LoadsStage, 'vet', (d) => (d.loads = {}));
    expect(element.querySelector('.empty')!.textContent).toContain('paste a list');
  });
});
