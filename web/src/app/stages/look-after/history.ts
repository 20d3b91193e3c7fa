import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, resource, signal, untracked } from '@angular/core';
import type { HistoryEntry } from '@meridex/contract';
import { AnalysisService } from '../../data/analysis.service';
import { DesignService, type Past } from '../../data/design.service';
import { JobsService } from '../../data/jobs.service';
import { KeptAnswers } from '../../data/sync/kept-answers';

const AT_ONCE = 100;
/** Values shown of a large change before the rest is asked for. */
const FIRST = 20;
const WORD: Readonly<Record<string, string>> = { brief: 'brief', loads: 'loads', supply: 'supply', places: 'places', runs: 'runs', accepted: 'checks', settings: 'settings' };

/** Every change that was kept: who made it, what it changed and what that did; looked at, compared, brought back. */
@Component({
  selector: 'mx-history',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './history.html',
  styleUrl: './history.less',
})
export class HistorySheet {
  protected readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  private readonly jobs = inject(JobsService);
  private readonly kept = inject(KeptAnswers);
  protected readonly lines = signal<readonly HistoryEntry[]>([]);
  protected readonly more = signal(false);
  protected readonly says = signal<string | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly chosen = signal<number | null>(null);
  protected readonly toNow = signal(false);
  protected readonly all = signal(false);
  private readonly revision = resource({
    params: () => ({ jobId: this.designs.jobId(), number: this.chosen() }),
    loader: ({ params }) => this.read(params.jobId, params.number),
  });
  private readonly compared = resource({
    params: () => ({ jobId: this.designs.jobId(), number: this.chosen(), now: this.toNow() ? this.designs.job() : null }),
    loader: async ({ params: { jobId, number, now } }) => {
      const [one, before] = await Promise.all([this.read(jobId, number), now ? null : this.read(jobId, number === null ? null : number - 1)]);
      if (!one || (!now && !before)) return null;
      return this.analysis.ask({ what: 'difference', before: now ? one.design : before!.design, after: now ?? one.design, vehicle: this.designs.vehicle() });
    },
  });
  protected readonly chosenRevision = computed(() => (this.revision.hasValue() ? this.revision.value() : null));
  protected readonly difference = computed(() => (this.compared.hasValue() && !this.compared.isLoading() ? this.compared.value() : null));
  protected readonly comparing = computed(() => (this.compared.error() ? 'The server does not answer, and this revision was not read on this device before.' : null));
  protected readonly shown = computed(() => {
    const changed = this.difference()?.changed ?? [];
    return this.all() ? changed : changed.slice(0, FIRST);
  });
  protected readonly moved = computed(() => (this.difference()?.figures ?? []).filter((f) => f.from !== f.to));

  constructor() {
    effect(() => {
      const jobId = this.designs.jobId();
      if (jobId && this.designs.revision()) untracked(() => this.readLines(jobId));
    });
  }

  protected choose(number: number): void {
    this.all.set(false);
    this.refused.set(null);
    this.chosen.set(number);
  }

  protected what(h: HistoryEntry): string {
    if (h.label) return h.label;
    if (h.number === 1) return 'job opened';
    const words = new Set(h.paths.map((p) => WORD[p.split('/')[1] ?? ''] ?? p));
    return `${[...words].join(', ')}: ${h.paths.length} ${h.paths.length === 1 ? 'change' : 'changes'}`;
  }

  protected older(): void {
    const jobId = this.designs.jobId();
    const last = this.lines().at(-1)?.number;
    if (!jobId || last === undefined) return;
    this.jobs.history(jobId, last).subscribe({
      next: (h) => {
        this.lines.update((l) => [...l, ...h]);
        this.more.set(h.length === AT_ONCE);
      },
      error: () => this.says.set('The server does not answer.'),
    });
  }

  protected bringBack(past: Past): void {
    this.refused.set(this.designs.bringBack(past));
  }

  private readLines(jobId: string): void {
    this.jobs.history(jobId).subscribe({
      next: (h) => {
        this.lines.set(h);
        this.more.set(h.length === AT_ONCE);
        if (this.chosen() === null) this.chosen.set(h[0]?.number ?? null);
      },
      error: () => this.says.set('The history could not be read: the server does not answer.'),
    });
  }

  private read(jobId: string | null, number: number | null): Promise<Past | null> {
    return jobId && number ? this.kept.get<Past>(`/api/jobs/${jobId}/revisions/${number}`) : Promise.resolve(null);
  }
}
