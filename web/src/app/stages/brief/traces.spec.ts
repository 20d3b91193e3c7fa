import type { Design, Trace } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { TracesTable } from './traces';

const wire: Trace = {
  order: 1,
  colour: 'green',
  from: 'tow plug 4',
  to: 'lights',
  live: 'always',
  areaMm2: 2.5,
  lengthM: 3.4,
  fuseA: 10,
  verdict: 'undecided',
  run: null,
  fedFrom: 'vehicle',
  presentA: null,
  slot: '',
  safety: false,
};
const traced = (d: Design): void => void (d.brief.traces['t'] = { ...wire });
interface Inside {
  serve(id: string, t: Trace, run: string | null): void;
}

describe('the loom as traced', () => {
  it('lends a run its length and size, and is kept by that', async () => {
    const { fixture, bench } = await onBench(TracesTable, 'vet', traced);
    (fixture.componentInstance as unknown as Inside).serve('t', wire, 'load-l2');
    expect(bench.openDesign().brief.traces['t']).toEqual({ ...wire, run: 'load-l2', verdict: 'keep' });
    expect(bench.openDesign().runs['load-l2']).toEqual({ outM: 3.4, areaMm2: 2.5 });
    const run = bench.openAssessment().runs.find((r) => r.spec.id === 'load-l2')!;
    expect([run.spec.lengthFrom, run.ok && run.figures.areaMm2]).toEqual(['typed', 2.5]);
  });
  it('says no more than was measured', async () => {
    const { fixture, bench } = await onBench(TracesTable, 'vet', traced);
    (fixture.componentInstance as unknown as Inside).serve('t', { ...wire, lengthM: null }, 'load-l2');
    expect(bench.openDesign().runs['load-l2']).toEqual({ areaMm2: 2.5 });
  });
  it('takes what is typed of a wire, and refuses a length below nothing', async () => {
    const { element, bench, type } = await onBench(TracesTable, 'vet', traced);
    await type(element.querySelector('[aria-label="Colour of wire 1"]'), 'brown');
    await type(element.querySelector('[aria-label="Length of wire 1"]'), '-2');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('from 0 to 200');
    expect([bench.openDesign().brief.traces['t']!.colour, bench.openDesign().brief.traces['t']!.lengthM]).toEqual(['brown', 3.4]);
  });
  it('takes a wire off the list', async () => {
    const { element, bench, click } = await onBench(TracesTable, 'vet', traced);
    await click(element.querySelector('[aria-label="Take wire 1 off"]'));
    expect(bench.openDesign().brief.traces).toEqual({});
    expect(element.querySelector('.empty')!.textContent).toContain('No wire traced yet');
  });
});
