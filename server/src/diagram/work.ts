import { drawingSvg, type Design } from '@meridex/core';
import { drawDiagram } from './draw.js';
import { diagramPdf } from './paper.js';

export interface DiagramAsked {
  readonly design: Design;
  readonly words: string;
  readonly as: 'pdf' | 'svg';
}

/** A line diagram as a file. */
export default async function diagramFile({ design, words, as }: DiagramAsked): Promise<Uint8Array | string> {
  const { drawing, assessment } = await drawDiagram(design);
  if (as === 'svg') return drawingSvg(drawing, words);
  const numbers = new Map([...assessment.runs.map((r) => r.spec), ...assessment.layout.leads].map((s) => [s.id, s.number]));
  return diagramPdf(drawing, numbers, words);
}
