import { blankDesign, blankLoad } from './blank.js';
import type { Design } from './schema.js';
import { leaveVehicle, tidy } from './tidy.js';

const place = { zone: 'canopy', on: null, when: 'now' as const };

/** A job with a lamp and a pump on a strip and a traced wire, all of them placed, laid and signed for. */
function job(): Design {
  const d = blankDesign('anyone');
  d.groups['g1'] = { order: 1, name: 'strip', kind: 'joint strip', fuses: 'one for all' };
  d.brief.traces['w1'] = {
    order: 1,
    colour: 'brown',
    from: '',
    to: '',
    live: 'always',
    areaMm2: 2.5,
    lengthM: 3,
    fuseA: 10,
    verdict: 'keep',
    run: null,
    fedFrom: 'house',
    presentA: 1,
    slot: '',
    safety: false,
  };
  d.loads['lamp'] = { ...blankLoad(1), feed: { by: 'group', group: 'g1' }, neverWith: { pump: true } };
  d.loads['pump'] = { ...blankLoad(2), feed: { by: 'wire', wire: 'w1', how: 'joint' } };
  for (const id of ['load:lamp', 'load:pump', 'group:g1', 'wire:w1', 'charger']) d.places[id] = place;
  for (const id of ['load-lamp', 'load-pump', 'group-g1', 'wire-w1', 'start-charger']) d.runs[id] = { outM: 3 };
  for (const about of ['load-pump', 'load:pump', 'start-charger']) d.accepted[`run-fails:${about}:drop`] = { by: 'x', reason: 'y', at: '2026-11-27' };
  return d;
}

describe('what hung on a thing', () => {
  it('stays while the thing does', () => {
    const d = job();
    tidy(d);
    expect(d).toEqual(job());
  });

  it('goes with a load: its place, run, signature, and the others’ “never with”', () => {
    const d = job();
    delete d.loads['pump'];
    tidy(d);
    expect(Object.keys(d.places)).toEqual(['load:lamp', 'group:g1', 'wire:w1', 'charger']);
    expect(Object.keys(d.runs)).toEqual(['load-lamp', 'group-g1', 'wire-w1', 'start-charger']);
    expect(Object.keys(d.accepted)).toEqual(['run-fails:start-charger:drop']);
    expect(d.loads['lamp']!.neverWith).toEqual({});
  });

  it('gets a way of its own when its strip or wire goes', () => {
    const d = job();
    delete d.groups['g1'];
    delete d.brief.traces['w1'];
    tidy(d);
    expect(Object.values(d.loads).map((l) => l.feed)).toEqual([{ by: 'own' }, { by: 'own' }]);
    expect(Object.keys(d.runs)).toEqual(['load-lamp', 'load-pump', 'start-charger']);
  });

  it('stays behind with the vehicle', () => {
    const d = job();
    d.board = { face: 'wall', u: 0, v: 0, w: 600, h: 400, thickMm: 12, entry: 'bottom' };
    leaveVehicle(d);
    expect([d.vehicle, d.places, d.board, d.plugs, d.runs]).toEqual([null, {}, null, {}, {}]);
    expect(Object.keys(d.loads).length).toBe(2);
  });
});
