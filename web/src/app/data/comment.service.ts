import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Comment } from '@meridex/contract';
import { recordKey } from '@meridex/core';
import { firstValueFrom } from 'rxjs';
import type { CommentEntry, Entry } from './sync/entry';
import { inWordsOf } from './asks-server';
import { JobList } from './job-list';

/** A comment as it is shown. */
export interface ShownComment extends Comment {
  /** It is still on this device alone. */
  readonly toSend: boolean;
}

/** What people say of the open job and of things in it. */
@Injectable({ providedIn: 'root' })
export class CommentService extends JobList<Comment, ShownComment> {
  private readonly http = inject(HttpClient);

  /** What was begun and not said yet, by what it is about: looking elsewhere loses none of it. */
  readonly begun = signal<ReadonlyMap<string, string>>(new Map());

  constructor() {
    super('comment', 'comments', 'comments');
  }

  protected asKept(c: Comment): ShownComment {
    return { ...c, toSend: false };
  }

  protected asUnsent(entry: Entry): ShownComment {
    return { ...(entry as CommentEntry).body, author: '', at: new Date(entry.at).toISOString(), settledBy: null, toSend: true };
  }

  begin(about: string, text: string): void {
    this.begun.update((all) => new Map(all).set(about, text));
  }

  say(about: string, text: string): void {
    const jobId = this.designs.jobId();
    if (jobId) this.sync.comment(jobId, { about: recordKey(this.designs.vehicle(), about), text });
  }

  /** Says that something is done with, or is not after all. */
  async settle(id: string, settled: boolean): Promise<void> {
    this.trouble.set(null);
    try {
      await firstValueFrom(this.http.patch(`/api/comments/${id}`, { settled }));
      await this.readAgain();
    } catch (error) {
      this.trouble.set(`The comment stays as it is: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }
}
