import { supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { ReadingsSheet } from './readings';

const keys = (element: HTMLElement, text: string): Element => [...element.querySelectorAll('.keys button')].find((b) => b.textContent === text)!;
const button = (element: HTMLElement, text: string): Element => [...element.querySelectorAll('.foot button')].find((b) => b.textContent!.includes(text))!;
const rowOf = (element: HTMLElement, id: string): string => element.querySelector(`[data-row="${id}"]`)!.textContent!;

describe('the prove stage', () => {
  it('asks for the battery first and shows what to expect', async () => {
    const { element } = await onBench(ReadingsSheet, 'vet');
    expect(element.querySelector('.row.chosen')!.getAttribute('data-row')).toBe('house-rest');
    expect(rowOf(element, 'house-rest')).toContain('13.30 V');
  });

  it('takes a reading by the pad, judges it, and goes on to the next', async () => {
    const { element, bench, click } = await onBench(ReadingsSheet, 'vet');
    for (const k of ['1', '3', '.', '2', '7']) await click(keys(element, k));
    await click(button(element, 'Keep'));
    expect(bench.readings().get('house-rest')!.value).toBe(13.27);
    expect(rowOf(element, 'house-rest')).toContain('agrees');
    expect(element.querySelector('.row.chosen')!.getAttribute('data-row')).toBe('volts-bus-inverter');
  });

  it('reckons all others from the battery’s own reading', async () => {
    const { element, bench, settle } = await onBench(ReadingsSheet, 'vet');
    const before = rowOf(element, 'volts-load-l1');
    bench.read('house-rest', 12.9, 'V');
    await settle();
    expect(rowOf(element, 'volts-load-l1')).not.toBe(before);
  });

  it('sends a low reading to the joints, and calls a high one impossible', async () => {
    const { element, bench, settle } = await onBench(ReadingsSheet, 'vet');
    bench.read('house-rest', 13.3, 'V');
    bench.read('volts-load-l1', 12.2, 'V');
    await settle();
    expect(rowOf(element, 'volts-load-l1')).toContain('measure across the fuse holder');
    bench.read('volts-load-l1', 14.4, 'V');
    await settle();
    expect(rowOf(element, 'volts-load-l1')).toContain('impossible');
  });

  it('keeps no reading of nothing, and says what it takes', async () => {
    const { element, bench, click } = await onBench(ReadingsSheet, 'vet');
    await click(button(element, 'Keep'));
    expect(element.querySelector('[role=alert]')!.textContent).toContain('“nothing” is not taken');
    expect(bench.readings().size).toBe(0);
  });

  it('rubs out and turns the sign', async () => {
    const { element, click } = await onBench(ReadingsSheet, 'vet');
    const shown = (): string => element.querySelector<HTMLInputElement>('.shown input')!.value;
    for (const k of ['1', '2', '±']) await click(keys(element, k));
    expect(shown()).toBe('-12');
    await click(button(element, 'Rub out'));
    await click(keys(element, '±'));
    expect(shown()).toBe('1');
  });

  it('says what comes first without a battery', async () => {
    const { element } = await onBench(ReadingsSheet, 'vet', (d) => (supplyOf(d).battery.part = null));
    expect(element.querySelector('.empty')!.textContent).toContain('a battery and a load come first');
  });

  it('reads boxes and batteries by each source too, in the order in which a rig is brought up', async () => {
    const { element, settle } = await onBench(ReadingsSheet, 'vet');
    for (let n = 0; n < 100 && !element.querySelector('[data-row="rest.draw"]'); n++) {
      await new Promise((r) => setTimeout(r, 10));
      await settle();
    }
    expect([...element.querySelectorAll('summary h2')].map((h) => h.textContent)).toEqual([
      'Each circuit alone',
      'At rest',
      'Everything on',
      'Engine idling',
      'Engine up',
      'By the sun',
      'Nearly full',
      'At its set points',
      'Run warm',
    ]);
    expect(rowOf(element, 'loads.joint:house-bus')).toMatch(/voltmeter, on millivolts.*at most 20\.0 mV/);
    expect(rowOf(element, 'engine.out-amps:charger')).toMatch(/clamp meter.*40\.00 A/);
  });

  it('calls a low charge current no fault while the bank is full, and tells four readings that cannot be true', async () => {
    const { element, bench, settle } = await onBench(ReadingsSheet, 'vet');
    for (let n = 0; n < 100 && !element.querySelector('[data-row="rest.draw"]'); n++) {
      await new Promise((r) => setTimeout(r, 10));
      await settle();
    }
    bench.read('engine.out-amps:charger', 11, 'A');
    await settle();
    expect(rowOf(element, 'engine.out-amps:charger')).toContain('off by');
    const beside = element.querySelector<HTMLInputElement>('[aria-label="Charge of the bank now, Engine up"]')!;
    beside.value = '250';
    beside.dispatchEvent(new Event('change'));
    await settle();
    expect(element.querySelector('.pad [role=alert]')!.textContent).toContain('Charge of the bank now');
    beside.value = '97';
    beside.dispatchEvent(new Event('change'));
    await settle();
    expect(rowOf(element, 'engine.out-amps:charger')).toMatch(/not yet.*nearly full/);
    for (const [row, value] of [
      ['in-volts', 9.2],
      ['in-amps', 20],
      ['out-volts', 13.9],
      ['out-amps', 15],
    ] as const)
      bench.read(`engine.${row}:charger`, value, 'V');
    await settle();
    expect(element.querySelector('.pair')!.textContent).toContain('the four cannot be true together');
  });

  it('says of a compartment that is run warm where it is going, once the air outside is known', async () => {
    const { element, bench, settle } = await onBench(ReadingsSheet, 'vet');
    for (let n = 0; n < 100 && !element.querySelector('[data-row="rest.draw"]'); n++) {
      await new Promise((r) => setTimeout(r, 10));
      await settle();
    }
    bench.read('soak.30:canopy', 22, '°C');
    bench.read('soak.60:canopy', 23, '°C');
    await settle();
    expect(element.querySelector('p.beside')).toBeNull();
    const outside = element.querySelector<HTMLInputElement>('[aria-label="Air outside, in the shade, Run warm"]')!;
    outside.value = '-41';
    outside.dispatchEvent(new Event('change'));
    await settle();
    expect(element.querySelector('.pad [role=alert]')!.textContent).toContain('Air outside');
    const group = outside.closest('details')!;
    group.open = true;
    group.dispatchEvent(new Event('toggle'));
    outside.value = '20';
    outside.dispatchEvent(new Event('change'));
    await settle();
    expect(group.open).withContext('what is kept closes no group').toBeTrue();
    expect(element.querySelector('p.beside.holds')!.textContent).toContain('Canopy settled at 23 °C, 3 K over the air outside; on a day of 40 °C that is 43 °C. As planned (4 K).');
  });

  it('says by which instrument a reading is judged, and that its check is overdue', async () => {
    const { element } = await onBench(ReadingsSheet, 'vet', (d) => Object.assign(d.settings.meters.volt, { name: 'bench meter 2', share: 0.003, checkedOn: '2024-03-01' }));
    const pad = element.querySelector('.pad')!.textContent!;
    expect(pad).toContain('Bench meter 2 ± (0.3 % + 0.02 V)');
    expect(pad).toContain('last checked on 2024-03-01, more than a year ago');
  });
});
