import ELK, { type ElkNode } from 'elkjs/lib/elk.bundled.js';
import { assess } from '../assess/index.js';
import { catalogueOf, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf, withoutDetail } from '../design/index.js';
import { EXAMPLE_VEHICLES } from '../testing/rigs.js';
import { buildDiagram, drawingOf, drawingSvg, elkGraph, LABEL, sheetsOf, WHOLE, type Diagram, type DiagramFilter, type Drawing, type ElkGraph } from './index.js';
import { textWidth, wrapped } from './words.js';

// The bundle is CommonJS: under plain modules its class is one step further in.
const elk = new (ELK as unknown as new () => { layout(g: ElkNode): Promise<ElkNode> })();
const of = (d: Design) => assess(d, catalogueOf(d));
function diagramOf(design: Design, filter: DiagramFilter = WHOLE): Diagram {
  const a = of(design);
  return buildDiagram({ design, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond }, filter);
}
async function drawn(diagram: Diagram): Promise<Drawing> {
  return drawingOf(diagram, (await elk.layout(elkGraph(diagram) as unknown as ElkNode)) as unknown as ElkGraph);
}

interface Box {
  readonly what: string;
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

function wordBoxes(d: Drawing): Box[] {
  return d.texts.map((t) => {
    const wide = Math.max(...t.lines.map(textWidth));
    const x0 = t.anchor === 'start' ? t.x : t.x - wide / 2;
    return { what: t.lines.join(' '), x0, x1: x0 + wide, y0: t.y - LABEL.height + 4, y1: t.y + (t.lines.length - 1) * LABEL.height + 2 };
  });
}

const meet = (a: Box, b: Box): boolean => a.x0 < b.x1 - 0.5 && b.x0 < a.x1 - 0.5 && a.y0 < b.y1 - 0.5 && b.y0 < a.y1 - 0.5;

describe('the line diagram', () => {
  for (const { key, design } of [...DEMO_JOBS, ...EXAMPLE_VEHICLES]) {
    const diagram = diagramOf(design);

    it(`${key}: shows every piece of gear and every run once`, () => {
      const a = of(design);
      // Panels of a roof stand as one element.
      for (const g of a.gear.filter((o) => o.role !== 'panel' || o.id === withoutDetail(o.ref).id)) {
        const many = g.id === 'house' && a.runs.some((r) => r.spec.id === 'house1-bus');
        const shown = diagram.nodes.filter((n) => n.gear === g.id);
        expect(shown.length)
          .withContext(g.id)
          .toBe(many ? a.runs.filter((r) => /^house\d+-bus$/.test(r.spec.id)).length : 1);
      }
      for (const r of a.runs) {
        const mine = diagram.lines.filter((l) => l.run === r.spec.id);
        expect(mine.filter((l) => l.kind === 'feed' && l.label).length + diagram.nodes.filter((n) => n.run === r.spec.id && n.label).length)
          .withContext(r.spec.id)
          .toBe(1);
        expect(mine.some((l) => l.kind === 'return')).toBeTrue();
        expect(diagram.nodes.filter((n) => n.run === r.spec.id && ['fuse', 'breaker'].includes(n.symbol)).length).toBe(r.spec.ends.length);
      }
      for (const l of a.layout.leads) expect(diagram.lines.filter((x) => x.id === l.id).length).toBe(1);
      expect(new Set(diagram.nodes.map((n) => n.id)).size).toBe(diagram.nodes.length);
      const stays = Object.values(design.brief.existing).filter((e) => e.verdict !== 'remove');
      expect(diagram.nodes.filter((n) => n.detail.includes('existing')).length).toBeGreaterThanOrEqual(stays.length);
    });

    it(`${key}: joins each feed from its start to its end, without a gap`, () => {
      for (const r of of(design).runs) {
        const pieces = diagram.lines.filter((l) => l.run === r.spec.id && l.kind === 'feed');
        for (const [i, p] of pieces.entries()) if (i) expect(p.from.node).toBe(pieces[i - 1]!.to.node);
      }
    });

    it(`${key}: no words lie on one another or on a symbol`, async () => {
      const d = await drawn(diagram);
      const words = wordBoxes(d);
      for (const [i, a] of words.entries()) for (const b of words.slice(i + 1)) expect(meet(a, b)).withContext(`${a.what} / ${b.what}`).toBeFalse();
      const symbols = d.nodes.map((n): Box => ({ what: n.node.id, x0: n.x, x1: n.x + n.w, y0: n.y, y1: n.y + n.h }));
      for (const a of words) for (const s of symbols) expect(meet(a, s)).withContext(`${a.what} / ${s.what}`).toBeFalse();
      for (const [i, a] of symbols.entries()) for (const b of symbols.slice(i + 1)) expect(meet(a, b)).withContext(`${a.what} / ${b.what}`).toBeFalse();
    }, 60_000);
  }

  it('has the bars as its spine: what feeds them to the left, what hangs on them to the right, no line round the sheet', async () => {
    for (const { key, design } of DEMO_JOBS) {
      const d = await drawn(diagramOf(design));
      const middle = (id: string): number => {
        const n = d.nodes.find((x) => x.node.id === id)!;
        return n.x + n.w / 2;
      };
      const bus = middle('bus');
      for (const { spec } of of(design).runs) {
        const ends = [spec.from.gear, spec.to.gear];
        const other = ends.find((g) => g !== 'bus');
        if (!ends.includes('bus') || other === undefined || !d.nodes.some((n) => n.node.id === other)) continue;
        expect(Math.sign(middle(other) - bus))
          .withContext(`${key}: ${spec.name}`)
          .toBe(spec.from.gear === 'bus' ? 1 : -1);
      }
      // A line never turns back past where it came from by more than the room of a few lines.
      for (const l of d.lines) {
        const xs = l.points.map((p) => p.x);
        const [lo, hi] = [Math.min(xs[0]!, xs.at(-1)!), Math.max(xs[0]!, xs.at(-1)!)];
        expect(Math.max(lo - Math.min(...xs), Math.max(...xs) - hi))
          .withContext(`${key}: ${l.id}`)
          .toBeLessThan(130);
      }
      expect(d.width / d.height)
        .withContext(`${key} lies`)
        .toBeGreaterThan(1.2);
    }
  });

  it('is seen across its whole width where its words can be read: 1040 px wide with words of 10 px', async () => {
    const most = (1040 * LABEL.sizePx) / 10;
    for (const { key, design } of DEMO_JOBS)
      expect((await drawn(diagramOf(design))).width)
        .withContext(key)
        .toBeLessThanOrEqual(most);
  });

  it('keeps a figure with its unit when words are set in lines', () => {
    expect(wrapped('house battery 100 Ah', 62)).toEqual(['house', 'battery', '100\u00a0Ah']);
    expect(wrapped('110 W of the second array', 62)).toEqual(['110\u00a0W of', 'the second', 'array']);
  });

  it('marks what is in the vehicle already: a part of the plan where it stands, the rest apart', () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    const old = {
      order: 1,
      name: 'old inverter',
      part: supplyOf(d).inverter,
      verdict: 'keep' as const,
      does: ['makes 230 V' as const],
      omitted: {},
      own: { capacityAh: null, outputA: null, watts: null },
      ageYears: 4,
      kg: null,
      mm: null,
      notes: '',
    };
    d.brief.existing = { a: old, b: { ...old, order: 2, name: 'reversing relay', part: null, does: [] }, c: { ...old, order: 3, name: 'old lamp', part: null, verdict: 'remove' } };
    const nodes = diagramOf(d).nodes.filter((n) => n.detail.includes('existing'));
    expect(nodes.map((n) => n.id).sort()).toEqual(['existing:b', 'inverter', 'starting']);
    expect(nodes.find((n) => n.id === 'existing:b')!.detail).toContain('not joined by this plan');
  });

  it('is the same for the same design', async () => {
    const d = diagramOf(DEMO_JOBS[0]!.design);
    expect(await drawn(d)).toEqual(await drawn(structuredClone(d)));
  });

  it('shows only one circuit, with its way back to the battery', () => {
    const vet = DEMO_JOBS.find((j) => j.key === 'vet')!.design;
    const runs = new Set(diagramOf(vet, { groups: null, loads: ['l1'] }).lines.flatMap((l) => l.run ?? []));
    expect([...runs].sort()).toEqual(['bus-block', 'house-bus', 'load-l1']);
    const charging = new Set(diagramOf(vet, { groups: ['charging'], loads: null }).lines.flatMap((l) => (l.kind === 'feed' && l.run ? [l.run] : [])));
    expect([...charging].sort()).toEqual(['charger-bus', 'house-bus', 'start-charger']);
  });

  it('frames what stands in another vehicle than the bars: all of it, nothing else, and the name clear of every line', async () => {
    const books = DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design;
    const d = diagramOf(books);
    expect(d.frames.map((f) => f.name)).toEqual(['tow vehicle', 'caravan']);
    const there = d.nodes.filter((n) => n.frame === d.frames[0]!.id).map((n) => n.id);
    expect(there).toContain('starting');
    expect(there).toContain('alternator');
    expect(there).not.toContain('house.1');
    const drawing = await drawn(d);
    const [frame] = drawing.frames;
    expect(drawing.frames.length).toBe(1);
    for (const n of drawing.nodes) {
      const within = n.x > frame!.x && n.x + n.w < frame!.x + frame!.w && n.y > frame!.y && n.y + n.h < frame!.y + frame!.h;
      const apart = n.x > frame!.x + frame!.w || n.x + n.w < frame!.x || n.y > frame!.y + frame!.h || n.y + n.h < frame!.y;
      expect(there.includes(n.node.id) ? within : apart)
        .withContext(n.node.id)
        .toBeTrue();
    }
    const [left, right, top, foot] = [frame!.x + 10, frame!.x + 90, frame!.y + 5, frame!.y + 18];
    for (const l of drawing.lines)
      l.points.slice(1).forEach((q, i) => {
        const p = l.points[i]!;
        expect(Math.max(p.x, q.x) > left && Math.min(p.x, q.x) < right && Math.max(p.y, q.y) > top && Math.min(p.y, q.y) < foot)
          .withContext(l.id)
          .toBeFalse();
      });
  });

  it('has no frame where everything is in one vehicle', () => {
    expect(diagramOf(DEMO_JOBS.find((j) => j.key === 'vet')!.design).frames).toEqual([]);
  });

  it('shows a return through the body as earths at both ends', () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'bees')!.design);
    d.runs['load-l2'] = { back: 'chassis' };
    expect(diagramOf(d).nodes.filter((n) => n.symbol === 'earth' && n.run === 'load-l2').length).toBe(2);
  });

  it('keeps a feed a feed and a return a return through switch, shunt and disconnect', () => {
    const of = (id: string) => diagramOf(structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design)).lines.find((l) => l.id === id)!.kind;
    expect([of('switch:link'), of('disconnect:link'), of('shunt:link'), of('bond'), of('alternator:plus')]).toEqual(['feed', 'feed', 'return', 'return', 'feed']);
  });

  it('brings the return of a wire straight off the battery to the bars, where the shunt counts it', () => {
    const van = EXAMPLE_VEHICLES.find((v) => v.key === 'van-power-unit')!;
    const line = diagramOf(van.design).lines.find((l) => l.id === 'load-diesel-heater:return')!;
    expect([line.from.node, line.to.node]).toEqual(['bus', 'load:diesel-heater']);
  });

  it('shows for one load on a switch bank all that feeds it', () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    d.groups['g'] = { order: 1, name: 'rear switches', kind: 'switch bank', fuses: 'one for all' };
    d.loads['l2']!.feed = { by: 'group', group: 'g' };
    const a = assess(d, SHIPPED_CATALOGUE);
    const one = buildDiagram({ design: d, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond }, { groups: null, loads: ['l2'] });
    expect([...new Set(one.lines.flatMap((l) => l.run ?? []))].sort()).toEqual(['bus-block', 'group-g', 'house-bus', 'load-l2']);
  });

  it('says of a run without a size that it has none', () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    d.runs['start-charger'] = { ambientC: 110 };
    expect(diagramOf(d).nodes.find((n) => n.run === 'start-charger' && n.label)!.label).toContain('no size yet');
  });

  it('stands alone as SVG, with what people typed made harmless', async () => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'bees')!.design);
    d.loads['l1']!.name = '<script> & "fridge"';
    const svg = drawingSvg(await drawn(diagramOf(d)), 'a & b');
    expect(svg).toContain('&lt;script&gt;');
    expect(svg).not.toContain('<script');
    expect(svg.startsWith('<svg xmlns="http://www.w3.org/2000/svg"')).toBeTrue();
  });
});

describe('its sheets of paper', () => {
  it('cover the drawing, and refer to one another at the same place', async () => {
    const d = await drawn(diagramOf(DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design));
    const numbers = new Map(of(DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design).runs.map((r) => [r.spec.id, r.spec.number]));
    const sheets = sheetsOf(d, 700, 600, numbers);
    expect(sheets.length).toBeGreaterThan(3);
    expect(sheets.reduce((sum, s) => sum + s.w * s.h, 0)).toBeCloseTo(d.width * d.height, 3);
    let met = 0;
    for (const s of sheets) {
      for (const r of s.references) {
        const [, name, way, number] = /^(.*?) ?(to|from) (\d+)$/.exec(r.text)!;
        const other = sheets.find((o) => o.number === Number(number))!;
        const back = other.references.find((o) => Math.abs(o.x - r.x) < 1e-6 && Math.abs(o.y - r.y) < 1e-6 && o.text === `${name} ${way === 'to' ? 'from' : 'to'} ${s.number}`.trim());
        expect(back).withContext(`${s.number}: ${r.text}`).toBeDefined();
        met++;
      }
    }
    expect(met).toBeGreaterThan(10);
  });

  it('are one where it fits', async () => {
    const d = await drawn(diagramOf(DEMO_JOBS.find((j) => j.key === 'bees')!.design));
    expect(sheetsOf(d, 3000, 3000, new Map()).map((s) => [s.number, s.references.length])).toEqual([[1, 0]]);
  });
});
