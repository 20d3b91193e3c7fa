import { supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { LiveSheet } from './live';

describe('what stays live', () => {
  it('says first what no switch makes dead', async () => {
    const { element } = await onBench(LiveSheet, 'vet');
    expect(element.querySelector('.answer')!.textContent).toContain('still live: starting battery · house battery 200 Ah · panel 200 W'.replaceAll(' · ', ', '));
  });

  it('puts what fares alike in one row, with who feeds it', async () => {
    const { element } = await onBench(LiveSheet, 'vet');
    const row = [...element.querySelectorAll('tbody tr')].find((r) => r.textContent!.includes('vaccine fridge'))!;
    expect(row.textContent).toContain('water pump');
    const cells = [...row.querySelectorAll('td')].map((c) => c.textContent!.replace(/\s+/g, ' ').trim());
    expect(cells[2]).toContain('charger');
    expect(cells[3]).toContain('dead');
  });

  it('warns of positives that stay live to the body', async () => {
    const { element, bench, settle } = await onBench(LiveSheet, 'vet');
    bench.edit('pole', (d) => (supplyOf(d).disconnect.pole = 'negative'));
    await settle();
    await settle();
    expect(element.textContent).toContain('live to the body');
    expect(element.querySelector('td.stop')).not.toBeNull();
  });

  it('says so while there is no circuit', async () => {
    const { element, bench, settle } = await onBench(LiveSheet, 'vet');
    bench.edit('none', (d) => (supplyOf(d).battery.part = null));
    await settle();
    await settle();
    expect(element.textContent).toContain('No circuit yet');
  });
});
