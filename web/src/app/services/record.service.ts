import { HttpClient } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import { recordKey, recordsOf } from '@meridex/core';
import { BehaviorSubject, firstValueFrom, map } from 'rxjs';
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

type Waiting = { readonly kind: 'ticks' | 'readings'; readonly jobId: string; readonly body: Tick | Reading };

const KEY = 'meridex.records';
const TRY_AGAIN_MS = 4000;

/** Ticks and readings of the open job: added to, never changed, kept in the browser until the server has them. */
@Injectable({ providedIn: 'root' })
export class RecordService {
  private readonly http = inject(HttpClient);
  private readonly designs = inject(DesignService);
  private readonly readingList = new BehaviorSubject<readonly Reading[]>([]);
  private queue: Waiting[] = JSON.parse(localStorage.getItem(KEY) ?? '[]') as Waiting[];
  private sending = false;
  private opened: string | null = null;

  /** Of all vehicles of the job, by the keys of its record. */
  private readonly allTicked = signal<ReadonlySet<string>>(new Set());
  private readonly allReadings = signal<ReadonlyMap<string, Reading>>(new Map());
  /** Of the vehicle that is looked at. */
  readonly ticked = computed<ReadonlySet<string>>(() => new Set(Object.keys(recordsOf(this.designs.vehicle(), Object.fromEntries([...this.allTicked()].map((id) => [id, true]))))));
  readonly readings = computed<ReadonlyMap<string, Reading>>(() => new Map(Object.entries(recordsOf(this.designs.vehicle(), Object.fromEntries(this.allReadings())))));
  readonly toSend = signal(this.queue.length);
  /** What the server would not take, in words; it stays on the page. */
  readonly trouble = signal<string | null>(null);
  /** Latest value by row. */
  readonly values$ = this.readingList.pipe(map((list) => Object.fromEntries(list.map((r) => [r.rowId, r.value]))));

  async open(jobId: string): Promise<void> {
    if (this.opened === jobId) return;
    this.opened = jobId;
    this.allTicked.set(new Set());
    this.setReadings([]);
    const [ticks, readings] = await this.fetch(jobId).catch((error: unknown) => {
      // Opened again, it is asked again.
      this.opened = null;
      throw error;
    });
    if (this.opened !== jobId) return;
    const mine = this.queue.filter((w) => w.jobId === jobId);
    const isTick = (w: Waiting): w is Waiting & { body: Tick } => w.kind === 'ticks';
    const isReading = (w: Waiting): w is Waiting & { body: Reading } => w.kind === 'readings';
    const done = new Set<string>();
    for (const t of [...ticks, ...mine.filter(isTick).map((w) => w.body)]) {
      if (t.done) done.add(t.stepId);
      else done.delete(t.stepId);
    }
    this.allTicked.set(done);
    this.setReadings([...readings, ...mine.filter(isReading).map((w) => w.body)]);
    void this.send();
  }

  private fetch(jobId: string): Promise<[Tick[], Reading[]]> {
    return Promise.all([firstValueFrom(this.http.get<Tick[]>(`/api/jobs/${jobId}/ticks`)), firstValueFrom(this.http.get<Reading[]>(`/api/jobs/${jobId}/readings`))]);
  }

  tick(step: string, done: boolean): void {
    const stepId = recordKey(this.designs.vehicle(), step);
    this.allTicked.update((set) => {
      const next = new Set(set);
      if (done) next.add(stepId);
      else next.delete(stepId);
      return next;
    });
    this.add('ticks', { id: crypto.randomUUID(), stepId, done });
  }

  read(row: string, value: number, unit: string): void {
    const rowId = recordKey(this.designs.vehicle(), row);
    const reading: Reading = { id: crypto.randomUUID(), rowId, value, unit, revision: this.designs.revision(), at: new Date().toISOString() };
    this.setReadings([...this.readingList.value, reading]);
    const { at: _at, ...body } = reading;
    this.add('readings', body);
  }

  private setReadings(list: readonly Reading[]): void {
    this.allReadings.set(new Map(list.map((r) => [r.rowId, r])));
    this.readingList.next(list);
  }

  private add(kind: Waiting['kind'], body: Tick | Reading): void {
    const jobId = this.designs.jobId();
    if (!jobId) return;
    this.setQueue([...this.queue, { kind, jobId, body }]);
    void this.send();
  }

  private setQueue(queue: Waiting[]): void {
    this.queue = queue;
    this.toSend.set(queue.length);
    localStorage.setItem(KEY, JSON.stringify(queue));
  }

  private async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    while (this.queue.length) {
      const first = this.queue[0]!;
      try {
        await firstValueFrom(this.http.post(`/api/jobs/${first.jobId}/${first.kind}`, first.body));
      } catch (error) {
        const status = (error as { status?: number }).status ?? 0;
        // The server's plain refusal would come again for ever; no answer, or a failing server, is tried again.
        if (status < 400 || status >= 500 || status === 401 || status === 429) {
          this.sending = false;
          setTimeout(() => void this.send(), TRY_AGAIN_MS);
          return;
        }
        const said = (error as { error?: { message?: string } | null }).error?.message ?? 'the server did not take it';
        this.trouble.set(`${first.kind === 'ticks' ? 'A tick' : 'A reading'} of this job was not kept: ${said}`);
      }
      this.setQueue(this.queue.slice(1));
    }
    this.sending = false;
  }
}
