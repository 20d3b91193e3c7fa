import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { LiveEvent } from '@meridex/contract';
import { SyncService } from './sync/sync.service';
import { TAB } from './sync/tab';
import { CommentService } from './comment.service';
import { QuoteService } from './quote.service';
import { DesignService } from './design.service';
import { LiveService } from './live.service';
import { PhotoService } from './photo.service';
import { ReviewService } from './review.service';
import { RecordService } from './record.service';

/** A stream that the spec speaks through. */
class Stream {
  static last: Stream;
  static opened: string[] = [];
  onopen = (): void => undefined;
  onerror = (): void => undefined;
  onmessage: (m: { data: string }) => void = () => undefined;
  closed = false;
  constructor(readonly url: string) {
    Stream.last = this;
    Stream.opened.push(url);
  }
  close(): void {
    this.closed = true;
  }
  says(event: LiveEvent): void {
    this.onmessage({ data: JSON.stringify(event) });
  }
}

describe('a job while others are in it', () => {
  const real = globalThis.EventSource;
  let live: LiveService;
  let http: HttpTestingController;
  let unsent: { kind: string }[] = [];
  const designs = { revision: signal(4), readAgain: jasmine.createSpy('designs') };
  const records = { readAgain: jasmine.createSpy('records') };
  const comments = { readAgain: jasmine.createSpy('comments') };
  const reviews = { readAgain: jasmine.createSpy('reviews') };
  const quotes = { readAgain: jasmine.createSpy('quotes') };
  const photos = { readAgain: jasmine.createSpy('photos') };

  beforeEach(() => {
    Stream.opened = [];
    unsent = [];
    designs.readAgain.calls.reset();
    records.readAgain.calls.reset();
    photos.readAgain.calls.reset();
    comments.readAgain.calls.reset();
    quotes.readAgain.calls.reset();
    reviews.readAgain.calls.reset();
    (globalThis as { EventSource: unknown }).EventSource = Stream;
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: DesignService, useValue: designs },
        { provide: RecordService, useValue: records },
        { provide: PhotoService, useValue: photos },
        { provide: CommentService, useValue: comments },
        { provide: QuoteService, useValue: quotes },
        { provide: ReviewService, useValue: reviews },
        { provide: SyncService, useValue: { ofJob: () => unsent } },
      ],
    });
    http = TestBed.inject(HttpTestingController);
    live = TestBed.inject(LiveService);
    live.open('job-1');
    Stream.last.onopen();
  });
  afterEach(() => {
    live.close();
    globalThis.EventSource = real;
  });

  it('reads what others kept, and not what it has itself', () => {
    Stream.last.says({ what: 'revision', number: 4 });
    expect(designs.readAgain).not.toHaveBeenCalled();
    Stream.last.says({ what: 'revision', number: 5 });
    expect(designs.readAgain).toHaveBeenCalledTimes(1);
    // With an edit on its way the answer to that brings it.
    unsent = [{ kind: 'edit' }];
    Stream.last.says({ what: 'revision', number: 6 });
    expect(designs.readAgain).toHaveBeenCalledTimes(1);
    Stream.last.says({ what: 'tick' });
    Stream.last.says({ what: 'reading' });
    expect(records.readAgain).toHaveBeenCalledTimes(2);
    Stream.last.says({ what: 'photo' });
    expect(photos.readAgain).toHaveBeenCalledTimes(1);
    Stream.last.says({ what: 'comment' });
    expect(comments.readAgain).toHaveBeenCalledTimes(1);
    Stream.last.says({ what: 'quote' });
    expect(quotes.readAgain).toHaveBeenCalledTimes(1);
    Stream.last.says({ what: 'review' });
    expect(reviews.readAgain).toHaveBeenCalledTimes(1);
  });

  it('reads all of it when something may have been missed', () => {
    Stream.last.onerror();
    Stream.last.onopen();
    Stream.last.says({ what: 'missed' });
    expect([designs.readAgain.calls.count(), records.readAgain.calls.count()]).toEqual([2, 2]);
  });

  it('knows where each of the others is, by their page, and forgets who left', () => {
    const here = (tab: string, stage: string): LiveEvent => ({ what: 'here', name: 'Kit', tab, stage, row: null });
    Stream.last.says(here(TAB, 'brief'));
    Stream.last.says(here('a', 'runs'));
    Stream.last.says(here('b', 'fit'));
    Stream.last.says(here('a', 'loads'));
    expect(live.others().map((o) => [o.tab, o.stage])).toEqual([
      ['b', 'fit'],
      ['a', 'loads'],
    ]);
    Stream.last.says({ what: 'left', tab: 'b' });
    expect(live.others().map((o) => o.tab)).toEqual(['a']);
  });

  it('says where it is once, and again to who comes', () => {
    const said = (): unknown[] => http.match('/api/jobs/job-1/here').map((r) => r.request.body as unknown);
    live.at('runs', 'load-l1');
    live.at('runs', 'load-l1');
    expect(said()).toEqual([{ tab: TAB, stage: 'runs', row: 'load-l1' }]);
    Stream.last.says({ what: 'came', tab: 'a' });
    expect(said().length).toBe(1);
  });

  it('holds no stream while nobody looks at the page, and has read all when somebody does again', () => {
    const hidden = spyOnProperty(document, 'hidden').and.returnValue(true);
    document.dispatchEvent(new Event('visibilitychange'));
    expect(Stream.last.closed).toBeTrue();
    hidden.and.returnValue(false);
    document.dispatchEvent(new Event('visibilitychange'));
    expect(Stream.opened.length).toBe(2);
    Stream.last.onopen();
    expect(designs.readAgain).toHaveBeenCalledTimes(1);
  });
});
