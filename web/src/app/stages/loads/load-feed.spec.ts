import { DEMO_JOBS } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { LoadFeed } from './load-feed';

interface Inside {
  plugInto(id: string): void;
  choose(choice: string): void;
  setGroup(change: object): void;
  setHow(how: string): void;
  choices(): readonly string[];
  words(): (c: string) => string;
}
async function feedOf(id: string): Promise<Awaited<ReturnType<typeof onBench<LoadFeed>>> & { inside: Inside; again: (id: string) => void }> {
  const on = await onBench(
    LoadFeed,
    'vet',
    (d) => {
      d.brief.traces['w'] = {
        order: 1,
        colour: 'brown',
        from: 'fuse box',
        to: 'rear lamp',
        live: 'always',
        areaMm2: 2.5,
        lengthM: 4,
        fuseA: 10,
        verdict: 'keep',
        run: null,
        fedFrom: 'house',
        presentA: 2,
        slot: '',
        safety: false,
      };
    },
    { id, load: DEMO_JOBS.find((j) => j.key === 'vet')!.design.loads[id]! },
  );
  const again = (other: string): void => {
    on.fixture.componentRef.setInput('id', other);
    on.fixture.componentRef.setInput('load', on.bench.openDesign().loads[other]!);
    on.fixture.detectChanges();
  };
  return { ...on, inside: on.fixture.componentInstance as unknown as Inside, again };
}

describe('what a load hangs on', () => {
  it('is a new switch bank, which others can then share, and which goes with the last of them', async () => {
    const { bench, inside, again, element } = await feedOf('l2');
    inside.choose('new:switch bank');
    const [id] = Object.keys(bench.openDesign().groups);
    expect(bench.openDesign().loads['l2']!.feed).toEqual({ by: 'group', group: id! });
    again('l3');
    inside.choose(`group:${id}`);
    again('l3');
    expect(element.textContent).toContain(bench.openDesign().loads['l2']!.name);
    expect(bench.openAssessment().runs.find((r) => r.spec.id === `group-${id}`)!.ok).toBeTrue();
    inside.setGroup({ fuses: 'one each' });
    expect(bench.openDesign().groups[id!]!.fuses).toBe('one each');
    inside.choose('own');
    again('l2');
    inside.choose('own');
    expect(bench.openDesign().groups).toEqual({});
  });

  it('is a wire that is there, with how it is tapped', async () => {
    const { bench, inside, again } = await feedOf('l3');
    expect(inside.choices().map(inside.words())).toContain('existing brown wire to rear lamp');
    inside.choose('wire:w');
    again('l3');
    inside.setHow('fuse tap');
    expect(bench.openDesign().loads['l3']!.feed).toEqual({ by: 'wire', wire: 'w', how: 'fuse tap' });
    expect(bench.openAssessment().runs.some((r) => r.spec.existing)).toBeTrue();
  });

  it('is a way of one of two blocks, or the outlet of one of two inverters, once there are two', async () => {
    const { bench, inside, again, element } = await feedOf('l2');
    expect(inside.choices().some((c) => c.startsWith('own:'))).toBeFalse();
    bench.edit('', (d) => {
      d.distribution['rear'] = { order: 9, name: 'rear block', kind: 'fuse block', part: 'fb-6' };
      d.converters['small'] = { ...d.converters['inverter']!, order: 9, name: 'small inverter', part: 'inv-300' };
    });
    again('l2');
    expect(inside.choices().map(inside.words())).toContain('a way of the rear block');
    inside.choose('own:rear');
    again('l2');
    expect(bench.openAssessment().runs.find((r) => r.spec.id === 'load-l2')!.spec.from.gear).toBe('rear');
    inside.choose('own');
    expect(bench.openDesign().loads['l2']!.feed).toEqual({ by: 'own' });
    const mains = Object.entries(bench.openDesign().loads).find(([, l]) => l.supply === 'mains')![0];
    again(mains);
    expect(element.textContent).toContain('Plugged into');
    inside.plugInto('small');
    again(mains);
    expect(bench.openAssessment().day.loads.find((l) => l.id === mains)!.inverter).toBe('small');
    inside.plugInto('');
    expect('inverter' in bench.openDesign().loads[mains]!).toBeFalse();
  });
});
