import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, supplyOf, type Design } from '../design/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { boxBank, boxesOf, boxGear, boxOfBank, emptyBoxes, unboxBank } from './index.js';

const drafted = (key: string): Design => ({ ...structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design), places: {}, board: null, accepted: {} });
const keys = (d: Design): readonly string[] => assess(d, SHIPPED_CATALOGUE).open.map((f) => f.key);

describe('the box round a bank', () => {
  it('is built where people sit or sleep around it, and ends the finding', () => {
    const d = drafted('bookmobile');
    expect(keys(d)).toContain('battery-among-people:house');
    const boxed = boxBank(d, SHIPPED_CATALOGUE)!;
    expect(boxOfBank(boxed, SHIPPED_CATALOGUE)).toBe('box-1');
    expect(keys(boxed)).not.toContain('battery-among-people:house');
  });

  it('is not built where nobody is, nor twice', () => {
    expect(boxBank(drafted('vet'), SHIPPED_CATALOGUE)).toBeNull();
    expect(boxBank(boxBank(drafted('bookmobile'), SHIPPED_CATALOGUE)!, SHIPPED_CATALOGUE)).toBeNull();
  });

  it('goes with its bank when another is drafted, and the battery finds its own place again', () => {
    const d = drafted('bookmobile');
    const back = unboxBank(boxBank(d, SHIPPED_CATALOGUE)!, SHIPPED_CATALOGUE);
    expect(boxesOf(back.vehicle!)).toEqual([]);
    expect(back.places).toEqual(d.places);
    expect(assess(back, SHIPPED_CATALOGUE).gear.find((g) => g.id === 'house')!.box).toEqual(assess(d, SHIPPED_CATALOGUE).gear.find((g) => g.id === 'house')!.box);
  });

  it('stays where somebody built it and nobody sits around it', () => {
    const done = boxGear(drafted('vet'), SHIPPED_CATALOGUE, ['house'], { name: 'my own', weather: 'dry', airMm: 60, sealed: true });
    if (!done.ok) throw new Error(done.message);
    expect(unboxBank(done.design, SHIPPED_CATALOGUE)).toBe(done.design);
  });

  it('is told of when nothing is in it any more, and is taken away at a press', () => {
    const d = boxBank(drafted('bookmobile'), SHIPPED_CATALOGUE)!;
    expect(emptyBoxes(d, SHIPPED_CATALOGUE)).toEqual([]);
    // Two batteries of other ids: none of them stands in the box of the one.
    supplyOf(d).battery.count = 2;
    delete d.places['house'];
    const empty = assess(d, SHIPPED_CATALOGUE).open.find((f) => f.rule === 'box-empty')!;
    expect(empty.key).toBe('box-empty:box-1');
    const done = editDesign(d, empty.presses[0]!.patch);
    expect(done.ok && boxesOf(vehicleOf(done.design))).toEqual([]);
    expect(empty.presses[0]!.label).toBe('Take the battery box away');
  });
});
