import { assess, DEMO_JOBS, SHIPPED_CATALOGUE } from '@meridex/core';
import { drawDiagram } from './draw.js';
import { diagramPdf } from './paper.js';
import { drawnIn } from '../testing/pdf.js';

const demo = (key: string) => DEMO_JOBS.find((j) => j.key === key)!.design;

describe('the line diagram on paper', () => {
  async function pdfOf(key: string) {
    const design = demo(key);
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

  it('goes on to more sheets where one is too small', async () => {
    const { pdf } = await pdfOf('bookmobile');
    expect(new Set(drawnIn(pdf).map((p) => p.sheet)).size).toBeGreaterThan(1);
  });
});
