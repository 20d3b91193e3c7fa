import { onBench } from '../../testing/bench';
import { RigPanel } from './rig-panel';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
/** A button by its words or by its name. */
const button = (e: HTMLElement, name: string): Element => [...e.querySelectorAll('button')].find((b) => b.getAttribute('aria-label') === name || b.textContent!.trim() === name)!;
const rows = (e: HTMLElement): Element[] => [...e.querySelectorAll('.rows li')];

describe('more of anything', () => {
  it('adds an array with a controller of its own at one press and one step of undo, and says what it brings', async () => {
    const { element, bench, click } = await onBench(RigPanel, 'vet');
    const before = bench.openAssessment().supply.sunAhClearDay;
    await click(button(element, 'an array with its own controller'));
    expect(bench.labels).toEqual(['an array with its own controller']);
    expect(rows(element).map((r) => r.getAttribute('aria-label'))).toEqual(['second array, 160 W', 'solar controller']);
    expect(text(rows(element)[0]!)).toContain('160 W, its regulator passes 20 A');
    expect(bench.openAssessment().supply.sunAhClearDay).toBeGreaterThan(before + 20);
    expect(bench.openAssessment().runs.map((r) => r.spec.id)).toEqual(jasmine.arrayContaining(['array-regulator', 'regulator-bus']));
  });

  it('takes a thing out again, and what hung on it goes where it can', async () => {
    const { element, bench, click } = await onBench(RigPanel, 'vet');
    const before = structuredClone(bench.design());
    await click(button(element, 'an array with its own controller'));
    await click(button(element, 'Take out solar controller'));
    expect(bench.openDesign().arrays['array']!.into).toEqual({ in: 'converters', id: 'charger' });
    await click(button(element, 'Take out second array, 160 W'));
    expect(bench.design()).toEqual(before);
    expect(rows(element)).toEqual([]);
    expect(text(element)).toContain('each is one press');
  });

  it('takes a count that is none for what it is, with what is accepted', async () => {
    const { element, bench, click, type } = await onBench(RigPanel, 'vet');
    await click(button(element, 'an array beside the others'));
    const count = element.querySelector('[aria-label="Count of second array, 160 W"]');
    await type(count, '60');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 1 to 40');
    await type(count, '3');
    expect(bench.openDesign().arrays['array']!.count).toBe(3);
    expect(bench.openAssessment().supply.arrays[0]!.count).toBe(4);
  });
});
