import { onBench } from '../../testing/bench';
import { DiagramSheet } from './diagram';

/** The layout engine works in a worker of its own: its answer comes when it comes. */
async function drawn(element: HTMLElement, settle: () => Promise<void>, ready: () => boolean): Promise<void> {
  for (let n = 0; n < 200 && !ready(); n++) {
    await new Promise((r) => setTimeout(r, 50));
    await settle();
  }
  expect(ready()).withContext('drawn').toBeTrue();
}
const words = (element: HTMLElement): string => [...element.querySelectorAll('mx-line-diagram .words')].map((t) => [...t.querySelectorAll('text')].map((x) => x.textContent).join(' ')).join('|');

describe('the line diagram', () => {
  async function open(job: string) {
    const on = await onBench(DiagramSheet, job);
    await drawn(on.element, on.settle, () => on.element.querySelector('mx-line-diagram') !== null);
    return on;
  }

  it('shows every run with its size, length and fuse', async () => {
    const { element, bench } = await open('vet');
    const all = words(element);
    for (const r of bench.openAssessment().runs) if (r.ok) expect(all).toContain(`${r.spec.number} · ${r.figures.cable}`);
    expect(element.querySelectorAll('mx-line-diagram .symbol.fuse, mx-line-diagram .symbol.breaker').length).toBe(bench.openAssessment().runs.reduce((n, r) => n + r.spec.ends.length, 0));
  });

  it('shows volts and amps of a state, and what is dark in it', async () => {
    const { element, fixture, settle } = await open('vet');
    const sheet = fixture.componentInstance as unknown as { name(n: string): void };
    sheet.name('disconnect open');
    await settle();
    await drawn(element, settle, () => /vaccine fridge dark/.test(words(element)));
    expect(element.querySelector('.answer')!.textContent).toMatch(/the bank gives \d+\.\d A at 1[23]\.\d\d V/);
    expect(words(element)).toMatch(/4 · \d+\.\d A \d+\.\d\d V/);
    expect(element.querySelectorAll('path.line.dark').length).toBeGreaterThan(5);
    const arm = (node: string): string => element.querySelector(`.symbol[data-node="${node}"] path`)!.getAttribute('d')!;
    const [opened, main] = [arm('disconnect'), arm('switch')];
    sheet.name('parked, everything on');
    await settle();
    expect(arm('disconnect')).withContext('closes').not.toBe(opened);
    expect(arm('switch')).withContext('was closed before').toBe(main);
  });

  it('says of a picked piece of gear why it is there', async () => {
    const { element, fixture, settle } = await open('vet');
    (fixture.componentInstance as unknown as { pickGear(id: string): void }).pickGear('block');
    await settle();
    expect(element.querySelector('.picked')!.textContent).toContain('a way and fuse for each circuit');
  });

  it('says why a state has no solution', async () => {
    const { element, fixture, settle } = await open('vet');
    (fixture.componentInstance as unknown as { name(n: string): void }).name('main switch open');
    await settle();
    expect(element.querySelector('.answer.stop')!.textContent).toContain('no cable helps');
  });

  it('lights the run that is selected elsewhere, and hands its own selection on', async () => {
    const { element, settle } = await open('vet');
    element.querySelector<SVGPathElement>('path.reach[data-run="bus-inverter"]')!.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await settle();
    expect(element.querySelectorAll('path.line.feed.chosen').length).toBeGreaterThan(0);
    expect(element.querySelector('.picked')!.textContent).toContain('4 · Bus bars → inverter');
  });

  it('says of a part in line why it is there', async () => {
    const { element, settle } = await open('vet');
    element.querySelector<SVGRectElement>('.symbol[data-node="shunt"] rect.reach')!.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await settle();
    expect(element.querySelector('.picked')!.textContent).toContain('so charge can be counted');
  });

  it('can be filtered to one circuit', async () => {
    const { element, fixture, settle } = await open('vet');
    (fixture.componentInstance as unknown as { show: { set(s: string): void } }).show.set('water pump');
    await settle();
    await drawn(element, settle, () => !words(element).includes('vaccine fridge'));
    expect(words(element)).toContain('water pump');
    expect(words(element)).toContain('house battery');
  });

  it('opens so that its words can be read, and is seen whole, or over the full window, at a press', async () => {
    const { element, click, settle } = await open('bookmobile');
    const button = (name: string): HTMLButtonElement => [...element.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!;
    const scale = (): number =>
      Number(element.querySelector('mx-line-diagram svg')!.getAttribute('width')) / Number(element.querySelector('mx-line-diagram svg')!.getAttribute('viewBox')!.split(' ')[2]);
    expect(scale()).toBeGreaterThanOrEqual(10 / 12);
    await click(button('whole'));
    const sheet = element.querySelector('.sheet-of-paper')!;
    expect([sheet.scrollWidth <= sheet.clientWidth + 1, button('whole').getAttribute('aria-pressed')]).toEqual([true, 'true']);
    await click(button('full window'));
    expect(getComputedStyle(element.querySelector('mx-diagram') ?? element).position).toBe('fixed');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await settle();
    expect(button('full window').getAttribute('aria-pressed')).toBe('false');
  });

  it('says the same as a table', async () => {
    const { element, bench } = await open('bees');
    expect(element.querySelectorAll('details.twin tbody tr').length).toBe(bench.openAssessment().runs.length);
  });

  it('follows an edit', async () => {
    const { element, bench, settle } = await open('vet');
    bench.edit('longer', (d) => (d.runs['start-charger'] = { outM: 9.3 }));
    await settle();
    await drawn(element, settle, () => words(element).includes('9.3 m'));
    expect(words(element)).not.toContain('6.4 m');
  });
});
