import { onBench } from '../../testing/bench';
import { LabelsSheet } from './labels';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');

describe('the labels of a job', () => {
  it('say how many there are and on how many sheets, and lie drawn as they are printed', async () => {
    const { element, bench } = await onBench(LabelsSheet, 'vet');
    const all = Number(/(\d+) labels/.exec(text(element))![1]);
    const ofKinds = [...element.querySelectorAll('dd')].map((d) => Number(d.textContent));
    expect(ofKinds.reduce((a, b) => a + b, 0)).toBe(all);
    expect(ofKinds[2]).toBe(bench.openAssessment().runs.reduce((n, r) => n + (r.ok ? r.spec.ends.length : 0), 0));
    const pages = [...element.querySelectorAll('svg.page')];
    expect(pages.length).toBe(Math.ceil(all / 24));
    expect(pages.reduce((n, p) => n + p.querySelectorAll('rect').length, 0)).toBe(all);
    // As drawn by the page, no text leaves its label.
    for (const p of pages)
      for (const t of p.querySelectorAll('text'))
        expect(t.getBBox().width)
          .withContext(t.textContent!)
          .toBeLessThanOrEqual(70 - 2.5);
  });

  it('bear a code for each circuit where it is asked for, and say when no phone could open it', async () => {
    const { element, click } = await onBench(LabelsSheet, 'vet');
    expect(element.querySelectorAll('path.code').length).toBe(0);
    await click(element.querySelector('input[type=checkbox]'));
    const cables = [...element.querySelectorAll('dd')].map((d) => Number(d.textContent));
    expect(element.querySelectorAll('path.code').length).toBe(cables[0]! + cables[2]!);
    expect(element.querySelector<HTMLAnchorElement>('a.main')!.getAttribute('href')).toContain('codes=yes');
    expect(text(element)).toContain('which this computer alone knows');
  });

  it('begin where a sheet was begun, and ask the server for the same', async () => {
    const { element, type } = await onBench(LabelsSheet, 'vet');
    await type(element.querySelector('[aria-label="First label that is left"]'), '20');
    const href = element.querySelector<HTMLAnchorElement>('a.main')!.getAttribute('href')!;
    expect(href).toContain('/labels.pdf?');
    expect(href).toContain('sheet=large&first=20');
    await type(element.querySelector('[aria-label="First label that is left"]'), '99');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 1 to 24');
  });
});
