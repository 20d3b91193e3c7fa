import { labelPages, labelSvg, type Label, type LabelLink, type LabelSheet } from '@meridex/core';
import { PAPERS, PT_PER_MM } from '../drill/paper.js';
import { printed } from '../paper/fonts.js';

/** Labels on their sheets at full size; `first`: the first label that is left on a sheet that was begun. */
export function labelsPdf(title: string, labels: readonly Label[], sheet: LabelSheet, first: number, link: LabelLink | null): Promise<Buffer> {
  const pages = labelPages(labels, sheet, first, link).map(labelSvg);
  return printed({
    info: { title },
    pageSize: 'A4',
    pageMargins: 0,
    defaultStyle: { font: 'Archivo' },
    content: pages.map((svg, i) => ({
      svg,
      width: PAPERS.A4.w * PT_PER_MM,
      height: PAPERS.A4.h * PT_PER_MM,
      absolutePosition: { x: 0, y: 0 },
      ...(i < pages.length - 1 ? { pageBreak: 'after' as const } : {}),
    })),
  });
}
