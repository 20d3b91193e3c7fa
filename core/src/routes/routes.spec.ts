import fc from 'fast-check';
import { VEHICLE_TEMPLATES } from '../vehicle/index.js';
import { squareMm, straightMm } from '../vehicle/index.js';
import type { Vehicle } from '../design/index.js';
import {
  bendSpaceMm,
  bundleMm,
  cheapest,
  clipsFor,
  costPerMm,
  cutLengthM,
  groupedOf,
  holeSawMm,
  HOLE_SAWS_MM,
  otherRoutes,
  packingFactor,
  routeBetween,
  splitTubeMm,
  splitTubes,
  SPLIT_TUBES_MM,
  tooNearExhaust,
  wayGraph,
  type Route,
  type Stand,
} from './index.js';

const kinds = Object.keys(VEHICLE_TEMPLATES) as (keyof typeof VEHICLE_TEMPLATES)[];
const pair = fc.constantFrom(...kinds).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    a: fc.constantFrom(...VEHICLE_TEMPLATES[kind].waypoints),
    b: fc.constantFrom(...VEHICLE_TEMPLATES[kind].waypoints),
    c: fc.constantFrom(...VEHICLE_TEMPLATES[kind].waypoints),
  }),
);
const one = (id: string) => new Map([[id, 0]]);
const stand = (v: Vehicle, zone: string, dx = 0): Stand => {
  const w = v.waypoints.find((x) => x.zone === zone)!;
  return { zone, at: { ...w.at, x: w.at.x + dx } };
};
const way = (v: Vehicle, from: Stand, to: Stand, wishes = {}): Route => {
  const r = routeBetween(v, from, to, wishes);
  if (!r.ok) throw new Error(r.why);
  return r.route;
};

describe('the way between two waypoints', () => {
  it('is never shorter than the straight line, and costs at least its length', () => {
    fc.assert(
      fc.property(pair, ({ kind, a, b }) => {
        const found = cheapest(wayGraph(VEHICLE_TEMPLATES[kind]), one(a.id), one(b.id))!;
        const lengthMm = found.links.reduce((s, l) => s + l.lengthMm, 0);
        expect(lengthMm).toBeGreaterThanOrEqual(straightMm(a.at, b.at) - 1e-6);
        expect(found.cost).toBeGreaterThanOrEqual(lengthMm - 1e-6);
      }),
    );
  });
  it('keeps the triangle rule, and costs the same both ways', () => {
    fc.assert(
      fc.property(pair, ({ kind, a, b, c }) => {
        const graph = wayGraph(VEHICLE_TEMPLATES[kind]);
        const cost = (x: string, y: string): number => cheapest(graph, one(x), one(y))!.cost;
        expect(cost(a.id, c.id)).toBeLessThanOrEqual(cost(a.id, b.id) + cost(b.id, c.id) + 1e-6);
        expect(cost(a.id, b.id)).toBeCloseTo(cost(b.id, a.id), 6);
      }),
    );
  });
  it('never gets cheaper by forbidding a waypoint or a stretch', () => {
    fc.assert(
      fc.property(pair, fc.nat(), ({ kind, a, b, c }, n) => {
        const v = VEHICLE_TEMPLATES[kind];
        const graph = wayGraph(v);
        const free = cheapest(graph, one(a.id), one(b.id))!.cost;
        const shut = cheapest(graph, one(a.id), one(b.id), new Set([c.id]));
        const barred = cheapest(graph, one(a.id), one(b.id), new Set([v.ways[n % v.ways.length]!.id]));
        for (const other of [shut, barred]) if (other) expect(other.cost).toBeGreaterThanOrEqual(free - 1e-6);
      }),
    );
  });
  it('is the other way once the stretch that tells them apart is shut', () => {
    const ends = Object.entries(VEHICLE_TEMPLATES).flatMap(([, v]) => v.zones.flatMap((a) => v.zones.filter((b) => a.id < b.id).map((b) => ({ v, a: a.id, b: b.id }))));
    let tried = 0;
    for (const { v, a, b } of ends) {
      if (![a, b].every((z) => v.waypoints.some((w) => w.zone === z))) continue;
      const [from, to] = [stand(v, a), stand(v, b)];
      const best = routeBetween(v, from, to);
      if (!best.ok) continue;
      for (const other of otherRoutes(v, from, to, best.route)) {
        tried++;
        const taken = way(v, from, to, { avoid: [other.without.id] });
        expect(taken.ways.map((w) => w.id))
          .withContext(`${v.name} ${a} ${b}`)
          .toEqual(other.route.ways.map((w) => w.id));
      }
    }
    expect(tried).toBeGreaterThan(30);
  });
  it('is the cheapest of all: as cheap as trying every way', () => {
    const graph = wayGraph(VEHICLE_TEMPLATES['tray-back']);
    const everyWay = (at: string, to: string, seen: ReadonlySet<string>): number =>
      at === to
        ? 0
        : Math.min(
            Infinity,
            ...graph.links
              .get(at)!
              .filter((l) => !seen.has(l.to))
              .map((l) => l.cost + everyWay(l.to, to, new Set([...seen, l.to]))),
          );
    for (const [a, b] of [
      ['battery-post', 'box-gland'],
      ['dash', 'tray-right'],
      ['engine-cross', 'headboard-top'],
      ['tow-bar', 'cab-back'],
    ] as const)
      expect(cheapest(graph, one(a), one(b))!.cost).toBeCloseTo(everyWay(a, b, new Set([a])), 6);
  });
});

describe('the way of a run', () => {
  const ute = VEHICLE_TEMPLATES['canopy-ute'];
  const [engine, canopy] = [stand(ute, 'engine'), stand(ute, 'canopy')];
  it('goes straight along the wall within a zone', () => {
    const r = way(ute, canopy, stand(ute, 'canopy', 700));
    expect([r.ways.length, r.dropsMm, r.alongMm]).toEqual([0, 700, 0]);
  });
  it('keeps off the exhaust, takes it when it is forced, and says so', () => {
    expect(way(ute, engine, canopy).ways.some(tooNearExhaust)).toBeFalse();
    expect(way(ute, engine, canopy, { via: ['rail-right'] }).ways.some(tooNearExhaust)).toBeTrue();
  });
  it('passes what it must in its order, and not what it must not', () => {
    const r = way(ute, engine, canopy, { via: ['rail-middle'], avoid: ['seat'] });
    expect(r.waypoints).toContain('rail-middle');
    expect(r.waypoints).not.toContain('seat');
  });
  it('ends in words where nothing leads', () => {
    expect(routeBetween(ute, engine, canopy, { avoid: ['entry', 'front-low', 'front-high', 'left-high', 'right-high', 'right-low'] })).toEqual({ ok: false, why: 'kept from it' });
    const cut = { ...ute, ways: ute.ways.filter((w) => w.b !== 'entry') };
    expect(routeBetween(cut, engine, canopy)).toEqual({ ok: false, why: 'no way' });
    expect(routeBetween({ ...ute, waypoints: ute.waypoints.map((w) => ({ ...w, zone: null })) }, engine, canopy)).toEqual({ ok: false, why: 'zone unreached' });
  });
  it('has other ways that are different and cost no less', () => {
    const best = way(ute, engine, canopy);
    const others = otherRoutes(ute, engine, canopy, best).map((o) => o.route);
    expect(others.length).toBeGreaterThan(0);
    const names = [best, ...others].map((r) => r.ways.map((w) => w.id).join());
    expect(new Set(names).size).toBe(names.length);
    for (const o of others) expect(o.cost).toBeGreaterThanOrEqual(best.cost - 1e-6);
  });
  it('has corners that add up to its length and drops', () => {
    for (const kind of kinds) {
      const v = VEHICLE_TEMPLATES[kind];
      const [a, b] = [v.zones[0]!.id, v.zones[v.zones.length - 1]!.id];
      const r = way(v, stand(v, a, 40), stand(v, b, -30));
      const more = r.ways.reduce((s, w) => s + w.moreMm, 0);
      const drawn = r.points.slice(1).reduce((s, p, i) => s + straightMm(r.points[i]!, p), 0);
      expect(drawn + more)
        .withContext(kind)
        .toBeCloseTo(r.alongMm + r.dropsMm, 3);
      expect(squareMm(r.points[0]!, r.points.at(-1)!)).toBeGreaterThan(0);
    }
  });
});

describe('a cut length', () => {
  it('is 10 % more, a loop of 0.2 m at each end, what moves, up to the decimetre', () => {
    expect(cutLengthM({ alongMm: 5000, dropsMm: 0, loopsMm: 0 })).toBe(5.9);
    expect(cutLengthM({ alongMm: 5000, dropsMm: 0, loopsMm: 80 })).toBe(6);
    expect(cutLengthM({ alongMm: 0, dropsMm: 400, loopsMm: 0 })).toBe(0.6);
  });
  it('grows with the way', () =>
    fc.assert(fc.property(fc.nat(20000), fc.nat(5000), (a, b) => cutLengthM({ alongMm: a + b, dropsMm: 10, loopsMm: 0 }) >= cutLengthM({ alongMm: a, dropsMm: 10, loopsMm: 0 }))));
});

describe('bundles, holes and tubes', () => {
  it('pack equal cables by the trade’s figures', () => expect([1, 2, 3, 4, 5, 6, 7, 8].map(packingFactor)).toEqual([1, 2, 2.15, 2.41, 2.7, 3, 3, 3.3]));
  it('never pack more than the circle holds, nor tighter with one more', () => {
    for (let n = 1; n < 60; n++) {
      expect(n / packingFactor(n) ** 2)
        .withContext(String(n))
        .toBeLessThanOrEqual(1);
      expect(packingFactor(n + 1)).toBeGreaterThanOrEqual(packingFactor(n) - 1e-9);
    }
  });
  it('are as wide as the two thickest side by side, and hold all the copper', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 2, max: 20, noNaN: true }), { minLength: 2, maxLength: 20 }), (d) => {
        const [a, b] = [...d].sort((x, y) => y - x);
        expect(bundleMm(d)).toBeGreaterThanOrEqual(a! + b! - 1e-9);
        expect(bundleMm(d) ** 2).toBeGreaterThanOrEqual(d.reduce((s, x) => s + x * x, 0) - 1e-9);
      }),
    ));
  it('take the smallest stock saw with 2 mm of room', () => {
    expect([holeSawMm(14), holeSawMm(14.1), holeSawMm(27.6), holeSawMm(49), holeSawMm(49.1)]).toEqual([16, 19, 32, 51, null]);
    for (const saw of HOLE_SAWS_MM) expect(holeSawMm(saw - 2)).toBe(saw);
  });
  it('fill a tube to 53, 31 and 40 % and no more', () => {
    expect([splitTubes([7, 7]), splitTubes([18.5, 18.5]), splitTubes([20, 20, 20]), splitTubes(Array<number>(12).fill(20))]).toEqual([
      { count: 1, mm: 19 },
      { count: 2, mm: 32 },
      { count: 3, mm: 32 },
      null,
    ]);
    expect([splitTubeMm([7]), splitTubeMm([7, 7]), splitTubeMm([5, 5, 5]), splitTubeMm([20, 20, 20])]).toEqual([10, 19, 16, null]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 2, max: 12, noNaN: true }), { minLength: 1, maxLength: 9 }), (d) => {
        const tube = splitTubeMm(d);
        const most = d.length === 1 ? 0.53 : d.length === 2 ? 0.31 : 0.4;
        if (tube === null) return;
        const fill = (t: number): number => d.reduce((s, x) => s + x * x, 0) / (t * t);
        expect(fill(tube)).toBeLessThanOrEqual(most + 1e-9);
        const below = SPLIT_TUBES_MM[SPLIT_TUBES_MM.indexOf(tube as never) - 1];
        if (below) expect(fill(below)).toBeGreaterThan(most);
      }),
    );
  });
  it('are clipped every 300 mm, in conduit every 450', () => expect([clipsFor(900, false), clipsFor(901, false), clipsFor(900, true)]).toEqual([4, 5, 3]));
  it('bend at six diameters above 16 mm², at four up to it', () => {
    const times = { thick: 6, thin: 4 };
    expect(bendSpaceMm(16, 8.3, times)).toBeCloseTo(35 + 33.2, 9);
    expect(bendSpaceMm(50, 13.8, times)).toBeCloseTo(50 + 82.8, 9);
    expect(bendSpaceMm(50, 13.8, { thick: 8, thin: 4 })).toBeCloseTo(50 + 110.4, 9);
  });
  it('derate what lies together, feeds apart from loads', () => {
    const ute = VEHICLE_TEMPLATES['canopy-ute'];
    const route = way(ute, stand(ute, 'engine'), stand(ute, 'canopy'));
    const run = (id: string, group: 'charging' | 'loads', r: Route | null) => ({ id, group, route: r });
    const grouped = groupedOf([run('a', 'charging', route), run('b', 'loads', route), run('c', 'loads', route), run('d', 'loads', null)]);
    expect([...grouped]).toEqual([
      ['a', 1],
      ['b', 2],
      ['c', 2],
      ['d', 1],
    ]);
  });
  it('do not count the leads of one bank as a bunch, save in a tube', () => {
    const route = way(VEHICLE_TEMPLATES['canopy-ute'], stand(VEHICLE_TEMPLATES['canopy-ute'], 'engine'), stand(VEHICLE_TEMPLATES['canopy-ute'], 'canopy'));
    const laid = (conduit: boolean): Route => ({ ...route, ways: route.ways.map((w) => ({ ...w, conduit })) });
    const leads = (r: Route) => ['a', 'b', 'c'].map((id) => ({ id, group: 'house' as const, route: r, apart: true }));
    expect([...groupedOf(leads(laid(false))).values()]).toEqual([1, 1, 1]);
    expect([...groupedOf(leads(laid(true))).values()]).toEqual([3, 3, 3]);
  });
  it('cost more past a hazard', () => {
    const w = VEHICLE_TEMPLATES['canopy-ute'].ways[0]!;
    expect(costPerMm({ ...w, hazards: [] })).toBe(1);
    expect(costPerMm({ ...w, hazards: [{ kind: 'exhaust', nearMm: 150 }] })).toBe(2.5);
    expect(costPerMm({ ...w, hazards: [{ kind: 'exhaust', nearMm: 149 }] })).toBe(11);
  });
});
