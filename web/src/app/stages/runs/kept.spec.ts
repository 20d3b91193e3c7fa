import { onBench } from '../../testing/bench';
import { KeptEdits } from './kept';

describe('what was set by hand', () => {
  it('stands beside what the draft would do, and goes back to it by a button', async () => {
    const { element, bench, click, settle } = await onBench(KeptEdits, 'vet', (d) => {
      d.runs = { 'bus-block': { areaMm2: 25 } };
      d.places = {};
    });
    await settle();
    const cells = [...element.querySelectorAll('tbody td')].map((c) => c.textContent!.trim());
    expect(cells[2]).toContain('25 mm²');
    expect(cells[3]).toMatch(/^\d+ mm²$/);
    await click(element.querySelector('button[aria-label^="Take the draft’s size"]'));
    await settle();
    expect(bench.openDesign().runs).toEqual({});
    expect(element.querySelector('table')).toBeNull();
  });
});
