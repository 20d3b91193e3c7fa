import { type Design, doCommands } from '@meridex/core';
import { VehicleTabs } from '../../frame/vehicle-tabs';
import { onBench } from '../../testing/bench';
import { VehiclesSheet } from './vehicles';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
const button = (e: HTMLElement, name: string): Element => [...e.querySelectorAll('button')].find((b) => b.getAttribute('aria-label') === name || b.textContent!.trim() === name)!;
/** What selects hold, as a person chooses it. */
interface Inside {
  readonly kind: { set(v: string): void };
  readonly join: { set(v: string): void };
  readonly rig: { set(v: string): void };
  readonly carry: { set(v: string): void };
}
const withCaravan = (d: Design): void => {
  const done = doCommands(d, [
    { do: 'addVehicle', with: { id: 'caravan', vehicleKind: 'caravan', name: 'the long one' } },
    { do: 'couple', with: { from: 'own', to: 'caravan' } },
  ]);
  if (!done.ok) throw new Error(done.message);
  Object.assign(d, done.design);
};

describe('the vehicles of a job', () => {
  it('get another at one press and one step of undo, charged by the one that is shown', async () => {
    const { element, bench, click } = await onBench(VehiclesSheet, 'vet');
    await click(button(element, 'Add it to the job'));
    expect(bench.labels).toEqual(['another vehicle: caravan 5.4 m']);
    expect(Object.keys(bench.openJob().vehicles)).toEqual(['caravan']);
    expect(Object.values(bench.openJob().couplings)).toEqual([jasmine.objectContaining({ from: 'own', to: 'caravan', carries: 'charge' })]);
    expect(text(element)).toMatch(/charged by the .*, 12 V/);
  });

  it('is named, shown and taken out with what joined it', async () => {
    const { element, bench, click, type } = await onBench(VehiclesSheet, 'vet', withCaravan);
    await type(element.querySelector('[aria-label="Name of the long one"]'), 'the short one');
    expect(bench.openJob().vehicles['caravan']!.name).toBe('the short one');
    await click(button(element, 'Show the short one'));
    expect([bench.vehicle(), bench.openDesign().brief.vehicleKind]).toEqual(['caravan', 'caravan']);
    await click(button(element, 'Take out the short one'));
    expect([bench.vehicle(), bench.openJob().vehicles, bench.openJob().couplings]).toEqual(['own', {}, {}]);
  });

  it('that only carries has no rig, and charges the one that is shown', async () => {
    const { fixture, element, bench, click } = await onBench(VehiclesSheet, 'vet');
    const inside = fixture.componentInstance as unknown as Inside;
    inside.kind.set('wagon');
    inside.join.set('carries');
    inside.rig.set('none');
    await click(button(element, 'Add it to the job'));
    expect(bench.openJob().vehicles['wagon']!.banks).toEqual({});
    expect(text(element)).toContain('no rig');
    expect(text(element)).toContain('plug: engine of the 4x4 wagon →');
  });

  it('take another rig in the body that is shown, which is shown then and charged as that is', async () => {
    const { fixture, element, bench, click } = await onBench(VehiclesSheet, 'vet');
    await click(button(element, 'Add a rig to it'));
    expect([bench.vehicle(), bench.openJob().vehicles['rig']!.within, bench.openDesign().brief.vehicleKind]).toEqual(['rig', 'own', bench.openJob().brief.vehicleKind]);
    expect(text(element)).toMatch(/in the body of the .*, on its engine/);
    await click(button(element, 'Add a rig to it'));
    expect(bench.openJob().vehicles['rig-2']!.within).withContext('beside it, not in it').toBe('own');
    (fixture.componentInstance as unknown as Inside).kind.set('caravan');
    await click(button(element, 'Add it to the job'));
    expect(Object.values(bench.openJob().couplings))
      .withContext('a rig has no plug of its own')
      .toEqual([jasmine.objectContaining({ from: 'own', to: 'caravan' })]);
  });

  it('are joined by a lead whose floor is typed, and refused in words where they cannot be', async () => {
    const { fixture, element, bench, click, type } = await onBench(VehiclesSheet, 'vet', withCaravan);
    await click(button(element, 'Join them'));
    expect(bench.openJob().couplings['lead']).toEqual(jasmine.objectContaining({ carries: 'mains', floorSoc: 0.5, inlet: 'inlet' }));
    await type(element.querySelector('[aria-label="Floor of the lead"]'), '70');
    expect(bench.openJob().couplings['lead']!.floorSoc).toBe(0.7);
    (fixture.componentInstance as unknown as { from: { set(v: string): void } }).from.set('caravan');
    (fixture.componentInstance as unknown as Inside).carry.set('charge');
    await fixture.whenStable();
    await click(button(element, 'Join them'));
    expect(text(element.querySelector('[role=alert]')!)).toContain('own already gives to caravan; two vehicles cannot charge each other');
    await click([...element.querySelectorAll('button')].find((b) => b.getAttribute('aria-label')?.startsWith('Take away mains lead'))!);
    expect(Object.keys(bench.openJob().couplings)).toEqual(['plug']);
  });

  it('shows what their banks go through together', async () => {
    const { element } = await onBench(VehiclesSheet, 'vet', withCaravan);
    const rows = [...element.querySelectorAll('tbody tr')].map(text);
    expect(rows.length).toBe(2);
    expect(rows[1]).toContain('the long one');
  });

  it('names both banks behind a selector, and says how often it is turned', async () => {
    const { element } = await onBench(VehiclesSheet, 'vet', (d) => {
      withCaravan(d);
      const done = doCommands(d, [{ do: 'addBank', with: { id: 'spare', part: 'bat-lfp-100', selector: 'switch' } }]);
      if (!done.ok) throw new Error(done.message);
      Object.assign(d, done.design);
    });
    expect([...element.querySelectorAll('tbody tr td:first-child')].map((c) => text(c).split(', ')[1]?.trim())).toEqual(['first bank', 'second bank', undefined]);
    expect(text(element)).toMatch(/Two banks: (the selector is turned \w+|nothing has to be turned)/);
  });
});

describe('the vehicles along the top', () => {
  it('are not there for a job of one', async () => expect((await onBench(VehicleTabs, 'vet')).element.querySelector('nav')).toBeNull());

  it('say what charges each, and show the one that is pressed', async () => {
    const { element, bench, click } = await onBench(VehicleTabs, 'vet', withCaravan);
    const tabs = [...element.querySelectorAll('button')];
    expect(tabs.map((t) => t.getAttribute('aria-current'))).toEqual(['true', null]);
    expect(text(tabs[1]!)).toMatch(/^the long one ?charged by the /);
    await click(tabs[1]!);
    expect(bench.vehicle()).toBe('caravan');
    expect(tabs.map((t) => t.getAttribute('aria-current'))).toEqual([null, 'true']);
  });
});
