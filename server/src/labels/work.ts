import { assess, catalogueOf, LABEL_SHEETS, labelLink, labelsOf, type LabelSheetId } from '@meridex/core';
import type { ToDraw } from '../drill/asked.js';
import { labelsPdf } from './paper.js';

export interface LabelsAsked {
  readonly draw: ToDraw;
  readonly sheet: LabelSheetId;
  /** The first label that is left on the sheet. */
  readonly first: number;
  /** Where the code on each label leads: the server as its people reach it, and the job; null: no codes. */
  readonly codes: { readonly origin: string; readonly jobId: string; readonly vehicle: string } | null;
}

/** The labels of a vehicle as a file. */
export default function labelsFile({ draw: { design, of, revision }, sheet, first, codes }: LabelsAsked): Promise<Uint8Array> {
  const labels = labelsOf(design, catalogueOf(design), assess(design, catalogueOf(design)));
  return labelsPdf(`Labels · ${of}, ${revision}`, labels, LABEL_SHEETS[sheet], first, codes && labelLink(codes.origin, codes.jobId, codes.vehicle));
}
