import fc from 'fast-check';
import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, VEHICLE_KINDS, type Air, type Board, type Design, type Face, supplyOf } from '../design/index.js';
import { boxesMeet, mirroredFromFront, VEHICLE_TEMPLATES, vehicleOf } from '../vehicle/index.js';
import {
  arrangeBoard,
  boardable,
  boardFace,
  boardHoles,
  BOARD_FACE,
  cablesToUndo,
  comesOff,
  compartmentHeat,
  draftGear,
  drillTemplate,
  facesOf,
  freeSpot,
  Shades,
  keptClear,
  naturalRiseK,
  outlineOn,
  placeTroubles,
  screwsOf,
  shareOf,
  surfaceM2,
  weights,
  type Gear,
} from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const gearOf = (d: Design): Gear[] => draftGear(d, SHIPPED_CATALOGUE);
const wall: Face = { id: 'w', zone: 'z', name: 'wall', normal: '+y', at: { x: 0, y: 0, z: 0 }, w: 1000, h: 600, limitKg: 50, depthBehindMm: null, trim: '', protrusions: [] };

describe('drafted places', () => {
  for (const [kind, count] of [
    ['canopy-ute', 2],
    ['wagon', 2],
    ['van', 3],
    ['caravan', 4],
    ['camper', 2],
    ['light-truck', 4],
    ['slide-on', 2],
  ] as const)
    it(`lay ${count} panels in rows on the ${kind}, each on its own, none over an edge or another`, () => {
      const d = demo('vet');
      Object.assign(d, { vehicle: null, board: null, places: {} });
      d.brief.vehicleKind = kind;
      Object.assign(supplyOf(d).sun, { panel: kind === 'caravan' ? 'pv-160' : 'pv-200', count });
      const a = assess(d, SHIPPED_CATALOGUE);
      const panels = a.gear.filter((g) => g.role === 'panel');
      expect(panels.length).toBe(count);
      expect(new Set(panels.map((g) => g.turn)).size)
        .withContext('turned alike')
        .toBe(1);
      expect(a.layout.troubles.filter((t) => panels.some((g) => g.id === t.gear))).toEqual([]);
    });

  it('take the cable from the next panel where the first waits, and count only what is there', () => {
    const d = demo('bookmobile');
    d.places['panel'] = { zone: 'roof', on: null, when: 'later' };
    const a = assess(d, SHIPPED_CATALOGUE);
    const run = a.runs.find((r) => r.spec.id === 'panel-regulator')!;
    expect([run.spec.from.gear, a.order.later]).toEqual(['panel:2', [{ what: 'roof panel 160 W', quantity: 1 }]]);
  });

  it('go to another face of the space where the usual one would carry too much', () => {
    const d = demo('vet');
    const vehicle = structuredClone(VEHICLE_TEMPLATES[d.brief.vehicleKind]);
    const before = draftGear({ ...d, vehicle, places: {} }, SHIPPED_CATALOGUE);
    for (const face of vehicle.faces) {
      const on = before.filter((g) => g.face === face.id);
      if (on.length < 2) continue;
      const limited = structuredClone(vehicle);
      const limitKg = on.reduce((s, g) => s + g.kg, 0) - 0.1;
      limited.faces.find((f) => f.id === face.id)!.limitKg = limitKg;
      const after = draftGear({ ...d, vehicle: limited, places: {} }, SHIPPED_CATALOGUE);
      expect(after.length).toBe(before.length);
      const kg = after.filter((g) => g.face === face.id).reduce((s, g) => s + g.kg, 0);
      expect(kg).withContext(face.name).toBeLessThanOrEqual(limitKg);
    }
  });

  for (const kind of VEHICLE_KINDS)
    it(`fit, clash with nothing and keep clear of what moves: ${kind}`, () => {
      const d = demo('vet');
      Object.assign(d, { vehicle: null, board: null, places: {} });
      d.brief.vehicleKind = kind;
      const gear = gearOf(d).filter((g) => !g.crowded);
      // A box one carries holds the heart of a system; a vehicle holds the points of use as well.
      expect(gear.length).toBeGreaterThan(kind === 'portable-box' ? 4 : 10);
      const here = placeTroubles(vehicleOf(d), facesOf(d), gear, new Map()).filter((t) => ['fits', 'clash', 'protrusion', 'reach', 'sweep'].includes(t.kind));
      expect(here).toEqual([]);
      for (const [i, g] of gear.entries()) {
        expect(gear.slice(i + 1).some((o) => boxesMeet(g.box, o.box)))
          .withContext(g.name)
          .toBeFalse();
        expect(keptClear(vehicleOf(d)).some((k) => boxesMeet(g.box, k.box)))
          .withContext(g.name)
          .toBeFalse();
      }
    });
  it('crowd nobody out of the demo vehicles', () => {
    for (const j of DEMO_JOBS)
      expect(
        gearOf(j.design)
          .filter((g) => g.crowded)
          .map((g) => g.id),
      )
        .withContext(j.key)
        .toEqual([]);
  });
  it('stay the same for the same design, and leave what a person placed where it is', () => {
    const d = demo('survey');
    expect(gearOf(d)).toEqual(gearOf(d));
    d.places['charger'] = { zone: 'cargo', on: { face: 'cargo-right', u: 300, v: 250, turn: 90 }, when: 'now' };
    const g = gearOf(d).find((x) => x.id === 'charger')!;
    expect([g.face, g.u, g.v, g.turn, g.placed]).toEqual(['cargo-right', 300, 250, 90, true]);
    expect([g.outline.w, g.outline.h, g.outline.exit]).toEqual([140, 200, 'right']);
  });
  it('fall back to the usual face when the chosen one is not in this vehicle', () => {
    const d = demo('vet');
    d.places['charger'] = { zone: 'canopy', on: { face: 'no-such-wall', u: 0, v: 0, turn: 0 }, when: 'now' };
    expect(gearOf(d).find((g) => g.id === 'charger')!.face).toBe('canopy-front');
  });
});

describe('a free spot', () => {
  it('is the lowest, then the most forward', () =>
    expect(freeSpot(wall, { w: 200, h: 100, outMm: 50, exit: 'out' }, { airMm: 0, taken: new Shades([]), depthMm: 500 })).toEqual({ u: 0, v: 0, rowMm: 0 }));
  it('keeps the room that cables want on their side', () =>
    expect(freeSpot(wall, { w: 200, h: 100, outMm: 50, exit: 'down' }, { airMm: 0, taken: new Shades([]), depthMm: 500 })).toEqual({ u: 0, v: 165, rowMm: 0 }));
  it('is none where the thing is too deep, too wide or everything is taken', () => {
    const o = { w: 200, h: 100, outMm: 50, exit: 'out' as const };
    expect(freeSpot(wall, o, { airMm: 0, taken: new Shades([]), depthMm: 40 })).toBeNull();
    expect(freeSpot(wall, { ...o, w: 1001 }, { airMm: 0, taken: new Shades([]), depthMm: 500 })).toBeNull();
    expect(freeSpot(wall, o, { airMm: 0, taken: new Shades([{ box: { x: -10, y: 0, z: -10, l: 2000, w: 100, h: 2000 }, gapMm: 0 }]), depthMm: 500 })).toBeNull();
  });
  it('meets nothing that is taken, whatever that is', () => {
    const box = fc.record({
      x: fc.integer({ min: -100, max: 900 }),
      y: fc.constant(0),
      z: fc.integer({ min: -100, max: 500 }),
      l: fc.integer({ min: 20, max: 400 }),
      w: fc.integer({ min: 10, max: 200 }),
      h: fc.integer({ min: 20, max: 300 }),
    });
    fc.assert(
      fc.property(fc.array(box, { maxLength: 8 }), fc.nat(40), fc.option(fc.record({ u: fc.nat(1000), v: fc.nat(600) }), { nil: null }), (boxes, gapMm, near) => {
        const spot = freeSpot(wall, { w: 180, h: 120, outMm: 60, exit: 'left' }, { airMm: 0, taken: new Shades(boxes.map((b) => ({ box: b, gapMm }))), depthMm: 500 }, { near, exitMm: 90 });
        if (!spot) return;
        expect(spot.u >= 90 && spot.u + 180 <= 1000 && spot.v >= 0 && spot.v + 120 <= 600).toBeTrue();
        const room = { x: spot.u - 90, y: 0, z: spot.v, l: 270, w: 60, h: 120 };
        for (const b of boxes) expect(boxesMeet(room, b, 2)).toBeFalse();
      }),
    );
  });
  it('turns outline and exit together', () => {
    expect(outlineOn(wall, [300, 200, 80], false, 'down', 90)).toEqual({ w: 200, h: 300, outMm: 80, exit: 'right' });
    expect(outlineOn(wall, [300, 200, 80], false, 'down', 180)).toEqual({ w: 300, h: 200, outMm: 80, exit: 'up' });
    expect(outlineOn({ ...wall, normal: '+z' }, [300, 200, 80], true, 'out', 0)).toEqual({ w: 300, h: 80, outMm: 200, exit: 'out' });
  });
});

describe('weight by moments', () => {
  it('is shared by two axles as a beam on two supports', () => {
    expect(shareOf({ kg: 100, x: 3000, y: 0 }, 1000, 5000)).toEqual([50, 50]);
    expect(shareOf({ kg: 100, x: 5000, y: 0 }, 1000, 5000)).toEqual([0, 100]);
    // 90 kg a metre behind the rear axle of a 3 m wheelbase lift 30 kg off the front.
    expect(shareOf({ kg: 90, x: 5000, y: 0 }, 1000, 4000)).toEqual([-30, 120]);
  });
  it('adds up to what was added, wherever it is', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), fc.integer({ min: -2000, max: 9000 }), (kg, x) => {
        const [front, rear] = shareOf({ kg, x, y: 0 }, 960, 4190);
        expect(front + rear).toBeCloseTo(kg, 6);
      }),
    ));
  it('is told for every carrier, with drawbar and axle of a trailer', () => {
    const d = demo('bookmobile');
    const van = weights(vehicleOf(d), gearOf(d)).find((c) => c.id === 'van')!;
    expect(van.supports.map((s) => s.name)).toEqual(['drawbar', 'caravan axle']);
    expect(van.supports.reduce((s, x) => s + x.addedKg, 0)).toBeCloseTo(van.addedKg, 6);
  });
  it('leans to the side that it is on, by twice its arm over the track', () => {
    const d = demo('vet');
    const v = vehicleOf(d);
    const one = { ...gearOf(d).find((g) => g.id === 'house')!, kg: 100, box: { x: 4000, y: v.widthMm / 2 - 490, z: 900, l: 200, w: 200, h: 200 } };
    expect(weights(v, [one])[0]!.leftOverRightKg).toBeCloseTo((2 * 100 * 390) / 1560, 6);
  });
});

describe('heat of a closed space', () => {
  it('rises by P over 5.5 W/m²K and the skin', () => expect(naturalRiseK(110, 4)).toBe(5));
  it('counts what warms it and asks for a fan beyond ten kelvin', () => {
    const d = demo('bees');
    Object.assign(supplyOf(d), { isolation: 'dcdc', dcdc: 'dcdc-40' });
    const v = vehicleOf(d);
    const [box] = compartmentHeat(v, gearOf(d));
    expect(box!.zone).toBe('box');
    expect(box!.riseK).toBeCloseTo(box!.heatW / (5.5 * surfaceM2(v.zones.find((z) => z.id === 'box')!)), 9);
    expect(box!.fanM3h > 0).toBe(box!.riseK > 10);
    // A charger cuts back from 50 °C: 45 °C of air and 6 K of rise want a fan, though the rise alone would not.
    const by = Math.sqrt(box!.riseK / 6);
    const larger = (b: (typeof v.zones)[number]['box']) => ({ ...b, l: b.l * by, w: b.w * by, h: b.h * by });
    const warm = { ...v, zones: v.zones.map((z) => (z.id === 'box' ? { ...z, ambientC: 45, box: larger(z.box) } : z)) };
    const [mild] = compartmentHeat(warm, gearOf(d));
    expect(mild!.riseK).toBeCloseTo(6, 6);
    expect(mild!.fanM3h).toBeGreaterThan(0);
    const cool = { ...warm, zones: warm.zones.map((z) => (z.id === 'box' ? { ...z, ambientC: 35 } : z)) };
    expect(compartmentHeat(cool, gearOf(d))[0]!.fanM3h).toBe(0);
    expect(compartmentHeat(v, gearOf(demo('bees')))).toEqual([]);
  });

  it('falls as typed fans carry it off, no further than the thermostat lets it, and never rises by them', () => {
    const d = demo('bees');
    Object.assign(supplyOf(d), { isolation: 'dcdc', dcdc: 'dcdc-40' });
    d.places['charger'] = { zone: 'box', on: null, when: 'now' };
    const v = vehicleOf(d);
    const airC = v.zones.find((z) => z.id === 'box')!.ambientC;
    const withFans = (air: Air | null) => compartmentHeat(v, gearOf(d), air ? { box: air } : {}).find((h) => h.zone === 'box')!;
    const still = withFans(null);
    for (const outM3h of [0, 20, 60, 200]) expect(withFans({ outM3h, inM3h: 0, fromC: 0 }).riseK).toBeLessThanOrEqual(still.riseK + 1e-9);
    // Heat by the skin and with the air together carry off all of it.
    const aired = withFans({ outM3h: 100, inM3h: 0, fromC: 0 });
    expect(5.5 * aired.surfaceM2 * aired.riseK + (70 * aired.riseK) / 2.99).toBeCloseTo(aired.heatW, 6);
    expect(withFans({ outM3h: 40, inM3h: 100, fromC: 0 }).riseK)
      .withContext('the stronger of the two moves the air')
      .toBeCloseTo(aired.riseK, 9);
    expect(withFans({ outM3h: 2000, inM3h: 0, fromC: airC + 3 }).riseK)
      .withContext('off below its set point')
      .toBeCloseTo(Math.min(3, still.riseK), 9);
    expect(compartmentHeat(v, gearOf(demo('bees')), { box: { outM3h: 20, inM3h: 0, fromC: 40 } })[0]!.riseK).toBe(0);
  });

  it('too warm: the fan that is offered is enough, is bought with its filter and thermostat, and is a step', () => {
    const d = demo('bees');
    Object.assign(supplyOf(d), { isolation: 'dcdc', dcdc: 'dcdc-40', mains: { charger: 'mc-40' } });
    d.places['mains'] = { zone: 'box', on: null, when: 'now' };
    const hot = assess(d, SHIPPED_CATALOGUE).open.find((f) => f.rule === 'compartment-hot')!;
    const fixed = editDesign(d, hot.presses![0]!.patch);
    if (!fixed.ok) throw new Error(fixed.message);
    const a = assess(fixed.design, SHIPPED_CATALOGUE);
    expect(a.open.filter((f) => f.rule === 'compartment-hot')).toEqual([]);
    const bought = a.order.lines.filter((l) => /^(fan|dust-filter|thermostat)/.test(l.key)).map((l) => l.quantity);
    expect(bought).toEqual([1, 1, 1]);
    const steps = a.fit.map((s) => s.id);
    expect(steps.indexOf('fan-box')).toBeGreaterThan(steps.indexOf('place-mains'));
    fixed.design.air['box']!.fromC = 80;
    expect(assess(fixed.design, SHIPPED_CATALOGUE).open.some((f) => f.rule === 'compartment-hot'))
      .withContext('a thermostat set too high')
      .toBeTrue();
  });
});

describe('the board', () => {
  const d = demo('cinema');
  const a = assess(d, SHIPPED_CATALOGUE);
  const board = d.board!;
  const face = boardFace(vehicleOf(d), board)!;
  it('is a face that stands off its wall by its own thickness', () => {
    const w = vehicleOf(d).faces.find((f) => f.id === board.face)!;
    expect(face.at).toEqual({ x: w.at.x + 12, y: w.at.y + board.u, z: w.at.z + board.v });
    expect([face.w, face.h]).toEqual([1300, 900]);
  });
  it('is arranged without a clash, with room for every bend, from each side', () => {
    for (const entry of ['bottom', 'top'] as const) {
      const on: Board = { ...board, entry };
      const done = arrangeBoard(
        boardFace(vehicleOf(d), on)!,
        entry,
        a.gear.filter((g) => boardable(g) || g.face === BOARD_FACE),
        a.layout.bendMm,
      );
      expect(done.left).toEqual([]);
      const again = structuredClone(d);
      again.board = on;
      for (const [id, p] of Object.entries(done.placements)) again.places[id] = { zone: 'body', on: p, when: 'now' };
      const ids = new Set(Object.keys(done.placements));
      expect(assess(again, SHIPPED_CATALOGUE).layout.troubles.filter((t) => ids.has(t.gear)))
        .withContext(entry)
        .toEqual([]);
    }
  });
  it('says what finds no room', () => {
    const small: Board = { ...board, w: 400, h: 300 };
    expect(
      arrangeBoard(
        boardFace(vehicleOf(d), small)!,
        'bottom',
        a.gear.filter((g) => g.face === BOARD_FACE),
        a.layout.bendMm,
      ).left,
    ).toContain('inverter');
  });
  it('has its fixings in the corners, four screws a thing, and glands along the entry side that keep apart', () => {
    const holes = boardHoles(board, a.gear, [25, 19, 32]);
    expect(holes.filter((h) => h.kind === 'board').map((h) => [h.u, h.v])).toEqual([
      [20, 20],
      [1280, 20],
      [20, 880],
      [1280, 880],
    ]);
    expect(holes.filter((h) => h.kind === 'screw').length).toBe(4 * a.gear.filter((g) => g.face === BOARD_FACE).length);
    const glands = holes.filter((h) => h.kind === 'gland');
    expect(glands.map((h) => h.diameterMm)).toEqual([25, 19, 32]);
    for (const [i, h] of glands.entries()) if (i) expect(h.u - glands[i - 1]!.u).toBeGreaterThan((h.diameterMm + glands[i - 1]!.diameterMm) / 2 + 5);
  });
  it('has every screw inside its thing’s outline', () => {
    for (const g of a.gear)
      for (const s of screwsOf(g))
        expect(s.u > g.u && s.u < g.u + g.outline.w && s.v > g.v && s.v < g.v + g.outline.h)
          .withContext(g.name)
          .toBeTrue();
  });
  it('counts the leads to undo before it comes out', () => {
    const on = a.gear.filter((g) => g.face === BOARD_FACE).map((g) => g.id);
    const by = (from: string, to: string, back: 'cable' | 'chassis' = 'cable') => ({ from, to, back });
    expect(on).toContain('bus');
    expect(cablesToUndo(a.gear, [by('house', 'bus'), by('bus', 'inverter'), by('block', 'load:l3', 'chassis'), by('house', 'starting')])).toBe(3);
  });
  it('is drilled as it is seen from the front: mirrored on a left wall, not on a right one', () => {
    const t = (wallId: string) => {
      const e = structuredClone(d);
      e.board = { ...board, face: wallId };
      return drillTemplate(e, draftGear(e, SHIPPED_CATALOGUE), [])!.outlines.find((o) => o.name === 'bus bars')!.x;
    };
    expect(mirroredFromFront(VEHICLE_TEMPLATES['light-truck'].faces.find((f) => f.id === 'body-left')!)).toBeTrue();
    expect([t('body-right'), t('body-left')]).toEqual([25, 1300 - 25 - 190]);
  });
  it('has no template where there is no board', () => expect(drillTemplate(demo('bees'), [], [])).toBeNull());
});

describe('to service a thing', () => {
  it('the lid comes first, then what stands before it, then its own', () => {
    const before = (d: Design) => {
      const a = assess(d, SHIPPED_CATALOGUE);
      return comesOff(
        vehicleOf(d),
        a.layout.faces,
        a.gear,
        a.gear.find((g) => g.id === 'bus')!,
      );
    };
    const d = demo('vet');
    expect(before(d)).toEqual(['left canopy lid', 'cover']);
    d.places['load:l1'] = { zone: 'canopy', on: { face: 'canopy-floor', u: 150, v: 300, turn: 0 }, when: 'now' };
    expect(before(d)).toEqual(['left canopy lid', 'vaccine fridge', 'cover']);
  });
});
