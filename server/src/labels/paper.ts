import { labelPages, labelSvg, type Label, type LabelSheet } from '@meridex/core';
import { printed } from '../paper/fonts.js';

const PT_PER_MM = 72 / 25.4;
const PAGE_MM = { w: 210, h: 297 } as const;

/** Labels on their sheets at full size; `first`: the first label that is left on a sheet that was begun. */
export function labelsPdf(title: string, labels: readonly Label[], sheet: LabelSheet, first: number): Promise<Buffer> {
  const pages = labelPages(labels, sheet, first).map(labelSvg);
  return printed({
    info: { title },
    pageSize: 'A4',
    pageMargins: 0,
    defaultStyle: { font: 'Archivo' },
    content: pages.map((svg, i) => ({
      svg,
      width: PAGE_MM.w * PT_PER_MM,
      height: PAGE_MM.h * PT_PER_MM,
      absolutePosition: { x: 0, y: 0 },
      ...(i < pages.length - 1 ? { pageBreak: 'after' as const } : {}),
    })),
  });
}
