import type { Workshop } from '@meridex/contract';
import type { Pack, PackTable } from '@meridex/core';
import type { Content, TableCell } from 'pdfmake';
import { type PackPicture, picturesOnPaper } from './pictures.js';
import { printed } from '../paper/fonts.js';
import { headOf } from '../paper/head.js';

const INK = '#1D2629';
const MUTED = '#5A6468';
const STOP = '#A8123A';
const RULE = '#D6D0C4';

/** The embedded face has no arrows or marks; they are spelt out on paper. */
const spelt = (text: string): string => text.replace(/→/g, 'to').replace(/Ω/g, 'ohm');

function tableOf(t: PackTable): Content {
  const cell = (text: string, column: number, head: boolean): TableCell => ({
    text: spelt(text),
    alignment: t.right.includes(column) ? 'right' : 'left',
    bold: head,
    color: head ? MUTED : INK,
  });
  const body = t.rows.length ? t.rows.map((r) => r.map((c, i) => cell(c, i, false))) : [[{ text: 'none', colSpan: t.headings.length, color: MUTED }, ...t.headings.slice(1).map(() => '')]];
  const widest = t.headings.findIndex((h) => h === 'Run' || h === 'Where' || h === 'Load');
  return [
    { text: t.title, style: 'h2' },
    {
      table: { headerRows: 1, widths: t.headings.map((_, i) => (i === widest ? '*' : 'auto')), body: [t.headings.map((h, i) => cell(h, i, true)), ...body] },
      layout: { hLineWidth: () => 0.5, vLineWidth: () => 0, hLineColor: () => RULE, paddingTop: () => 3, paddingBottom: () => 3, paddingLeft: (i: number) => (i === 0 ? 0 : 5), paddingRight: () => 5 },
    },
  ];
}

const list = (title: string, items: readonly string[]): Content[] => (items.length ? [{ text: title, style: 'h2' }, { ul: items.map(spelt) }] : []);

/** Sets the hand-over pack on A4. */
export function packPdf(pack: Pack, from: Workshop, revision: number, day: string, pictures: readonly PackPicture[] = []): Promise<Buffer> {
  const workshop = from.name;
  return printed({
    info: { title: `${pack.title}, hand-over pack`, author: workshop },
    pageSize: 'A4',
    pageMargins: [48, 56, 48, 56],
    defaultStyle: { font: 'Archivo', fontSize: 9, color: INK, lineHeight: 1.15 },
    styles: { h1: { fontSize: 20, bold: true }, h2: { fontSize: 12, bold: true, margin: [0, 16, 0, 5] }, muted: { color: MUTED } },
    footer: (page: number, pages: number): Content => ({
      text: `${workshop} · revision ${revision} · ${day} · page ${page} of ${pages}`,
      alignment: 'center',
      color: MUTED,
      fontSize: 8,
      margin: [0, 20, 0, 0],
    }),
    content: [
      ...headOf(from),
      { text: pack.title, style: 'h1' },
      { text: `${pack.vehicle} · hand-over pack of ${day}`, style: 'muted', margin: [0, 2, 0, 12] },
      { table: { widths: [170, '*'], body: pack.summary.map(([k, v]) => [{ text: k, color: MUTED }, { text: spelt(v) }]) }, layout: 'noBorders' },
      ...(pack.gaps.length ? [{ text: 'Not final', style: 'h2', color: STOP } as Content, { ul: pack.gaps.map(spelt), color: STOP } as Content] : []),
      ...list('Cautions', pack.cautions),
      ...pack.tables.map(tableOf),
      ...list('Still open', pack.openFindings),
      ...list('Accepted, with name and reason', pack.accepted),
      ...picturesOnPaper(pictures.map((p) => ({ ...p, says: spelt(p.says) }))),
      { text: 'Signed', style: 'h2' },
      {
        columns: [
          { text: '\n\n_______________________________\nfitted and proved by' },
          { text: '\n\n_______________________________\n230 V side, licensed electrician' },
          { text: '\n\n_______________________________\nreceived by' },
        ],
        fontSize: 8,
        color: MUTED,
      },
    ],
  });
}
