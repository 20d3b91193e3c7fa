import { Injectable, signal } from '@angular/core';
import type { AnalysisAnswers, AnalysisAsk } from './workers/answers';
import type { AnalysisReply, AnalysisRequest } from './workers/analysis.worker';

type Waiting = { readonly resolve: (value: never) => void; readonly reject: (reason: Error) => void };

/** A worker with its post: questions out, answers back by number. */
class Desk {
  private readonly worker = new Worker(new URL('./workers/analysis.worker', import.meta.url), { type: 'module' });
  private readonly waiting = new Map<number, Waiting>();
  private id = 0;

  constructor() {
    this.worker.onmessage = ({ data }: MessageEvent<AnalysisReply>) => {
      this.waiting.get(data.id)?.resolve(data.answer as never);
      this.waiting.delete(data.id);
    };
    this.worker.onerror = (event) => {
      for (const w of this.waiting.values()) w.reject(new Error(event.message));
      this.waiting.clear();
    };
  }

  ask(ask: AnalysisAsk): Promise<unknown> {
    const request: AnalysisRequest = { id: ++this.id, ask };
    return new Promise((resolve, reject) => {
      this.waiting.set(request.id, { resolve, reject });
      this.worker.postMessage(request);
    });
  }
}

/** What is asked while someone moves a slider or switch. */
const QUICK: readonly AnalysisAsk['what'][] = ['what if', 'state', 'protection', 'kept', 'joined trip', 'would change'];

/** Asks the worker about a design. What a slider asks has a worker of its own, so that it never waits behind a long answer. */
@Injectable({ providedIn: 'root' })
export class AnalysisService {
  private slow: Desk | null = null;
  private quick: Desk | null = null;
  readonly trouble = signal<string | null>(null);

  async ask<K extends AnalysisAsk['what']>(ask: Extract<AnalysisAsk, { what: K }>): Promise<AnalysisAnswers[K] | null> {
    const desk = QUICK.includes(ask.what) ? (this.quick ??= new Desk()) : (this.slow ??= new Desk());
    try {
      const answer = (await desk.ask(ask)) as AnalysisAnswers[K];
      this.trouble.set(null);
      return answer;
    } catch (error) {
      this.trouble.set(`This could not be worked out: ${(error as Error).message}`);
      return null;
    }
  }
}
