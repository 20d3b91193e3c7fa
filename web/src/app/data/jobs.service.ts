import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { HistoryEntry, NewJob, SettleJob } from '@meridex/contract';
import type { Progress, Stage } from '@meridex/core';
import { from, type Observable } from 'rxjs';
import { KeptAnswers } from './sync/kept-answers';

export interface JobLine {
  readonly id: string;
  readonly customer: string;
  readonly vehicle: string;
  readonly plate: string;
  readonly promisedOn: string | null;
  readonly state: string;
  readonly note: string;
  /** Of the customer; empty: nobody has said it. */
  readonly phone: string;
  readonly stages: readonly Progress[];
  readonly hold: { readonly mark: 'stop' | 'look' | 'holds' | 'waits'; readonly say: string };
  readonly next: { readonly stage: Stage; readonly say: string };
  /** Work left, and whether a licensed electrician is wanted for it. */
  readonly minutes: number;
  readonly licensed: boolean;
  /** The day by which what is ordered for it should be here; null: nothing is on its way. */
  readonly partsBy: string | null;
}

export interface Bay {
  readonly lines: readonly JobLine[];
  readonly buy: readonly { readonly what: string; readonly quantity: number; readonly unit: string }[];
  readonly care: readonly { readonly id: string; readonly customer: string; readonly on: string | null; readonly what: string }[];
  readonly deleted: readonly { readonly id: string; readonly customer: string }[];
  /** Lines that are still being worked out: ask again. */
  readonly pending: number;
}

/** The bay sheet and what else the server knows of jobs as a whole. */
@Injectable({ providedIn: 'root' })
export class JobsService {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);

  all(): Observable<Bay> {
    return from(this.kept.get<Bay>('/api/jobs'));
  }

  create(job: NewJob): Observable<{ readonly id: string }> {
    return this.http.post<{ id: string }>('/api/jobs', job);
  }

  /** All that is kept of a job, as the text of a job file. */
  async file(jobId: string): Promise<string> {
    const of = `/api/jobs/${jobId}`;
    const [{ design, number }, ticks, readings] = await Promise.all([
      this.kept.get<{ readonly design: unknown; readonly number: number }>(`${of}/design`),
      this.kept.get<unknown>(`${of}/ticks`),
      this.kept.get<unknown>(`${of}/readings`),
    ]);
    return JSON.stringify({ design, revision: number, ticks, readings }, null, 2);
  }

  settle(jobId: string, change: SettleJob): Observable<null> {
    return this.http.patch<null>(`/api/jobs/${jobId}`, change);
  }

  /** Who changed what, newest first, a hundred at a time: those before a revision, or the newest. */
  history(jobId: string, before?: number): Observable<HistoryEntry[]> {
    return this.http.get<HistoryEntry[]>(`/api/jobs/${jobId}/history${before === undefined ? '' : `?before=${before}`}`);
  }
}
