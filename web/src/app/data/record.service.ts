import { computed, inject, Injectable, signal } from '@angular/core';
import { recordKey, recordsOf } from '@meridex/core';
import { BehaviorSubject, map } from 'rxjs';
import { KeptAnswers } from './sync/kept-answers';
import type { Entry, ReadingEntry, TickEntry } from './sync/entry';
import { SyncService } from './sync/sync.service';
import { DesignService } from './design.service';

export interface Tick {
  readonly id: string;
  readonly stepId: string;
  readonly done: boolean;
  readonly author?: string;
  readonly at?: string;
}

export interface Reading {
  readonly id: string;
  readonly rowId: string;
  readonly value: number;
  readonly unit: string;
  readonly revision: number;
  readonly author?: string;
  readonly at?: string;
}

const isTick = (e: Entry): e is TickEntry => e.kind === 'tick';
const isReading = (e: Entry): e is ReadingEntry => e.kind === 'reading';

/** Ticks and readings of the open job: added to, never changed, shown at once and sent by the sync service. */
@Injectable({ providedIn: 'root' })
export class RecordService {
  private readonly kept = inject(KeptAnswers);
  private readonly designs = inject(DesignService);
  private readonly sync = inject(SyncService);
  private readonly readingList = new BehaviorSubject<readonly Reading[]>([]);
  private opened: string | null = null;
  /** What the server said of the open job when it was last asked. */
  private known: { readonly ticks: readonly Tick[]; readonly readings: readonly Reading[] } = { ticks: [], readings: [] };

  /** Of all vehicles of the job, by the keys of its record. */
  private readonly allTicked = signal<ReadonlySet<string>>(new Set());
  private readonly allReadings = signal<ReadonlyMap<string, Reading>>(new Map());
  /** Of the vehicle that is looked at. */
  readonly ticked = computed<ReadonlySet<string>>(() => new Set(Object.keys(recordsOf(this.designs.vehicle(), Object.fromEntries([...this.allTicked()].map((id) => [id, true]))))));
  readonly readings = computed<ReadonlyMap<string, Reading>>(() => new Map(Object.entries(recordsOf(this.designs.vehicle(), Object.fromEntries(this.allReadings())))));
  /** Of the open job. */
  readonly toSend = computed(() => this.sync.ofJob(this.designs.jobId() ?? '').filter((e) => e.kind !== 'edit').length);
  /** Latest value by row. */
  readonly values$ = this.readingList.pipe(map((list) => Object.fromEntries(list.map((r) => [r.rowId, r.value]))));

  constructor() {
    // What the server would not take is no longer shown as done; it stands in the bar above, with the reason.
    this.sync.events$.subscribe(({ what, entry }) => {
      if (entry.kind === 'edit' || entry.jobId !== this.opened || (what !== 'refused' && what !== 'taken over')) return;
      this.readAgain();
    });
    this.kept.back$.subscribe(() => this.readAgain());
  }

  /** Where it cannot be read again what is shown stays: it is what was known, with what is still to be sent. */
  readAgain(): void {
    const jobId = this.opened;
    if (jobId) void this.load(jobId).catch(() => this.showUnsent(jobId));
  }

  async open(jobId: string): Promise<void> {
    if (this.opened === jobId) return;
    this.opened = jobId;
    this.show([], []);
    await this.load(jobId).catch((error: unknown) => {
      // Opened again, it is asked again.
      this.opened = null;
      throw error;
    });
  }

  private async load(jobId: string): Promise<void> {
    const [ticks, readings] = await this.fetch(jobId);
    if (this.opened !== jobId) return;
    this.known = { ticks, readings };
    this.showUnsent(jobId);
  }

  private showUnsent(jobId: string): void {
    const mine = this.sync.ofJob(jobId);
    this.show([...this.known.ticks, ...mine.filter(isTick).map((e) => e.body)], [...this.known.readings, ...mine.filter(isReading).map((e) => e.body)]);
  }

  private show(ticks: readonly Tick[], readings: readonly Reading[]): void {
    const done = new Set<string>();
    for (const t of ticks) {
      if (t.done) done.add(t.stepId);
      else done.delete(t.stepId);
    }
    this.allTicked.set(done);
    this.setReadings(readings);
  }

  private fetch(jobId: string): Promise<[Tick[], Reading[]]> {
    return Promise.all([this.kept.get<Tick[]>(`/api/jobs/${jobId}/ticks`), this.kept.get<Reading[]>(`/api/jobs/${jobId}/readings`)]);
  }

  tick(step: string, done: boolean): void {
    const jobId = this.designs.jobId();
    if (!jobId) return;
    const stepId = recordKey(this.designs.vehicle(), step);
    this.allTicked.update((set) => {
      const next = new Set(set);
      if (done) next.add(stepId);
      else next.delete(stepId);
      return next;
    });
    this.sync.tick(jobId, stepId, done);
  }

  read(row: string, value: number, unit: string): void {
    const jobId = this.designs.jobId();
    if (!jobId) return;
    const body = { rowId: recordKey(this.designs.vehicle(), row), value, unit, revision: this.designs.revision() };
    this.setReadings([...this.readingList.value, { id: '', ...body, at: new Date().toISOString() }]);
    this.sync.read(jobId, body);
  }

  private setReadings(list: readonly Reading[]): void {
    this.allReadings.set(new Map(list.map((r) => [r.rowId, r])));
    this.readingList.next(list);
  }
}
