import { boxGear, SHIPPED_CATALOGUE, type Design } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { BoxesSheet } from './boxes';

const boxed = (d: Design): void => {
  const made = boxGear(d, SHIPPED_CATALOGUE, ['house'], { name: 'battery box', weather: 'dry', airMm: 40, sealed: true });
  if (!made.ok) throw new Error(made.message);
  Object.assign(d, made.design);
};

describe('the sheet of boxes', () => {
  it('draws every side with its size and holes, and says what goes through the walls', async () => {
    const { element, bench } = await onBench(BoxesSheet, 'bookmobile', boxed);
    const [e] = bench.openAssessment().enclosures;
    expect(element.querySelectorAll('mx-sheet-picture').length).toBe(6);
    expect(element.querySelectorAll('circle').length).toBe(e!.sheets.flatMap((s) => s.holes).length);
    expect([...element.querySelectorAll('figcaption')].map((f) => f.textContent!.trim())).toContain('lid (top)544 × 244');
    expect(element.textContent).toContain('4 × M20');
    const links = [...element.querySelectorAll('a[href*="/boxes/"]')].map((a) => a.getAttribute('href'));
    expect(links).toEqual([
      `/api/jobs/job-1/boxes/${e!.zone}/sheets.pdf`,
      ...['A4', 'A3', 'A2', 'A1'].map((p) => `/api/jobs/job-1/boxes/${e!.zone}/sheets.pdf?paper=${p}`),
      `/api/jobs/job-1/boxes/${e!.zone}/sheets.dxf`,
    ]);
  });

  it('holds each point by the plan or by the tick of its step', async () => {
    const { element, bench, settle } = await onBench(BoxesSheet, 'bookmobile', boxed);
    const [e] = bench.openAssessment().enclosures;
    const marks = (): string[] => [...element.querySelectorAll('td.at svg')].map((s) => s.getAttribute('aria-label')!);
    expect(marks().filter((m) => m === 'holds').length).toBe(2);
    bench.ticked.set(new Set([`box-${e!.zone}-vent`, `box-${e!.zone}-close`]));
    await settle();
    expect(marks().filter((m) => m === 'holds').length).toBe(5);
  });

  it('says where a box is built while there is none', async () => {
    const { element } = await onBench(BoxesSheet, 'bookmobile');
    expect(element.textContent).toContain('No box is built round any gear yet.');
    expect(element.querySelector('a.btn')!.getAttribute('href')).toBe('/jobs/job-1/places/where');
  });
});
