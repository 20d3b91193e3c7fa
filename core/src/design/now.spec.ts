import { asOfNow, panelId } from './as-of-now.js';
import { blankDesign } from './blank.js';
import type { Design } from './schema.js';
import { supplyOf, withRig } from './supply-of.js';

const later = { zone: 'canopy', on: null, when: 'later' } as const;
/** Two arrays, the second on a controller of its own, and a second bank behind a selector. */
function rig(): Design {
  const d = blankDesign('Nobody');
  const array = { order: 1, name: '', part: 'pv-160', count: 2, inSeries: 1, shade: 0, portable: null, into: { in: 'converters', id: 'charger' } as const, startBelow: null };
  d.arrays = { roof: array, side: { ...array, order: 2, count: 3, into: { in: 'converters', id: 'extra' } } };
  d.converters['extra'] = { ...d.converters['charger']!, order: 2, part: 'mppt-20', from: null };
  supplyOf(d).second = { part: 'bat-agm-120', count: 1, joined: 'selector' };
  return d;
}
const without = (...ids: string[]): Design => {
  const d = rig();
  for (const id of ids) d.places[id] = later;
  return asOfNow(d);
};

describe('a rig as it works now', () => {
  it('is the same object where nothing waits', () => {
    const d = rig();
    expect(asOfNow(d)).toBe(d);
  });
  it('lacks of each array the panels that wait, and an array with its last one', () => {
    const some = without(panelId(1, 'side'), panelId(2, 'side'));
    expect([some.arrays['roof']!.count, some.arrays['side']!.count, some.arrays['side']!.part]).toEqual([2, 1, 'pv-160']);
    expect(without('roof', panelId(1, 'roof')).arrays['roof']!.part).toBeNull();
  });
  it('leaves panels unregulated whose controller waits, and those of others as they are', () => {
    const d = without('extra');
    expect([d.arrays['side']!.into, d.arrays['roof']!.into]).toEqual([null, { in: 'converters', id: 'charger' }]);
    expect(Object.keys(d.converters)).toEqual(['charger']);
  });
  it('has no bank whose batteries all wait, and no shunt whose display waits', () => {
    const d = without('second', 'display');
    expect([Object.keys(d.banks), Object.keys(d.monitors)]).toEqual([['house'], []]);
  });
});

describe('the rig of another design', () => {
  it('comes with its volts; what was said of the vehicle’s own side and of the job stays', () => {
    const [mine, theirs] = [blankDesign('Mine'), rig()];
    mine.supply.startingAh = 95;
    theirs.supply.houseV = 24;
    const taken = withRig(mine, theirs);
    expect([taken.brief.customer, taken.supply.startingAh, taken.supply.houseV]).toEqual(['Mine', 95, 24]);
    expect(taken.arrays).toEqual(theirs.arrays);
    theirs.arrays['roof']!.count = 7;
    expect(taken.arrays['roof']!.count).toBe(2);
  });
});
