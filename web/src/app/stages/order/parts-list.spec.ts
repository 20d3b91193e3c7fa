import { type Design, doCommands } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { PartsSheet } from './parts-list';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
const withCamper = (d: Design): void => {
  const done = doCommands(d, [
    { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper', name: 'book camper' } },
    { do: 'couple', with: { from: 'own', to: 'camper' } },
  ]);
  if (!done.ok) throw new Error(done.message);
  Object.assign(d, done.design);
};
const toggle = (e: HTMLElement): Element | undefined => [...e.querySelectorAll('button')].find((b) => b.hasAttribute('aria-pressed'));

describe('the order', () => {
  it('of one vehicle has nothing to choose', async () => expect(toggle((await onBench(PartsSheet, 'vet')).element)).toBeUndefined());

  it('of several is that of the one that is looked at, or of all with each use told apart', async () => {
    const { element, bench, click } = await onBench(PartsSheet, 'vet', withCamper);
    const own = bench.openAssessment().order;
    expect(text(element)).toContain(`${own.lines.length} lines`);
    await click(toggle(element)!);
    expect(text(element)).not.toContain(`${own.lines.length} lines`);
    expect([...element.querySelectorAll('td')].some((td) => text(td).startsWith('book camper: '))).toBeTrue();
    await click(toggle(element)!);
    expect(text(element)).toContain(`${own.lines.length} lines`);
  });
});
