import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { readDesign, type Design } from '../design/index.js';
import { boxesMeet, vehicleOf, vehicleTroubles } from '../vehicle/index.js';
import { boxGear, boxesOf, holeIn, openSides, sideTowards, unboxGear, type BoxWanted } from './index.js';

const plain: BoxWanted = { name: '', weather: 'dry', airMm: 40, sealed: false };
/** As a draft sets it down: nothing of it placed by hand. */
const drafted = (key: string): Design => ({ ...structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design), places: {}, board: null });
const of = (d: Design) => assess(d, SHIPPED_CATALOGUE);
const boxed = (d: Design, ids: readonly string[], wanted: BoxWanted = plain): Design => {
  const done = boxGear(d, SHIPPED_CATALOGUE, ids, wanted);
  if (!done.ok) throw new Error(done.message);
  return done.design;
};
const refusal = (d: Design, ids: readonly string[]): string => {
  const done = boxGear(d, SHIPPED_CATALOGUE, ids, plain);
  return done.ok ? 'done' : done.message;
};

describe('a box round gear', () => {
  for (const { key } of DEMO_JOBS)
    it(`${key}: goes round the house battery where it stands, in a vehicle that is still sound, and every run finds its way`, () => {
      const [before, d] = [of(drafted(key)), boxed(drafted(key), ['house'])];
      const a = of(d);
      expect(vehicleTroubles(d.vehicle!)).toEqual([]);
      expect(readDesign(JSON.parse(JSON.stringify(d))).ok).toBeTrue();
      const [was, is] = [before, a].map((x) => x.gear.find((g) => g.id === 'house')!);
      expect(is!.box).toEqual(was!.box);
      expect([is!.zoneName, is!.crowded]).toEqual(['box of the house battery', false]);
      // Over the wall of the box and no further round.
      const lead = (x: typeof a): number => x.runs.find((r) => r.spec.role === 'bank lead')!.spec.outM;
      expect(lead(a)).toBeLessThan(lead(before) + 1);
      expect(a.runs.filter((r) => r.spec.noWay).map((r) => r.spec.name)).toEqual([]);
      const [box] = boxesOf(d.vehicle!);
      for (const g of a.gear) if (g.zone !== box!.id) expect(boxesMeet(g.box, box!.box)).withContext(g.name).toBeFalse();
      expect(a.open.filter((f) => f.rule === 'place-clash' || f.rule === 'place-does-not-fit').map((f) => f.key)).toEqual([]);
    });

  it('is taken away as it came: all stands where it stood', () => {
    const d = boxed(drafted('vet'), ['house']);
    const back = unboxGear(d, 'box-1');
    const was = of(drafted('vet')).gear.find((g) => g.id === 'house')!;
    const is = of(back).gear.find((g) => g.id === 'house')!;
    expect([is.zone, is.face, is.u, is.v]).toEqual([was.zone, was.face, was.u, was.v]);
    expect(boxesOf(back.vehicle!)).toEqual([]);
    const { waypoints, ways } = vehicleOf(drafted('vet'));
    expect([back.vehicle!.waypoints, back.vehicle!.ways]).toEqual([waypoints, ways]);
  });

  it('has its own heat, is bought, and stands before what goes into it; cables come in by a hole', () => {
    const before = of(drafted('vet'));
    const charger = before.gear.find((g) => g.role === 'charger')!;
    const a = of(boxed(drafted('vet'), [charger.id]));
    const [was, is] = [before.layout.heat.find((h) => h.zone === charger.zone), a.layout.heat.find((h) => h.zone === 'box-1')!];
    expect(is.heatW).toBeCloseTo(charger.heatW, 6);
    expect(is.riseK).toBeGreaterThan(was!.riseK);
    expect(a.order.lines.some((l) => l.key === 'enclosure-box-1' && l.kg > 0)).toBeTrue();
    expect(a.fit.find((s) => s.id === `place-${charger.id}`)!.after).toContain('box-box-1');
    expect(a.layout.stretches.some((s) => s.way.b === 'box-1' && s.hole !== null)).toBeTrue();
  });

  it('sealed and vented, takes what is in it out of the room that people sleep in', () => {
    const d = drafted('bookmobile');
    const inside = of(d).gear.find((g) => g.people && g.role === 'load');
    if (!inside) throw new Error('nothing stands among people');
    expect(of(boxed(d, [inside.id])).gear.find((g) => g.id === inside.id)!.people).toBeTrue();
    expect(of(boxed(d, [inside.id], { ...plain, sealed: true })).gear.find((g) => g.id === inside.id)!.people).toBeFalse();
  });

  it('has a name that the vehicle’s file takes, however long it was typed', () => {
    const d = boxed(drafted('vet'), ['house'], { ...plain, name: 'x'.repeat(80) });
    expect(readDesign(JSON.parse(JSON.stringify(d))).ok).toBeTrue();
  });

  it('is refused in words where it cannot be', () => {
    const d = drafted('vet');
    const { gear } = of(d);
    const floor = gear.find((g) => g.id === 'house')!;
    const wall = gear.find((g) => g.role === 'bus' && g.face !== floor.face)!;
    expect(refusal(d, [])).toMatch(/gear: got nothing; gear that has a place is accepted/);
    expect(refusal(d, ['house', 'nobody'])).toMatch(/got house, nobody/);
    expect(refusal(d, ['starting'])).toMatch(/starting battery stays as it is/);
    expect(refusal(d, ['house', wall.id])).toMatch(/a box goes round gear on one face/);
    expect(refusal(boxed(d, ['house']), ['house'])).toMatch(/is in the box of the house battery already/);
  });
});

describe('the sides of a box that cables may come through', () => {
  const box = { x: 1000, y: 1000, z: 0, l: 500, w: 300, h: 300 };
  const room = { x: 1000, y: 0, z: 0, l: 3000, w: 2000, h: 1500 };
  it('are neither its lid nor its back, nor one that stands at a wall', () => expect(openSides(box, '+z', room, [])).toEqual(['+x', '-y', '+y']));
  it('want room before their middle; what covers an end alone is not in the way', () => {
    const at = (x: number, l: number) => ({ x, y: 1310, z: 0, l, w: 200, h: 200 });
    expect(openSides(box, '+z', room, [at(1000, 100)])).toContain('+y');
    expect(openSides(box, '+z', room, [at(1000, 300)])).not.toContain('+y');
  });
  it('are taken by what the cables lead to, at the height where they leave the gear', () => {
    const leaves = { x: 1250, y: 1150, z: 220 };
    expect(sideTowards(['+x', '-y', '+y'], leaves, { x: 1200, y: 200, z: 900 })).toBe('-y');
    expect(holeIn(box, '-y', leaves)).toEqual({ x: 1250, y: 1000, z: 220 });
  });
  it('have room of their own kept before the one that is taken, which goes with the box', () => {
    const d = boxed(drafted('vet'), ['house']);
    expect(d.vehicle!.keep.map((k) => k.id)).toEqual(jasmine.arrayContaining(['box-1', 'box-1-glands']));
    expect(unboxGear(d, 'box-1').vehicle!.keep).toEqual(vehicleOf(drafted('vet')).keep);
  });
});
