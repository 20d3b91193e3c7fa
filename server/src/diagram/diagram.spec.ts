import { assess, DEMO_JOBS, SHIPPED_CATALOGUE, type Design } from '@meridex/core';
import { drawDiagram } from './draw.js';
import { diagramPdf } from './paper.js';
import { drawnIn } from '../testing/pdf.js';

const demo = (key: string) => DEMO_JOBS.find((j) => j.key === key)!.design;

describe('the line diagram on paper', () => {
  async function pdfOf(key: string, change: (d: Design) => void = () => undefined) {
    const design = structuredClone(demo(key));
    change(design);
    const { drawing } = await drawDiagram(design);
    const numbers = new Map(assess(design, SHIPPED_CATALOGUE).runs.map((r) => [r.spec.id, r.spec.number]));
    return { drawing, pdf: await diagramPdf(drawing, numbers, 'spec') };
  }

  it('is one lying sheet for a small job, with every line of the drawing on it', async () => {
    const { drawing, pdf } = await pdfOf('bees');
    const paths = drawnIn(pdf);
    expect(new Set(paths.map((p) => p.sheet)).size).toBe(1);
    expect(paths.length).toBeGreaterThanOrEqual(drawing.lines.length + drawing.nodes.length);
    for (const p of paths) for (const { x, y } of p.points) expect(x >= -1 && x <= 298 && y >= -1 && y <= 211).toBeTrue();
  });

  for (const key of DEMO_JOBS.map((j) => j.key))
    it(`${key}: is whole on one sheet, A3 where A4 is too small to be read`, async () => {
      const { pdf, drawing } = await pdfOf(key);
      const paths = drawnIn(pdf);
      const a3 = Math.min(1110 / drawing.width, 750 / drawing.height) > 0.54 && (761 / drawing.width < 0.54 || 511 / drawing.height < 0.54);
      expect(new Set(paths.map((p) => p.sheet)).size).toBe(1);
      expect(pdf.toString('latin1').includes('1190.55')).toBe(a3);
      for (const p of paths) for (const { x, y } of p.points) expect(x >= -1 && x <= (a3 ? 421 : 298) && y >= -1 && y <= (a3 ? 298 : 211)).toBeTrue();
    });

  it('goes on to more sheets where one is too small', async () => {
    const { pdf } = await pdfOf('bookmobile', (d) => {
      const [load] = Object.values(d.loads).filter((l) => l.supply === 'dc');
      for (let i = 0; i < 14; i++) d.loads[`more-${i}`] = { ...load!, order: 50 + i, name: `light ${i}` };
    });
    expect(new Set(drawnIn(pdf).map((p) => p.sheet)).size).toBeGreaterThan(1);
  });
});
