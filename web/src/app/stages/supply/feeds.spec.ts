import { supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { BankPanel } from './bank-panel';
import { MainsPanel } from './mains-panel';
import { SunPanel } from './sun-panel';
import { SupplyStage } from './supply';
import { VehiclePanel } from './vehicle-panel';

const text = (e: HTMLElement): string => e.textContent!.replace(/\s+/g, ' ');
const labelled = (e: HTMLElement, label: string): Element | null => e.querySelector(`[aria-label="${label}"]`);

describe('the supply’s head', () => {
  it('answers first: Ah, the usable share and where it comes from, and how long it lasts', async () => {
    const { element, bench } = await onBench(SupplyStage, 'vet');
    const head = text(element.querySelector('.bench-head')!);
    expect(head).toContain('200 Ah at 12 V, 160 usable (80 %, default for lithium iron phosphate)');
    expect(head).toContain(`${bench.openAssessment().supply.daysAlone.toFixed(1)} days alone`);
  });
  it('opens its figures by W, each with what went into it', async () => {
    const { key, settle } = await onBench(SupplyStage, 'vet');
    await key('w');
    await settle();
    const said = document.body.textContent!;
    expect(said).toContain('usable Ah ÷ Ah a day of a parked day');
    expect(document.querySelector('[aria-label="Change drawn on a parked day"]')).not.toBeNull();
    document.querySelectorAll('.cdk-overlay-container').forEach((e) => e.remove());
  });
  it('stands without a battery', async () => {
    const { element } = await onBench(SupplyStage, 'vet', (d) => (supplyOf(d).battery.part = null));
    expect(text(element)).toContain('no house battery yet');
  });
});

describe('the house battery', () => {
  it('shows the usable share as a setting once it is one, and as the default again', async () => {
    const { element, bench, type } = await onBench(BankPanel, 'vet');
    await type(labelled(element, 'Usable share'), '90');
    expect(bench.openAssessment().supply.bank!.usableFrom).toBe('setting');
    await type(labelled(element, 'Usable share'), '');
    expect(bench.openAssessment().supply.bank!.usableFrom).toBe('chemistry');
  });
  it('refuses 0 batteries with what is accepted', async () => {
    const { element, bench, type } = await onBench(BankPanel, 'vet');
    await type(labelled(element, 'Batteries'), '0');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 1 to 12');
    expect(bench.labels).toEqual([]);
  });
  it('says what lead-acid reads at its reserve, by the workshop’s chart, and that lithium cannot be read', async () => {
    const rested = await onBench(BankPanel, 'bees');
    expect(text(rested.element)).toContain('12.30 V rested');
    rested.bench.edit('chart', (d) => (d.settings.voltsChart = 'loaded'));
    await rested.settle();
    expect(text(rested.element)).toContain('12.10 V loaded');
  });
  it('lists what must be equal before batteries are paralleled', async () => {
    const { element } = await onBench(BankPanel, 'bookmobile');
    expect(text(element)).toContain('chemistry: both lithium iron phosphate');
    expect(text(element)).toContain('charge each full, alone');
  });
});

describe('charge from the vehicle', () => {
  it('names the isolation that is advised, with each reason', async () => {
    const { element, bench } = await onBench(VehiclePanel, 'vet');
    expect(element.querySelectorAll('.reasons li').length).toBe(bench.openAssessment().supply.isolation.reasons.length);
    expect(element.querySelector('.decision')!.classList).toContain('holds');
    expect(text(element)).toContain('never closed');
  });
  it('marks a choice against the advice, and picks a part so that runs are drafted', async () => {
    const { fixture, element, bench, settle } = await onBench(VehiclePanel, 'vet');
    (fixture.componentInstance as unknown as { setIsolation(w: string): void }).setIsolation('isolator');
    await settle();
    expect(element.querySelector('.decision')!.classList).toContain('look');
    expect(supplyOf(bench.openDesign()).isolator).toBe('iso-140');
    expect(bench.openAssessment().runs.some((r) => r.spec.id === 'start-isolator')).toBeTrue();
  });
  it('shows the charger behind its feed, most amps at the lowest volts', async () => {
    const { element, bench } = await onBench(VehiclePanel, 'vet');
    const amps = bench.openAssessment().chargerInputs.map((c) => c.inA);
    expect(amps.length).toBe(3);
    expect(amps[2]).toBe(Math.max(...amps));
    expect(text(element)).toContain('lowest, at its cut-out');
  });
  it('says how fast a trigger that is always live empties the starting battery', async () => {
    const { element, bench, settle } = await onBench(VehiclePanel, 'vet');
    bench.edit('trigger', (d) => (supplyOf(d).trigger = 'always-live wire'));
    await settle();
    expect(text(element.querySelector('tr.stop')!)).toMatch(/always live.*\d\.\d h/);
  });
});

describe('the sun', () => {
  it('shows one box and two by the trip’s own Ah, the chosen one marked', async () => {
    const { element, settle } = await onBench(SunPanel, 'survey');
    await settle();
    const rows = [...element.querySelectorAll('table.small tbody tr')].map((r) => text(r as HTMLElement));
    expect(rows.length).toBe(2);
    expect(rows[0]).toContain('through the charger');
    expect(element.querySelectorAll('table.small tbody mx-mark').length).toBe(1);
  });
  it('shows what PWM loses with these panels once one is chosen, and by the month before', async () => {
    const { element, bench, settle } = await onBench(SunPanel, 'vet');
    expect(text(element)).not.toContain('PWM loses');
    expect(element.querySelectorAll('mx-month-bars rect').length).toBe(12);
    bench.edit('controller', (d) => (supplyOf(d).sun.controller = 'pwm-20'));
    await settle();
    expect(text(element)).toMatch(/PWM loses\s*\d+ %/);
  });
  it('refuses negative shade', async () => {
    const { element, bench, type } = await onBench(SunPanel, 'vet');
    await type(labelled(element, 'Shade'), '-5');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 0 to 100');
    expect(bench.labels).toEqual([]);
  });
});

describe('mains', () => {
  it('says whether the battery can feed the inverter, and its surge', async () => {
    const { element, bench, settle } = await onBench(MainsPanel, 'vet');
    expect(text(element)).toMatch(/1600 W draws 14\d A at the lowest volts; the battery gives 200 A/);
    bench.edit('inverter', (d) => (supplyOf(d).inverter = null));
    await settle();
    expect(text(element)).not.toContain('at the lowest volts');
  });
});

describe('a generator', () => {
  it('feeds the inlet in the hours that are typed, every day of the trip; nothing else is taken', async () => {
    const { element, bench, type } = await onBench(MainsPanel, 'playgroup', (d) => {
      supplyOf(d).mains.charger = 'mc-15';
      d.brief.trip.mainsNights = 'never';
      d.brief.trip.mainsH = 0;
    });
    const before = bench.openAssessment().trip!.mainsAh.reduce((a, b) => a + b, 0);
    const field = labelled(element, 'Hours on a generator');
    await type(field, 'at noon');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('“at noon” is not taken');
    await type(field, '8-10, 17-18');
    expect(bench.openDesign().inlets['inlet']!.hours).toEqual([
      [8, 10],
      [17, 18],
    ]);
    const after = bench.openAssessment().trip!.mainsAh;
    expect(after.every((ah) => ah > 0)).toBeTrue();
    expect(after.reduce((a, b) => a + b, 0)).toBeGreaterThan(before);
    await type(field, '');
    expect(bench.openDesign().inlets['inlet']!.hours).toEqual([]);
  });

  it('is asked about only where something charges from an inlet', async () =>
    expect(labelled((await onBench(MainsPanel, 'survey', (d) => void (supplyOf(d).mains.charger = null))).element, 'Hours on a generator')).toBeNull());
});
