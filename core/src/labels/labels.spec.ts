import fc from 'fast-check';
import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { labelsCsv } from '../formats/index.js';
import { A4_MM, LABEL_SHEET_IDS, LABEL_SHEETS, labelPages, labelsOf, labelSvg, placesOn, type Label } from './index.js';

const of = (key: string): { readonly a: ReturnType<typeof assess>; readonly labels: readonly Label[] } => {
  const { design } = DEMO_JOBS.find((j) => j.key === key)!;
  const a = assess(design, SHIPPED_CATALOGUE);
  return { a, labels: labelsOf(design, SHIPPED_CATALOGUE, a) };
};

describe('the labels of a vehicle', () => {
  for (const { key } of DEMO_JOBS)
    it(`${key}: every core has one at both ends, every fuse one, every thin lead two, each told from the others`, () => {
      const { a, labels } = of(key);
      expect(new Set(labels.map((l) => l.key)).size).toBe(labels.length);
      for (const r of a.runs) {
        if (!r.ok || r.spec.existing) continue;
        const cores = (r.spec.back === 'cable' ? 2 : 1) * r.figures.perPole;
        expect(labels.filter((l) => l.kind === 'cable' && l.key.startsWith(`${r.spec.id} `)).length)
          .withContext(r.spec.name)
          .toBe(2 * cores);
        expect(labels.filter((l) => l.kind === 'fuse' && l.key.startsWith(`fuse ${r.spec.id} `)).length).toBe(r.spec.ends.length);
      }
      expect(labels.filter((l) => l.kind === 'thin lead').length).toBe(2 * a.layout.leads.length);
      for (const l of labels) expect(l.lines.length).toBeLessThanOrEqual(3);
    });

  it('warn of what stays live, of the sun, and of 230 V where there is any', () => {
    const marks = (key: string): string[] => of(key).labels.flatMap((l) => (l.kind === 'caution' ? [l.mark] : []));
    expect(marks('bookmobile')).toEqual(jasmine.arrayContaining(['LIVE', 'SUN', '230 V']));
    expect(marks('bees')).toContain('LIVE');
    expect(marks('bees')).not.toContain('230 V');
    // Two in series are one capacity at twice the volts.
    const cinema = of('cinema');
    expect(marks('cinema')).toContain(`${cinema.a.supply.bank!.capacityAh} Ah`);
    expect(cinema.labels.find((l) => l.key === 'bank house')!.lines[0]).toContain(`${cinema.a.supply.bank!.nominalV} V`);
  });

  it('come as CSV, one a row, with what would be a formula disarmed', () => {
    const { labels } = of('vet');
    const rows = labelsCsv(labels).trimEnd().split('\r\n');
    expect(rows.length).toBe(labels.length + 1);
    expect(rows[1]).toContain(labels[0]!.mark);
    expect(labelsCsv(labels, (run) => `https://bench/${run}`).split('\r\n')[0]).toBe('kind,mark,line 1,line 2,line 3,opens');
    expect(labelsCsv(labels, (run) => `https://bench/${run}`)).toContain(`https://bench/${labels[0]!.run}`);
    expect(labelsCsv([{ key: 'x', kind: 'switch', mark: '=1+1', lines: [] }])).toContain("'=1+1");
  });
});

describe('labels on sheets', () => {
  for (const id of LABEL_SHEET_IDS)
    it(`${LABEL_SHEETS[id].name}: none lies on another or over the edge, on a sheet that was begun too`, () => {
      const s = LABEL_SHEETS[id];
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: s.across * s.down }), (count, first) => {
          const places = placesOn(s, count, first);
          expect(places.length).toBe(count);
          expect(places.at(-1)!.page).toBe(Math.ceil((count + first - 1) / (s.across * s.down)) - 1);
          for (const p of places) {
            expect(p.xMm >= 0 && p.yMm >= 0 && p.xMm + s.wMm <= A4_MM.w + 1e-9 && p.yMm + s.hMm <= A4_MM.h + 1e-9).toBeTrue();
          }
          const corners = new Set(places.map((p) => `${p.page} ${p.xMm.toFixed(3)} ${p.yMm.toFixed(3)}`));
          expect(corners.size).toBe(count);
        }),
        { numRuns: 40 },
      );
    });
});

describe('labels drawn', () => {
  const text: Label = {
    key: 'k',
    kind: 'cable',
    mark: '12+',
    lines: ['to <the> “fridge” & freezer with a name that never comes to an end, as some people give them', '6 mm² red', 'here: fuse block'],
  };

  it('stay within their label: letters shrink to what is read, and end in an ellipsis below that', () => {
    for (const id of LABEL_SHEET_IDS) {
      const s = LABEL_SHEETS[id];
      const [page] = labelPages([text], s);
      expect(Math.min(...page!.texts.map((t) => t.sizeMm))).toBeGreaterThanOrEqual(1.7);
      expect(page!.texts[1]!.text).toMatch(/…$/);
      for (const t of page!.texts) expect(t.xMm > s.leftMm && t.xMm + 0.4 * t.sizeMm * t.text.length < s.leftMm + s.wMm && t.yMm > s.topMm && t.yMm < s.topMm + s.hMm).toBeTrue();
    }
  });
  it('escape what people type, and go on over pages from where a sheet was begun', () => {
    const pages = labelPages([text, text], LABEL_SHEETS.large, 24);
    expect(pages.map((p) => p.edges.length)).toEqual([1, 1]);
    for (const p of pages) expect(labelSvg(p)).toContain('to &lt;the&gt;');
  });
});
