/// <reference lib="webworker" />
import { assessIn, type Assessment, type Design, catalogueOf, Session } from '@meridex/core';

export interface AssessRequest {
  readonly id: number;
  readonly job: Design;
  /** The vehicle of the job that is looked at. */
  readonly vehicle: string;
  readonly readings: Readonly<Record<string, number>>;
}

export interface AssessReply {
  readonly id: number;
  readonly assessment: Assessment;
}

/** The jobs of one page, pass after pass. */
const session = new Session();

addEventListener('message', ({ data }: MessageEvent<AssessRequest>) => {
  const assessment = assessIn(data.job, data.vehicle, catalogueOf(data.job), { readings: data.readings, session });
  postMessage({ id: data.id, assessment } satisfies AssessReply);
});
