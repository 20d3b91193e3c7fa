import type { HttpErrorResponse } from '@angular/common/http';
import { computed, inject, signal } from '@angular/core';
import { recordsOf } from '@meridex/core';
import type { Entry } from './sync/entry';
import { KeptAnswers } from './sync/kept-answers';
import { SyncService } from './sync/sync.service';
import { inWordsOf } from './asks-server';
import { DesignService } from './design.service';

/** What people put beside the open job, each about something in it: read anew as others add to it, with what this device still has to send. */
export abstract class JobList<Kept extends { readonly id: string }, Shown extends { readonly about: string }> {
  private readonly kept = inject(KeptAnswers);
  protected readonly sync = inject(SyncService);
  protected readonly designs = inject(DesignService);
  protected readonly known = signal<readonly Kept[]>([]);
  private opened: string | null = null;
  readonly trouble = signal<string | null>(null);

  /** Of the whole job, oldest first. */
  readonly all = computed((): readonly Shown[] => {
    const there = new Set(this.known().map((k) => k.id));
    const mine = this.sync.ofJob(this.designs.jobId() ?? '').filter((e) => e.kind === this.kind && !there.has(e.id));
    return [...this.known().map((k) => this.asKept(k)), ...mine.map((e) => this.asUnsent(e))];
  });
  /** Of the vehicle that is looked at, by what they are about. */
  readonly byAbout = computed(() => {
    const keyed: Record<string, readonly Shown[]> = {};
    for (const s of this.all()) keyed[s.about] = [...(keyed[s.about] ?? []), s];
    return new Map(Object.entries(recordsOf(this.designs.vehicle(), keyed)));
  });

  /** `path` ends the list’s address; `what` is it in words. */
  protected constructor(
    private readonly kind: Entry['kind'],
    private readonly path: string,
    private readonly what: string,
  ) {
    this.kept.back$.subscribe(() => void this.readAgain());
    this.sync.events$.subscribe(({ what: happened, entry }) => {
      if (happened === 'kept' && entry.kind === kind && entry.jobId === this.opened) void this.readAgain();
    });
  }

  protected abstract asKept(kept: Kept): Shown;
  protected abstract asUnsent(entry: Entry): Shown;

  async open(jobId: string): Promise<void> {
    if (this.opened === jobId) return;
    this.opened = jobId;
    this.known.set([]);
    await this.readAgain();
  }

  async readAgain(): Promise<void> {
    const jobId = this.opened;
    if (!jobId) return;
    try {
      const list = await this.kept.get<Kept[]>(`/api/jobs/${jobId}/${this.path}`);
      if (this.opened === jobId) this.known.set(list);
    } catch (error) {
      this.trouble.set(`The ${this.what} could not be read: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }
}
