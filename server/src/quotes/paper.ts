import type { OpenQuote } from '@meridex/contract';
import { money, type Quote, type QuoteOption } from '@meridex/core';
import type { Content, TableCell } from 'pdfmake';
import { printed } from '../paper/fonts.js';
import { headLine, headOf } from '../paper/head.js';

const INK = '#1D2629';
const MUTED = '#5A6468';
const RULE = '#D6D0C4';

/** A day as it is written on paper. @example dayOnPaper('2026-12-03') // '3 December 2026' */
export const dayOnPaper = (iso: string): string =>
  new Intl.DateTimeFormat('en-AU', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(new Date(`${iso.slice(0, 10)}T00:00:00Z`));

const LAYOUT = {
  hLineWidth: (i: number, node: { table: { body: unknown[] } }) => (i === 0 || i === node.table.body.length ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: () => RULE,
  paddingLeft: () => 0,
  paddingRight: () => 0,
};

function optionOn({ name, gives, lines, netMinor, taxMinor, totalMinor }: QuoteOption, { sign, tax, taxPercent }: Quote['money'], alone: boolean): Content {
  const row = (what: string, minor: number, bold = false): TableCell[] => [
    { text: what, bold },
    { text: money(minor / 100, sign, 2), alignment: 'right', bold },
  ];
  const taxed = taxPercent > 0 ? [row(`before ${tax || 'tax'}`, netMinor), row(`${tax || 'tax'}, ${taxPercent} %`, taxMinor)] : [];
  return {
    unbreakable: true,
    stack: [
      { text: alone ? 'What it is' : name, style: 'h2' },
      { ul: [...gives], margin: [0, 0, 0, 6] },
      { table: { widths: ['*', 'auto'], body: [...lines.map((l) => row(l.what, l.minor)), ...taxed, row('all together', totalMinor, true)] }, layout: LAYOUT },
    ],
  };
}

function answerTo({ state, accepted, until, quote }: OpenQuote<Quote>): Content[] {
  if (accepted) return [{ text: `“${accepted.option}” was accepted by ${accepted.by} on ${dayOnPaper(accepted.at)}.`, bold: true, margin: [0, 18, 0, 0] }];
  if (state !== 'open') return [{ text: state === 'withdrawn' ? 'The workshop has taken this quote back.' : `This quote stood until ${dayOnPaper(until)}.`, bold: true, margin: [0, 18, 0, 0] }];
  const which = quote.options.length > 1 ? '\n\n_______________________________\noption' : '';
  return [
    { text: `Accepted by name, until ${dayOnPaper(until)}`, style: 'h2' },
    {
      columns: [...(which ? [{ text: which }] : []), { text: '\n\n_______________________________\nname and signature' }, { text: '\n\n_______________________________\nday' }],
      fontSize: 8,
      color: MUTED,
    },
  ];
}

/** A quote as it was sent, on A4: what each option gives and costs, what is not in it, and where to sign. */
export function quotePdf(open: OpenQuote<Quote>): Promise<Buffer> {
  const { workshop, quote, at, until } = open;
  return printed({
    info: { title: `Quote for ${quote.customer}`, author: workshop.name },
    pageSize: 'A4',
    pageMargins: [56, 56, 56, 56],
    defaultStyle: { font: 'Archivo', fontSize: 10, color: INK, lineHeight: 1.2 },
    styles: { h1: { fontSize: 20, bold: true }, h2: { fontSize: 12, bold: true, margin: [0, 16, 0, 5] }, muted: { color: MUTED } },
    footer: (page: number, pages: number): Content => ({ text: `${headLine(workshop)} · page ${page} of ${pages}`, alignment: 'center', color: MUTED, fontSize: 8, margin: [0, 20, 0, 0] }),
    content: [
      ...headOf(workshop),
      { text: `Quote for ${quote.customer}`, style: 'h1' },
      { text: quote.vehicle, margin: [0, 2, 0, 0] },
      { text: `Made on ${dayOnPaper(at)} at the prices of that day, stands until ${dayOnPaper(until)}`, style: 'muted' },
      ...quote.options.map((o) => optionOn(o, quote.money, quote.options.length === 1)),
      ...(quote.notIncluded.length ? [{ text: 'Not in it', style: 'h2' } as Content, { ul: [...quote.notIncluded] } as Content] : []),
      ...answerTo(open),
      { text: 'Made from the plan of the vehicle. What the makers, the local rules in force and a licensed electrician ask for comes before it.', style: 'muted', fontSize: 8, margin: [0, 16, 0, 0] },
    ],
  });
}
