import { onBench } from '../../testing/bench';
import { PartsSheet } from './parts-list';

const text = (e: Element | null): string => (e?.textContent ?? '').replace(/\s+/g, ' ').trim();

describe('cable bought and cut, on screen', () => {
  beforeEach(() => localStorage.clear());
  it('draws each piece with its cuts, and says what to buy', async () => {
    const { element, bench } = await onBench(PartsSheet, 'vet');
    const cables = element.querySelectorAll('mx-cable-cuts .cable');
    expect(cables.length).toBe(new Set(bench.openAssessment().order.cuts.map((c) => `${c.size} ${c.colour}`)).size);
    expect(element.querySelectorAll('mx-cable-cuts .cut').length).toBe(bench.openAssessment().order.cuts.length);
    expect(text(cables[0]!)).toMatch(/mm² (red|black) ?buy \d+ m ?\$?[\d.]+/);
  });
  it('takes what lies on the shelf, refuses what is no length, and keeps it', async () => {
    const { element, type, settle } = await onBench(PartsSheet, 'vet');
    const first = (): Element => element.querySelector('mx-cable-cuts .cable')!;
    await type(first().querySelector('input')!, 'plenty');
    await settle();
    expect(text(first())).toContain('came plenty; lengths in metres');
    await type(first().querySelector('input')!, '5, 3.2');
    await settle();
    expect(text(first())).toContain('all from the shelf');
    expect(Object.values(JSON.parse(localStorage.getItem(Object.keys(localStorage).find((k) => k.startsWith('meridex.shelf'))!)!) as object)).toEqual([[5, 3.2]]);
  });
});
