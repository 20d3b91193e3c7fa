import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { Review } from '@meridex/contract';
import { firstValueFrom } from 'rxjs';
import { AsksServer, inWordsOf } from './asks-server';
import { DesignService } from './design.service';
import { KeptAnswers } from './sync/kept-answers';

/** Who looked the open job's plan through, as it was at which revision. */
@Injectable({ providedIn: 'root' })
export class ReviewService extends AsksServer {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  private readonly designs = inject(DesignService);
  /** The newest first. */
  readonly given = signal<readonly Review[]>([]);
  private readonly asked = signal(false);

  constructor() {
    super();
    effect(() => {
      this.designs.jobId();
      const asked = this.asked();
      untracked(() => {
        this.given.set([]);
        if (asked) void this.readAgain();
      });
    });
  }

  /** Begins to read them, from the first time that they are looked at. */
  open(): void {
    this.asked.set(true);
  }

  async readAgain(): Promise<void> {
    const jobId = this.designs.jobId();
    if (!jobId || !this.asked()) return;
    try {
      const list = await this.kept.get<Review[]>(`/api/jobs/${jobId}/reviews`);
      if (this.designs.jobId() === jobId) this.given.set(list);
    } catch (error) {
      this.trouble.set(`The reviews could not be read: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }

  /** Marks the plan as it is kept now; true once it is. */
  async give(note: string): Promise<boolean> {
    this.trouble.set(null);
    try {
      await firstValueFrom(this.http.post(`/api/jobs/${this.designs.jobId()}/reviews`, { id: crypto.randomUUID(), revision: this.designs.revision(), note }));
      await this.readAgain();
      return true;
    } catch (error) {
      this.trouble.set(`The plan is not marked: ${inWordsOf(error as HttpErrorResponse)}`);
      return false;
    }
  }
}
