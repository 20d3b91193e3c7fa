import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { OWN } from '@meridex/core';
import { Subject } from 'rxjs';
import { KeptAnswers } from './sync/kept-answers';
import { SyncService } from './sync/sync.service';
import { DesignService } from './design.service';
import { PhotoService } from './photo.service';

const KEPT = { id: 'k1', about: 'pull-1', caption: '', small: 'AAAA', author: 'Ada', at: '2026-11-30T10:00:00Z' };

describe('photos of the open job', () => {
  let photos: PhotoService;
  const vehicle = signal<string>(OWN);
  const unsent = signal<object[]>([]);
  const events = new Subject<object>();
  const answers = { get: jasmine.createSpy('get'), back$: new Subject<void>() };
  const sync = { ofJob: () => unsent(), events$: events, photo: jasmine.createSpy('photo') };

  beforeEach(async () => {
    vehicle.set(OWN);
    unsent.set([]);
    answers.get.and.resolveTo([KEPT, { ...KEPT, id: 'k2', about: 'van/pull-1' }]);
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: KeptAnswers, useValue: answers },
        { provide: SyncService, useValue: sync },
        { provide: DesignService, useValue: { jobId: signal('job-1'), vehicle } },
      ],
    });
    photos = TestBed.inject(PhotoService);
    await photos.open('job-1');
  });

  it('stand with what they show, each vehicle’s with it', () => {
    const ids = (about: string): string[] | undefined =>
      photos
        .byAbout()
        .get(about)
        ?.map((p) => p.id);
    expect(ids('pull-1')).toEqual(['k1']);
    vehicle.set('van');
    expect(ids('pull-1')).toEqual(['k2']);
  });

  it('are shown from this device until they are sent, and never twice', () => {
    unsent.set([{ id: 'n1', kind: 'photo', body: { id: 'n1', about: 'pull-1', caption: '', image: 'BBBB', small: 'CCCC' } }]);
    expect(
      photos
        .byAbout()
        .get('pull-1')!
        .map((p) => [p.id, p.toSend, p.large]),
    ).toEqual([
      ['k1', false, '/api/photos/k1'],
      ['n1', true, 'data:image/jpeg;base64,BBBB'],
    ]);
    unsent.set([{ id: 'k1', kind: 'photo', body: { id: 'k1', about: 'pull-1', caption: '', image: 'BBBB', small: 'CCCC' } }]);
    expect(photos.byAbout().get('pull-1')!.length).toBe(1);
  });

  it('say what is none, and keep the others', async () => {
    const files = [new File(['x'], 'note.txt')] as unknown as FileList;
    await photos.add('pull-1', files);
    expect(photos.trouble()).toContain('note.txt: this browser cannot open it as a picture');
    expect(sync.photo).not.toHaveBeenCalled();
  });

  it('are taken away where the server takes it, and stay where it does not', async () => {
    const http = TestBed.inject(HttpTestingController);
    const first = photos.takeAway('k1');
    http.expectOne('/api/photos/k1').flush({ message: 'A viewer may not add a photo.' }, { status: 403, statusText: 'No' });
    await first;
    expect(photos.trouble()).toBe('The photo stays: A viewer may not add a photo.');
    expect(photos.all().some((p) => p.id === 'k1')).toBeTrue();
    const second = photos.takeAway('k1');
    http.expectOne('/api/photos/k1').flush(null);
    await second;
    expect(photos.all().some((p) => p.id === 'k1')).toBeFalse();
    expect(photos.away()).toBe('k1');
    const back = photos.bringBack('k1');
    const asked = http.expectOne('/api/photos/k1');
    expect(asked.request.body).toEqual({ takenAway: false });
    asked.flush(null);
    await back;
    expect([photos.all().some((p) => p.id === 'k1'), photos.away()]).toEqual([true, null]);
  });

  it('say anew what they show once the server has it, and what is against it where it has not', async () => {
    const http = TestBed.inject(HttpTestingController);
    photos.look(photos.byAbout().get('pull-1')![0]!, 'run 1');
    const done = photos.call('k1', 'the gland');
    const asked = http.expectOne('/api/photos/k1');
    expect([asked.request.method, asked.request.body]).toEqual(['PATCH', { caption: 'the gland' }]);
    asked.flush(null);
    await done;
    expect([photos.byAbout().get('pull-1')![0]!.caption, photos.large()!.photo.caption]).toEqual(['the gland', 'the gland']);
    const again = photos.call('k1', 'x'.repeat(200));
    http.expectOne('/api/photos/k1').flush({ message: 'caption: up to 160 letters are accepted' }, { status: 400, statusText: 'Bad Request' });
    await again;
    expect(photos.trouble()).toContain('up to 160 letters are accepted');
    expect(photos.byAbout().get('pull-1')![0]!.caption).toBe('the gland');
  });
});
