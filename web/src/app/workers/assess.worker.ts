/// <reference lib="webworker" />
import { assess, type Assessment, type Design, catalogueOf } from '@meridex/core';

export interface AssessRequest {
  readonly id: number;
  readonly design: Design;
  readonly readings: Readonly<Record<string, number>>;
}

export interface AssessReply {
  readonly id: number;
  readonly assessment: Assessment;
}

addEventListener('message', ({ data }: MessageEvent<AssessRequest>) => {
  const assessment = assess(data.design, catalogueOf(data.design), { readings: data.readings });
  postMessage({ id: data.id, assessment } satisfies AssessReply);
});
