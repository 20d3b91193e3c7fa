import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { LiveEvent } from '@meridex/contract';
import { SyncService } from './sync/sync.service';
import { TAB } from './sync/tab';
import { CommentService } from './comment.service';
import { QuoteService } from './quote.service';
import { DesignService } from './design.service';
import { PhotoService } from './photo.service';
import { ReviewService } from './review.service';
import { RecordService } from './record.service';

/** Where somebody else is in the open job. */
export interface Colleague {
  readonly tab: string;
  readonly name: string;
  readonly stage: string;
  readonly row: string | null;
}

/** The open job while others work in it: what they keep is read when they keep it, and where each of them is. */
@Injectable({ providedIn: 'root' })
export class LiveService {
  private readonly http = inject(HttpClient);
  private readonly designs = inject(DesignService);
  private readonly records = inject(RecordService);
  private readonly photos = inject(PhotoService);
  private readonly comments = inject(CommentService);
  private readonly reviews = inject(ReviewService);
  private readonly quotes = inject(QuoteService);
  private readonly sync = inject(SyncService);
  private readonly list = signal<readonly Colleague[]>([]);
  private stream: EventSource | null = null;
  private jobId: string | null = null;
  private place: { readonly stage: string; readonly row: string | null } | null = null;
  private told = '';
  /** The stream was there and broke: what happened since was not heard. */
  private broken = false;

  /** Others in the open job, each by the page that they have open. */
  readonly others = this.list.asReadonly();

  constructor() {
    // A page that nobody looks at holds no stream: browsers keep few of them to one server.
    document.addEventListener('visibilitychange', () => {
      if (!this.jobId) return;
      if (document.hidden) this.leave();
      else this.listen(true);
    });
  }

  open(jobId: string): void {
    if (this.jobId === jobId) return;
    this.close();
    this.jobId = jobId;
    if (!document.hidden) this.listen(false);
  }

  close(): void {
    this.leave();
    this.jobId = null;
  }

  /** Says where one is. */
  at(stage: string, row: string | null): void {
    this.place = { stage, row };
    this.say(false);
  }

  private leave(): void {
    this.stream?.close();
    this.stream = null;
    this.told = '';
    this.list.set([]);
  }

  private listen(missed: boolean): void {
    if (this.stream || !this.jobId) return;
    const stream = new EventSource(`/api/jobs/${this.jobId}/live?tab=${TAB}`);
    this.stream = stream;
    this.broken = missed;
    stream.onopen = () => {
      if (this.broken) this.readAll();
      this.broken = false;
      this.told = '';
      this.say(true);
    };
    // The browser tries again by itself.
    stream.onerror = () => {
      this.broken = true;
      this.list.set([]);
    };
    stream.onmessage = ({ data }: MessageEvent<string>) => this.heard(JSON.parse(data) as LiveEvent);
  }

  /** To be seen is no work: where it cannot be said now it is said with the next step. */
  private say(evenSame: boolean): void {
    const [jobId, place] = [this.jobId, this.place];
    if (!jobId || !place || !this.stream) return;
    const words = JSON.stringify(place);
    if (words === this.told && !evenSame) return;
    this.told = words;
    this.http.post(`/api/jobs/${jobId}/here`, { tab: TAB, ...place }).subscribe({ error: () => (this.told = '') });
  }

  private heard(event: LiveEvent): void {
    if (event.what === 'revision') {
      // One's own is known by the answer to it.
      if (event.number > this.designs.revision() && !this.sync.ofJob(this.jobId!).some((e) => e.kind === 'edit')) void this.designs.readAgain();
    } else if (event.what === 'tick' || event.what === 'reading') this.records.readAgain();
    else if (event.what === 'photo') void this.photos.readAgain();
    else if (event.what === 'comment') void this.comments.readAgain();
    else if (event.what === 'quote') void this.quotes.readAgain();
    else if (event.what === 'review') void this.reviews.readAgain();
    else if (event.what === 'missed') this.readAll();
    else if (event.tab === TAB) return;
    else if (event.what === 'came') this.say(true);
    else if (event.what === 'left') this.list.update((all) => all.filter((o) => o.tab !== event.tab));
    else this.list.update((all) => [...all.filter((o) => o.tab !== event.tab), { tab: event.tab, name: event.name, stage: event.stage, row: event.row }]);
  }

  private readAll(): void {
    void this.designs.readAgain();
    this.records.readAgain();
    void this.photos.readAgain();
    void this.comments.readAgain();
    void this.quotes.readAgain();
    void this.reviews.readAgain();
  }
}
