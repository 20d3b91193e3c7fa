/// <reference lib="webworker" />
import { answerOutlook, type OutlookAnswers, type OutlookAsk } from './answers';

export interface OutlookRequest {
  readonly id: number;
  readonly ask: OutlookAsk;
}

export interface OutlookReply {
  readonly id: number;
  readonly answer: OutlookAnswers[OutlookAsk['what']];
}

addEventListener('message', ({ data }: MessageEvent<OutlookRequest>) => postMessage({ id: data.id, answer: answerOutlook(data.ask) } satisfies OutlookReply));
