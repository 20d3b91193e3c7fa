import { onBench } from '../../testing/bench';
import { MonitorPanel } from './monitor-panel';

const button = (e: HTMLElement, name: string): Element => [...e.querySelectorAll('button')].find((b) => b.getAttribute('aria-label') === name || b.textContent!.trim() === name)!;
const rows = (e: HTMLElement): (string | null)[] => [...e.querySelectorAll('.rows li')].map((r) => r.getAttribute('aria-label'));

describe('what measures, shows and switches', () => {
  it('brings a unit that shows along with the first sender, as one step of undo, and joins the two', async () => {
    const { element, bench, click } = await onBench(MonitorPanel, 'vet');
    const before = rows(element);
    await click(button(element, 'Add a tank sender'));
    expect(bench.labels).toEqual(['a tank sender']);
    expect(rows(element)).toEqual([...before, 'remote unit with eight buttons', 'fresh water']);
    expect(bench.openDesign().monitors['meter']!.shownBy).toBe('screen');
    await click(button(element, 'Add a tank sender'));
    expect(rows(element)).toEqual([...before, 'remote unit with eight buttons', 'fresh water', 'fresh water']);
    expect(
      bench
        .openAssessment()
        .layout.leads.filter((l) => l.to === 'screen')
        .map((l) => l.kind),
    ).toEqual(['feed', 'data', 'data']);
  });

  it('names a thing, switches loads by a sender, and says what is against it', async () => {
    const { element, bench, click } = await onBench(MonitorPanel, 'vet');
    await click(button(element, 'Add a tank sender'));
    await click(button(element, 'Add a relay unit that switches loads'));
    const field = element.querySelector<HTMLInputElement>('[aria-label="Name of the fresh water"]')!;
    field.value = 'rear tank';
    field.dispatchEvent(new Event('change'));
    await click(field);
    expect(bench.openDesign().monitors['meter']!.name).toBe('rear tank');
    const relays = rows(element).at(-1)!;
    expect(relays).toBe('relay unit, four outputs of 10 A');
    expect(element.textContent).toContain('4 outputs of 10 A, off when it dies');
    expect(element.querySelector(`[aria-label="${relays} switches"]`)).not.toBeNull();
    expect(element.querySelector(`[aria-label="${relays} closes by itself"]`)).not.toBeNull();
  });

  it('takes a thing out again, and what it told stands alone', async () => {
    const { element, bench, click } = await onBench(MonitorPanel, 'vet');
    const before = structuredClone(bench.design());
    await click(button(element, 'Add a tank sender'));
    await click(button(element, 'Take out remote unit with eight buttons'));
    expect(bench.openDesign().monitors['meter']!.shownBy).toBeNull();
    await click(button(element, 'Take out fresh water'));
    expect(bench.design()).toEqual(before);
  });
});
