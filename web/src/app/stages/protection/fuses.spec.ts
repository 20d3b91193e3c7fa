import { supplyOf } from '@meridex/core';
import type { Design } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { FusesSheet } from './fuses';

/** The cinema with blades before its 24 V bank, which they cannot break. */
const blades = (d: Design): void => void (supplyOf(d).fuseBlock = 'fb-6');

describe('the fuses', () => {
  it('has a row for every fuse of every run', async () => {
    const { element, bench } = await onBench(FusesSheet, 'vet');
    const fuses = bench.openAssessment().runs.reduce((n, r) => n + (r.ok ? r.figures.fuses.length : 0), 0);
    expect(element.querySelector('table')!.querySelectorAll('tbody tr').length).toBe(fuses);
  });

  it('bear the numbers that the workshop writes on them', async () => {
    const { element, bench, settle } = await onBench(FusesSheet, 'vet');
    const marks = (): string[] => [...element.querySelector('table')!.querySelectorAll('tbody tr td:first-child')].map((c) => c.textContent!.trim());
    expect(marks()[0]).toBe('1');
    bench.edit('numbers', (d) => (d.settings.fuseMarks = { by: 'their own count', prefix: 'F' }));
    await settle();
    expect(marks()).toEqual(marks().map((_, n) => `F${n + 1}`));
  });

  it('opens on the first that does not hold, and says what to do', async () => {
    const { element } = await onBench(FusesSheet, 'cinema', blades);
    expect(element.querySelector('tr.chosen')!.textContent).toContain('cannot break it');
    expect(element.querySelector('section:last-of-type')!.textContent).toContain('a kind that breaks more');
    expect(element.querySelectorAll('td.stop').length).toBe(3);
  });

  it('follows a board of cartridges to fuses that hold', async () => {
    const { element, bench, settle } = await onBench(FusesSheet, 'cinema', blades);
    const wrong = (): number => [...element.querySelectorAll('tbody tr')].filter((r) => r.textContent!.includes('cannot break it')).length;
    expect(wrong()).toBeGreaterThan(0);
    bench.edit('block', (d) => (supplyOf(d).fuseBlock = 'fb-8-c'));
    await settle();
    expect(wrong()).toBe(0);
  });

  it('tells a fuse that another backs up from one that breaks by itself, as the workshop takes it', async () => {
    const { element, bench, settle } = await onBench(FusesSheet, 'vet');
    const words = (): string[] => [...element.querySelectorAll('table:first-of-type tbody tr')].map((r) => r.textContent!);
    expect(words().filter((w) => w.includes('backed up')).length).toBe(5);
    bench.edit('shop rule', (d) => (d.settings.backup = 'stop'));
    await settle();
    expect(words().filter((w) => w.includes('cannot break it')).length).toBe(5);
  });

  it('shows which of two fuses opens first, those that do not wait on top', async () => {
    const { element, settle } = await onBench(FusesSheet, 'vet');
    await settle();
    const rows = [...element.querySelectorAll('table:last-of-type tbody tr')].map((r) => r.textContent!.replace(/\s+/g, ' '));
    expect(rows[0]).toContain('may open from');
    expect(rows.at(-1)).toContain('waits');
    expect(rows.some((r) => /200 A.*2\d\d A of run 3.*1\.\d : 1/.test(r))).toBeTrue();
  });

  it('says of the chosen fuse what it carries in its air, and the most in any state', async () => {
    const { element, settle } = await onBench(FusesSheet, 'vet');
    await settle();
    [...element.querySelectorAll<HTMLElement>('tbody tr')].find((r) => r.textContent!.includes('200 A'))!.click();
    for (let n = 0; n < 3; n++) await settle();
    const text = element.querySelector('section:last-of-type')!.textContent!.replace(/\s+/g, ' ');
    expect(text).toMatch(/carries all day ?152\.8 A in 55 °C/);
    expect(text).toMatch(/most in any state \(parked, .*\) ?1\d\d\.\d A/);
    expect(element.querySelector('mx-fuse-plot canvas')!.getAttribute('aria-label')).toContain('200 A fuse');
  });
});
