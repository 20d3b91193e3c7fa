/// <reference lib="webworker" />
import { answerAnalysis, type AnalysisAnswers, type AnalysisAsk } from './answers';

export interface AnalysisRequest {
  readonly id: number;
  readonly ask: AnalysisAsk;
}

export interface AnalysisReply {
  readonly id: number;
  readonly answer: AnalysisAnswers[AnalysisAsk['what']];
}

addEventListener('message', ({ data }: MessageEvent<AnalysisRequest>) => postMessage({ id: data.id, answer: answerAnalysis(data.ask) } satisfies AnalysisReply));
