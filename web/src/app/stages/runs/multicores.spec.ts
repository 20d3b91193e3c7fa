import { multicoresOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { MulticoresSheet } from './multicores';

const button = (element: HTMLElement, words: string): HTMLButtonElement => [...element.querySelectorAll('button')].find((b) => b.textContent!.includes(words))!;

describe('the sheet of multi-cores', () => {
  it('offers one cable for thin runs that go the same way, and takes it apart again', async () => {
    const { element, bench, click } = await onBench(MulticoresSheet, 'bookmobile');
    await click(button(element, 'One cable for 4 runs'));
    const [m] = multicoresOf(bench.openAssessment().runs);
    expect(element.querySelector('.answer')!.textContent).toContain(`${m!.bought} × ${m!.size}`);
    expect([...element.querySelectorAll('.plan tbody tr')].map((r) => r.querySelectorAll('td')[1]!.textContent)).toEqual(m!.plan.map((c) => (c.lead === 'common return' ? 'return' : c.lead)));
    expect(element.querySelector('mx-core-section svg')!.getAttribute('aria-label')).toContain(`${m!.bought} cores: 4 feeds`);
    expect(button(element, 'One cable for')).toBeUndefined();
    await click(button(element, 'take apart'));
    expect(bench.openDesign().multicores).toEqual({});
  });

  it('takes ticked runs together, and says what is wrong with too few cores', async () => {
    const { element, bench, click, type } = await onBench(MulticoresSheet, 'bookmobile');
    expect(button(element, 'Tick two or more').disabled).toBeTrue();
    for (const name of ['reading lights', 'roof fan']) await click([...element.querySelectorAll('label')].find((l) => l.textContent!.includes(name))!.querySelector('input'));
    await click(button(element, 'Put 2 runs in one cable'));
    expect(Object.values(bench.openDesign().multicores).map((m) => [m.runs.length, m.back])).toEqual([[2, 'own']]);
    await type(element.querySelector('input[aria-label="Cores of multi-core"]'), '3');
    expect(Object.values(bench.openDesign().multicores)[0]!.cores).toBe(3);
    expect(element.querySelector('.what .stop')!.textContent).toContain('4 cores are needed');
  });

  it('takes the colours as they stand on the cable, in any spacing, and shows each beside its core', async () => {
    const { element, bench, settle } = await onBench(MulticoresSheet, 'bookmobile', (d) => {
      d.multicores = { mc: { order: 1, name: '', runs: ['load-l1', 'load-l2'], back: 'own', cores: null, colours: [] } };
    });
    const field = element.querySelector<HTMLInputElement>('input[aria-label="Colours of multi-core"]')!;
    field.value = ' red,black ;  yellow , ';
    field.dispatchEvent(new Event('change'));
    await settle();
    expect(bench.openDesign().multicores['mc']!.colours).toEqual(['red', 'black', 'yellow']);
    const cells = [...element.querySelectorAll('.plan tbody tr')].map((r) => r.querySelectorAll('td')[0]!.textContent!.trim());
    expect(cells).toEqual(['1 red', '2 black', '3 yellow', '4']);
  });

  it('draws cores that do not overlap, whatever their number', async () => {
    const { element, bench, settle } = await onBench(MulticoresSheet, 'bookmobile', (d) => {
      d.multicores = { mc: { order: 1, name: '', runs: ['load-l1', 'load-l2', 'load-l3', 'load-l4'], back: 'own', cores: null, colours: [] } };
    });
    for (const cores of [null, 5, 9, 12, 19, 24]) {
      bench.edit('cores', (d) => (d.multicores['mc']!.cores = cores));
      await settle();
      const at = [...element.querySelectorAll('mx-core-section g')].map((g) =>
        g
          .getAttribute('transform')!
          .match(/-?[\d.]+(e-\d+)?/g)!
          .map(Number),
      );
      expect(at.length).toBeGreaterThan(1);
      for (const [i, a] of at.entries()) for (const b of at.slice(i + 1)) expect(Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!)).toBeGreaterThan(22);
    }
  });
});
