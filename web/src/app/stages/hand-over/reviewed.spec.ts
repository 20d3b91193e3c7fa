import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import type { Review } from '@meridex/contract';
import { DesignService } from '../../data/design.service';
import { ReviewService } from '../../data/review.service';
import { SessionService } from '../../data/session.service';
import { SyncService } from '../../data/sync/sync.service';
import { askedOf, until } from '../../testing/asked';
import { Reviewed } from './reviewed';

const AT = '/api/jobs/job-1/reviews';
const review = (revision: number, note = ''): Review => ({ id: crypto.randomUUID(), revision, note, author: 'Wren', at: '2026-11-28T10:00:00Z' });

describe('the mark of a review', () => {
  const revision = signal(12);
  const unsent = signal<readonly { kind: string }[]>([]);
  let fixture: ComponentFixture<Reviewed>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const words = (): string => page().textContent!.replace(/\s+/g, ' ').trim();
  const button = (): HTMLButtonElement | null => page().querySelector('button');
  const come = async (role: string, given: readonly Review[]): Promise<void> => {
    revision.set(12);
    unsent.set([]);
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: DesignService, useValue: { jobId: signal('job-1'), revision } },
        { provide: SessionService, useValue: { person: signal({ name: 'Ada', email: 'ada@shed.example', role }) } },
        { provide: SyncService, useValue: { ofJob: () => unsent() } },
      ],
    });
    http = TestBed.inject(HttpTestingController);
    TestBed.inject(ReviewService).open();
    (await askedOf(http, AT, 'GET')).flush(given);
    await until(() => TestBed.inject(ReviewService).given().length === given.length);
    fixture = TestBed.createComponent(Reviewed);
    await fixture.whenStable();
  };

  it('is given of the revision that is kept, with what was looked at', async () => {
    await come('reviewer', []);
    expect(words()).toContain('Nobody has yet');
    const note = page().querySelector('textarea')!;
    note.value = ' fuses and returns ';
    note.dispatchEvent(new Event('input'));
    button()!.click();
    const asked = await askedOf(http, AT, 'POST');
    expect(asked.request.body).toEqual(jasmine.objectContaining({ revision: 12, note: 'fuses and returns' }));
    asked.flush(null, { status: 204, statusText: 'No Content' });
    (await askedOf(http, AT, 'GET')).flush([review(12, 'fuses and returns')]);
    await until(() => TestBed.inject(ReviewService).given().length === 1);
    await fixture.whenStable();
    expect(page().querySelector('.holds')!.textContent).toContain('Revision 12');
    expect(words()).toContain('fuses and returns');
    expect(button()).toBeNull();
  });
  it('is of the plan before, once that has changed', async () => {
    await come('electrician', [review(9), review(4)]);
    expect(words()).toContain('3 changes were kept since');
    expect(page().querySelector('.holds')).toBeNull();
    expect(button()!.textContent).toContain('Mark revision 12 as reviewed');
  });
  it('waits for edits that are not kept yet', async () => {
    await come('owner', []);
    unsent.set([{ kind: 'edit' }]);
    await fixture.whenStable();
    expect([button()!.disabled, words()]).toEqual([true, jasmine.stringContaining('Once the last edits are kept')]);
  });
  it('is not for everybody, and says for whom', async () => {
    await come('apprentice', []);
    expect([button(), words()]).toEqual([null, jasmine.stringContaining('An apprentice may not mark a plan as reviewed; an owner, electrician or reviewer may.')]);
  });
  it('says why it was not taken, and keeps what was typed', async () => {
    await come('owner', []);
    const note = page().querySelector('textarea')!;
    note.value = 'all';
    note.dispatchEvent(new Event('input'));
    button()!.click();
    (await askedOf(http, AT, 'POST')).flush({ message: 'revision: 12 is not there yet; up to 11 is accepted' }, { status: 422, statusText: 'Unprocessable' });
    await fixture.whenStable();
    expect(page().querySelector('[role=alert]')!.textContent).toContain('up to 11 is accepted');
    expect(page().querySelector('textarea')!.value).toBe('all');
  });
});
