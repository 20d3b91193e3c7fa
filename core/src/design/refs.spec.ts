import { aboutOf, existingKey, gearKey, isThereBefore, loadNamed, namedBy, refTo, runKey, withoutDetail } from './refs.js';

describe('a reference', () => {
  for (const collection of ['loads', 'groups', 'traces'] as const)
    it(`to one of the ${collection} has a key for places and one for runs, which are read back`, () => {
      const ref = refTo(collection, 'a1');
      expect(gearKey(ref)).not.toBe(runKey(ref));
      expect([namedBy(gearKey(ref)), namedBy(runKey(ref))]).toEqual([ref, ref]);
    });

  it('to what the plan names itself is its id', () => {
    expect([gearKey(refTo('converters', 'mains')), runKey(refTo('banks', 'house'))]).toEqual(['mains', 'house']);
    expect(namedBy('house-bus')).toBeNull();
  });

  it('is no load where the key names another thing, or nothing', () => {
    expect([loadNamed('load:l1'), loadNamed('load-l1'), loadNamed('group:g1'), loadNamed('charger'), loadNamed(undefined)]).toEqual(['l1', 'l1', null, null, null]);
  });

  it('is found in the key of a finding, with or without a detail', () => {
    const ref = namedBy(aboutOf('tap-unknown:wire:w1:its size'))!;
    expect(withoutDetail(ref)).toEqual(refTo('traces', 'w1'));
  });

  it('tells what was in the vehicle before the job', () => {
    expect([existingKey('e1'), 'wire:w1', 'load:l1', 'house', undefined].map(isThereBefore)).toEqual([true, true, false, false, false]);
  });
});
