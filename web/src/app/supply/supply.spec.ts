import { onBench } from '../testing/bench';
import { SupplyStage } from './supply';

interface Inside {
  setIsolation(way: 'dcdc' | 'isolator' | 'none'): void;
  setUsable(percent: number | null): void;
  set(label: string, change: (s: { inverter: string | null; sun: { controller: string | null } }) => void): void;
}
const inside = (c: SupplyStage): Inside => c as unknown as Inside;

describe('the supply stage', () => {
  it('answers first: Ah, the usable share and where it comes from, and how long it lasts', async () => {
    const { element, bench } = await onBench(SupplyStage, 'vet');
    const head = element.querySelector('.bench-head')!.textContent!.replace(/\s+/g, ' ');
    expect(head).toContain('200 Ah at 12 V, 160 usable (80 %, default for lithium iron phosphate)');
    expect(head).toContain(`${bench.assessment()!.supply.daysAlone.toFixed(1)} days alone`);
  });

  it('names the isolation that is advised, with each reason', async () => {
    const { element, bench } = await onBench(SupplyStage, 'vet');
    expect(element.querySelectorAll('.reasons li').length).toBe(bench.assessment()!.supply.isolation.reasons.length);
    expect(element.querySelector('.decision')!.classList).toContain('holds');
  });

  it('marks a choice against the advice, and picks a part so that runs are drafted', async () => {
    const { fixture, element, bench, settle } = await onBench(SupplyStage, 'vet');
    inside(fixture.componentInstance).setIsolation('isolator');
    await settle();
    expect(element.querySelector('.decision')!.classList).toContain('look');
    expect(bench.design()!.supply.isolator).toBe('iso-140');
    expect(bench.assessment()!.runs.some((r) => r.spec.id === 'start-isolator')).toBeTrue();
  });

  it('says whether the battery can feed the inverter, and its surge', async () => {
    const { fixture, element, settle } = await onBench(SupplyStage, 'vet');
    expect(element.textContent).toMatch(/1600 W draws 14\d A at the lowest volts; the battery gives 200 A/);
    inside(fixture.componentInstance).set('inverter', (s) => (s.inverter = null));
    await settle();
    expect(element.textContent).not.toContain('at the lowest volts');
  });

  it('shows the usable share as a setting once it is one, and as the default again', async () => {
    const { fixture, element, settle } = await onBench(SupplyStage, 'vet');
    inside(fixture.componentInstance).setUsable(90);
    await settle();
    expect(element.textContent).toContain('90 %, your setting');
    inside(fixture.componentInstance).setUsable(null);
    await settle();
    expect(element.textContent).toContain('default for lithium');
  });

  it('shows what PWM loses with these panels', async () => {
    const { fixture, element, settle } = await onBench(SupplyStage, 'vet');
    expect(element.textContent).not.toContain('PWM loses');
    inside(fixture.componentInstance).set('controller', (s) => (s.sun.controller = 'pwm-20'));
    await settle();
    expect(element.textContent).toMatch(/PWM loses\s*\d+ %/);
  });

  it('stands without a battery and says what to do', async () => {
    const { element } = await onBench(SupplyStage, 'vet', (d) => (d.supply.battery.part = null));
    expect(element.textContent).toContain('Choose a house battery to see the trip');
    expect(element.textContent).not.toMatch(/NaN|Infinity/);
  });
});
