import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { boxGear } from '../places/index.js';
import { supplyOf, type Design } from '../design/index.js';
import { chargingAirM3h, cutSheets, enclosuresOf, glandFor, GLANDS, layGlands, pointStep, sheetTemplate, ventFor, type Entry } from './index.js';

const boxed = (key: string, change: (d: Design) => void = () => undefined, sealed = true): Assessment => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(d);
  const house = assess(d, SHIPPED_CATALOGUE).gear.find((g) => g.role === 'house')!.id;
  const made = boxGear(d, SHIPPED_CATALOGUE, [house], { name: 'battery box', weather: 'dry', airMm: 40, sealed });
  if (!made.ok) throw new Error(made.message);
  return assess(made.design, SHIPPED_CATALOGUE);
};

describe('a box round a battery', () => {
  const a = boxed('bookmobile');
  const [e] = a.enclosures;

  it('is cut from six sides that close round its room, back and lid over the edges of the others', () => {
    expect(e!.insideMm).toEqual([540, 240, 350]);
    const size = Object.fromEntries(e!.sheets.map((s) => [s.side, [s.wMm, s.hMm]]));
    expect([size['+z'], size['-z']]).toEqual([
      [544, 244],
      [544, 244],
    ]);
    expect([size['-x'], size['+x']]).toEqual([
      [240, 350],
      [240, 350],
    ]);
    expect([size['-y'], size['+y']]).toEqual([
      [544, 350],
      [544, 350],
    ]);
  });

  it('has a gland of its own for each cable that goes through, and no hole off its side or in another', () => {
    const through = a.runs.filter((r) => (r.spec.from.gear === 'house') !== (r.spec.to.gear === 'house'));
    expect(e!.entries.length).toBe(2 * through.length + 2);
    expect(e!.sheets.flatMap((s) => s.holes).filter((h) => h.kind === 'gland').length).toBe(e!.entries.length);
    for (const s of e!.sheets)
      for (const h of s.holes) {
        expect(h.x - h.diameterMm / 2 > 0 && h.x + h.diameterMm / 2 < s.wMm && h.y - h.diameterMm / 2 > 0 && h.y + h.diameterMm / 2 < s.hMm).toBeTrue();
        for (const o of s.holes) if (o !== h) expect(Math.hypot(o.x - h.x, o.y - h.y)).toBeGreaterThan((o.diameterMm + h.diameterMm) / 2);
      }
  });

  it('is ordered with its glands and its vent, and neither grommet nor hole for the same cables again', () => {
    const bought = new Map(a.order.lines.map((l) => [l.key, l.quantity]));
    expect(bought.has('vent-one-way vent-20')).toBeTrue();
    for (const thread of new Set(e!.entries.map((x) => x.gland.thread))) expect(bought.get(`gland-${thread}`)).toBe(e!.entries.filter((x) => x.gland.thread === thread).length);
    expect(a.fit.some((s) => s.id === `hole-${e!.zone}`)).toBeFalse();
  });

  it('is checked point by point, each point by a step of the build or by the plan itself', () => {
    expect(e!.points.map((p) => p.id)).toEqual(['sealed', 'lid', 'glands', 'vent', 'isolator', 'held', 'bend', 'posts']);
    expect(e!.points.filter((p) => p.against !== null)).toEqual([]);
    const steps = new Map(a.fit.map((s, i) => [s.id, i]));
    for (const p of e!.points) {
      const step = pointStep(e!.zone, p.id);
      expect(step === null ? ['isolator', 'bend'].includes(p.id) : steps.has(step))
        .withContext(p.id)
        .toBeTrue();
    }
    // It is closed when all that is in it was read, and held when the battery is there.
    expect(steps.get(`box-${e!.zone}-close`)!).toBeGreaterThan(steps.get('power-branch')!);
    expect(steps.get(`box-${e!.zone}-held`)!).toBeGreaterThan(steps.get('place-house')!);
  });

  it('says what of the plan is against it: a box that is open to the room', () => {
    const open = boxed('bookmobile', () => undefined, false).enclosures[0]!;
    expect(open.points.find((p) => p.id === 'sealed')!.against).toContain('gas of a failing battery');
  });

  it('says so where the main switch is shut in, and nothing of a disconnect that is', () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design);
    const gear = assess(d, SHIPPED_CATALOGUE).gear;
    const against = (id: string): string | null => {
      const made = boxGear(d, SHIPPED_CATALOGUE, [id], { name: 'box', weather: 'dry', airMm: 20, sealed: true });
      if (!made.ok) throw new Error(made.message);
      const a2 = assess(made.design, SHIPPED_CATALOGUE);
      const [box] = a2.enclosures;
      const house = { ...a2.gear.find((g) => g.role === 'house')!, zone: box!.zone };
      const [both] = enclosuresOf(made.design, SHIPPED_CATALOGUE, [...a2.gear.filter((g) => g.id !== house.id), house], a2.runs, a2.layout);
      return both!.points.find((p) => p.id === 'isolator')!.against;
    };
    expect(gear.map((g) => g.id)).toEqual(jasmine.arrayContaining(['switch', 'disconnect']));
    expect(against('switch')).toContain('open the lid first');
    expect(against('disconnect')).toBeNull();
  });

  it('wants ducts for what gases while it charges, as wide as all batteries in it together want', () => {
    const lead = boxed('bookmobile', (d) => Object.assign(supplyOf(d).battery, { part: 'bat-agm-120', count: 2 })).enclosures[0]!;
    expect(lead.vent).toEqual(jasmine.objectContaining({ kind: 'ducts', count: 2 }));
    expect(lead.vent!.airM3h).toBeCloseTo(0.576, 9);
    const vents = lead.sheets.flatMap((s) => s.holes.filter((h) => h.kind === 'vent').map((h) => [h.name, h.y < s.hMm / 2]));
    expect(vents).toEqual(
      jasmine.arrayWithExactContents([
        ['air in', true],
        ['air out', false],
      ]),
    );
  });
});

describe('what goes through a wall', () => {
  it('is gripped by the smallest gland that takes it; what is thicker than any is not', () => {
    expect([2.7, 6.5, 6.6, 11.7, 17, 21].map((mm) => glandFor(mm)!.thread)).toEqual(['M12', 'M12', 'M16', 'M20', 'M25', 'M32']);
    expect(glandFor(21.1)).toBeNull();
    for (const [i, g] of GLANDS.entries()) expect(i === 0 || g.fromMm <= GLANDS[i - 1]!.toMm).toBeTrue();
  });

  it('lies in rows with its nuts apart, and what finds no room is left over, none lost', () => {
    const many = Array.from({ length: 40 }, (_, i): Entry => ({ name: String(i), gland: GLANDS[i % GLANDS.length]! }));
    const { holes, left } = layGlands(many, 300, 150);
    expect(holes.length + left.length).toBe(40);
    expect(left.length).toBeGreaterThan(0);
    const nut = new Map(many.map((m) => [m.name, m.gland.nutMm]));
    for (const a of holes) for (const b of holes) expect(a === b || Math.hypot(a.x - b.x, a.y - b.y) >= Math.min(nut.get(a.name)!, nut.get(b.name)!) - 1e-9).toBeTrue();
    expect(layGlands(many, 30, 150)).toEqual({ holes: [], left: many });
  });

  it('goes on to the next side where one is full, and becomes a stud where all are', () => {
    const many = Array.from({ length: 60 }, (_, i): Entry => ({ name: String(i), gland: GLANDS[3]! }));
    const box = { x: 0, y: 0, z: 0, l: 300, w: 200, h: 150 };
    const { sheets, left } = cutSheets(box, '+z', many, null, { x: -1, y: 0, z: 0 });
    expect(sheets.find((s) => s.side === '-x')!.holes.length).toBeGreaterThan(0);
    expect(sheets.flatMap((s) => s.holes).filter((h) => h.kind === 'gland').length + left.length).toBe(60);
    expect(sheetTemplate(sheets[0]!).holes.every((h) => h.kind === 'screw')).toBeTrue();
  });
});

describe('what vents a box', () => {
  it('is the air of IEC 62485-2 for lead, 0.48 m³/h for two of 100 Ah with valves, and none for lithium', () => {
    const agm = { chemistry: 'agm', capacityAh: 100 } as const;
    expect(chargingAirM3h([agm, agm])).toBeCloseTo(0.48, 12);
    expect(chargingAirM3h([{ chemistry: 'flooded', capacityAh: 100 }])).toBeCloseTo(0.6, 12);
    // 28 cm²/(m³/h) · 0.48 = 13.4 cm²: 41.4 mm across.
    expect(ventFor([agm, agm])).toEqual(jasmine.objectContaining({ kind: 'ducts', holeMm: 50 }));
    expect(ventFor([{ chemistry: 'lfp', capacityAh: 300 }])).toEqual(jasmine.objectContaining({ kind: 'one-way vent', airM3h: 0, count: 1 }));
  });
});
