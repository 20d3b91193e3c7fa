import type { HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { inWordsOf } from './asks-server';
import { Pages } from './pages';
import { KeptAnswers } from './sync/kept-answers';
import { Shelf } from './sync/shelf';

/** What the sheets of a job ask of the server when it is opened. */
const OF_A_JOB = ['design', 'ticks', 'readings', 'photos', 'comments', 'quotes', 'reviews'] as const;

const counted = (n: number): string => (n === 1 ? '1 job' : `${n} jobs`);

/** Keeps jobs on this device before they are opened, so that they open where there is no signal. */
@Injectable({ providedIn: 'root' })
export class TakeAlong {
  private readonly kept = inject(KeptAnswers);
  private readonly shelf = inject(Shelf);
  private readonly pages = inject(Pages);
  /** How far it is; null: nothing is under way. */
  readonly progress = signal<{ readonly done: number; readonly of: number } | null>(null);
  readonly said = signal<{ readonly mark: 'holds' | 'stop'; readonly say: string } | null>(null);
  private stopped = false;

  stop(): void {
    this.stopped = true;
  }

  async take(jobs: readonly string[]): Promise<void> {
    if (this.progress()) return;
    this.stopped = false;
    this.said.set(null);
    // Else a device short of room may throw away what was kept. Where it will not promise that, it is kept all the same.
    void navigator.storage?.persist?.();
    try {
      this.progress.set({ done: 0, of: jobs.length });
      if (!(await this.pages.fetchAll())) return this.fails('not every page of the program came');
      for (const [done, job] of jobs.entries()) {
        if (this.stopped) return this.ends(done, jobs.length);
        this.progress.set({ done, of: jobs.length });
        for (const what of OF_A_JOB) await this.kept.get<unknown>(`/api/jobs/${job}/${what}`);
        // What was answered from the device was there before: nothing new is taken along.
        if (this.kept.fromDevice()) return this.fails('there is no signal');
        if (this.shelf.trouble()) return this.fails(this.shelf.trouble()!);
      }
      this.ends(jobs.length, jobs.length);
    } catch (error) {
      this.fails(inWordsOf(error as HttpErrorResponse));
    }
  }

  private ends(done: number, of: number): void {
    this.progress.set(null);
    this.said.set({ mark: 'holds', say: done < of ? `Stopped: ${counted(done)} of ${of} kept on this device.` : `${counted(of)} kept on this device, for work without signal.` });
  }

  private fails(why: string): void {
    const done = this.progress()?.done ?? 0;
    this.progress.set(null);
    this.said.set({ mark: 'stop', say: `${done ? `Only ${counted(done)} ${done === 1 ? 'was' : 'were'}` : 'Nothing was'} kept on this device: ${why}` });
  }
}
