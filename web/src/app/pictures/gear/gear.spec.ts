import { assess, DEMO_JOBS, SHIPPED_CATALOGUE } from '@meridex/core';
import { gearStrokes, type Seen, seenAlong } from './drawing';
import { namesBeside } from './names';
import { twin } from './twin';

const points = (d: string): { x: number; y: number }[] => [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => ({ x: Number(m[1]), y: Number(m[2]) }));

describe('gear as small drawings', () => {
  const gear = DEMO_JOBS.flatMap((j) => assess(j.design, SHIPPED_CATALOGUE).gear);

  it('stay within their outline from every side, whatever its shape', () => {
    const svg = document.body.appendChild(document.createElementNS('http://www.w3.org/2000/svg', 'svg'));
    for (const g of new Map(gear.map((x) => [`${x.role} ${x.purpose} ${x.sort}`, x])).values())
      for (const seen of ['front', 'top', 'edge'] as Seen[])
        for (const [w, h] of [
          [400, 120],
          [60, 300],
          [200, 200],
        ] as const)
          for (const s of gearStrokes(g, seen, w, h)) {
            const path = svg.appendChild(document.createElementNS('http://www.w3.org/2000/svg', 'path'));
            path.setAttribute('d', s.d);
            const b = path.getBBox();
            expect(b.x > -2 && b.y > -2 && b.x + b.width < w + 2 && b.y + b.height < h + 2)
              .withContext(`${g.name} ${seen} ${w}×${h}: ${s.look} ${s.d}`)
              .toBeTrue();
          }
    svg.remove();
  });

  it('tell apart what stands in the battery’s leads: a switch, a shunt, a disconnect and bars have no drawing in common', () => {
    const drawn = ['switch', 'shunt', 'disconnect', null].map((sort) => JSON.stringify(gearStrokes({ role: 'bus', purpose: null, sort } as (typeof gear)[0], 'front', 100, 100)));
    expect(new Set(drawn).size).toBe(4);
  });

  it('show posts to one who looks down on a battery, and its side to one who stands before it', () => {
    const battery = gear.find((g) => g.role === 'house')!;
    expect([seenAlong(battery, '+z', 'z'), seenAlong(battery, '+z', 'y')]).toEqual(['top', 'front']);
    expect(['feed', 'return'].every((look) => gearStrokes(battery, 'top', 300, 170).some((s) => s.look === look))).toBeTrue();
    const charger = gear.find((g) => g.role === 'charger')!;
    expect([seenAlong(charger, '+x', 'y'), seenAlong(charger, '-y', 'y')]).toEqual(['edge', 'front']);
  });
});

describe('names on a sheet', () => {
  it('stand on what is large, and beside what is small without lying over a neighbour', () => {
    const things = [
      { id: 'a', text: 'inverter', box: { x: 0, y: 0, w: 200, h: 100 } },
      { id: 'b', text: 'low-voltage disconnect', box: { x: 40, y: 140, w: 30, h: 30 } },
      { id: 'c', text: 'shunt', box: { x: 40, y: 104, w: 30, h: 30 } },
    ];
    const [a, b, c] = namesBeside(things, { w: 300, h: 300 }, 1);
    expect([a!.on, b!.on, c!.on]).toEqual([true, false, false]);
    for (const n of [b!, c!])
      for (const t of things)
        expect(n.x + n.w <= t.box.x || n.x >= t.box.x + t.box.w || n.y + n.h <= t.box.y || n.y >= t.box.y + t.box.h)
          .withContext(`${n.text} over ${t.id}`)
          .toBeTrue();
  });
});

describe('feed and return beside each other', () => {
  it('keep their distance from the way, on its two sides, round every corner', () => {
    const way = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 60 },
      { x: 30, y: 60 },
    ];
    const [left, right] = twin(way, 4).map(points);
    expect(left).toEqual([
      { x: 0, y: -4 },
      { x: 104, y: -4 },
      { x: 104, y: 64 },
      { x: 30, y: 64 },
    ]);
    expect(right).toEqual([
      { x: 0, y: 4 },
      { x: 96, y: 4 },
      { x: 96, y: 56 },
      { x: 30, y: 56 },
    ]);
  });
});
