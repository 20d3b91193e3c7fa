import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { OWN } from '@meridex/core';
import { Subject } from 'rxjs';
import { CommentService } from '../data/comment.service';
import { DesignService } from '../data/design.service';
import { SessionService } from '../data/session.service';
import { KeptAnswers } from '../data/sync/kept-answers';
import { SyncService } from '../data/sync/sync.service';
import { Comments } from './comments';

const SAID = { id: 'c1', about: 'run-1', text: 'is that fuse in reach?', author: 'Kit', at: '2026-11-30T10:00:00Z', settledBy: null };

describe('what is said of a thing', () => {
  const person = signal({ role: 'reviewer' });
  const unsent = signal<object[]>([]);
  const answers = { get: jasmine.createSpy('get'), back$: new Subject<void>() };
  const sync = { ofJob: () => unsent(), events$: new Subject<object>(), comment: jasmine.createSpy('comment') };
  let fixture: ComponentFixture<Comments>;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const box = (): HTMLTextAreaElement => page().querySelector('textarea')!;
  const type = async (text: string): Promise<void> => {
    box().value = text;
    box().dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  const look = async (about: string): Promise<void> => {
    fixture.componentRef.setInput('about', about);
    await fixture.whenStable();
  };

  beforeEach(async () => {
    person.set({ role: 'reviewer' });
    unsent.set([]);
    sync.comment.calls.reset();
    answers.get.and.resolveTo([SAID]);
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: KeptAnswers, useValue: answers },
        { provide: SyncService, useValue: sync },
        { provide: SessionService, useValue: { person } },
        { provide: DesignService, useValue: { jobId: signal('job-1'), vehicle: signal(OWN) } },
      ],
    });
    await TestBed.inject(CommentService).open('job-1');
    fixture = TestBed.createComponent(Comments);
    fixture.componentRef.setInput('of', 'run 1');
    await look('run-1');
  });

  it('stands with who said it, and what is still to be sent', async () => {
    expect(page().querySelector('.one')!.textContent).toContain('Kit, 30 Nov');
    unsent.set([{ id: 'n1', kind: 'comment', at: 1, body: { id: 'n1', about: 'run-1', text: 'yes' } }]);
    await fixture.whenStable();
    expect(page().querySelectorAll('.one')[1]!.textContent).toContain('to be sent');
  });

  it('is said by who may, and begun words wait while one looks elsewhere', async () => {
    await type('the lid hits it');
    await look('run-2');
    expect(box().value).toBe('');
    await look('run-1');
    await fixture.whenStable();
    expect(box().value).toBe('the lid hits it');
    page().querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(sync.comment.calls.allArgs()).toEqual([['job-1', { about: 'run-1', text: 'the lid hits it' }]]);
    expect(box().value).toBe('');
  });

  it('is settled by a press', async () => {
    const http = TestBed.inject(HttpTestingController);
    [...page().querySelectorAll('button')].find((b) => b.textContent!.trim() === 'done with')!.click();
    const asked = http.expectOne('/api/comments/c1');
    expect(asked.request.body).toEqual({ settled: true });
    answers.get.and.resolveTo([{ ...SAID, settledBy: 'Ada' }]);
    asked.flush(null);
    await fixture.whenStable();
    await fixture.whenStable();
    expect(page().querySelector('.settled')!.textContent).toContain('done with, says Ada');
  });

  it('is only read by who may say nothing', async () => {
    person.set({ role: 'viewer' });
    await fixture.whenStable();
    expect(page().querySelector('textarea')).toBeNull();
    expect(page().textContent).toContain('is that fuse in reach?');
  });
});
