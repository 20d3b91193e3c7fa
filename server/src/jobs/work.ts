import { readDesign } from '@meridex/core';
import { type JobSummary, summaryOf, unreadable } from './summary.js';

/** A job as its summary is worked out from: what is kept of it, not yet read. */
export interface SummaryAsked {
  readonly job: { readonly state: string; readonly note: string };
  readonly customer: string;
  readonly document: unknown;
  readonly ticked: ReadonlySet<string>;
  readonly read: ReadonlySet<string>;
}

/** What lists say of a job. A document that cannot be read is said to be so. */
export default function summary({ job, customer, document, ticked, read }: SummaryAsked): JobSummary {
  const design = readDesign(document);
  return design.ok ? summaryOf(job, design.design, { ticked, read, state: job.state }) : unreadable(customer, `Its document cannot be read by this Meridex: ${design.message}`);
}
