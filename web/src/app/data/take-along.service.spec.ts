import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { askedOf } from '../testing/asked';
import { Pages } from './pages';
import { SessionService } from './session.service';
import { KeptAnswers } from './sync/kept-answers';
import { Shelf } from './sync/shelf';
import { TakeAlong } from './take-along.service';

const SHEETS = ['design', 'ticks', 'readings', 'photos', 'comments', 'quotes', 'reviews'];

describe('jobs that are taken along', () => {
  let along: TakeAlong;
  let http: HttpTestingController;
  const email = `${crypto.randomUUID()}@shed.example`;
  const answer = async (job: string): Promise<void> => {
    for (const what of SHEETS) (await askedOf(http, `/api/jobs/${job}/${what}`, 'GET')).flush({ of: job, what });
  };

  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), { provide: SessionService, useValue: { person: signal({ email }) } }],
    });
    along = TestBed.inject(TakeAlong);
    http = TestBed.inject(HttpTestingController);
  });

  it('are there without signal afterwards, every sheet of them', async () => {
    const taken = along.take(['a', 'b']);
    await answer('a');
    await answer('b');
    await taken;
    expect([along.progress(), along.said()!.mark, along.said()!.say]).toEqual([null, 'holds', '2 jobs kept on this device, for work without signal.']);
    const kept = TestBed.inject(KeptAnswers).get<{ what: string }>('/api/jobs/b/readings');
    (await askedOf(http, '/api/jobs/b/readings', 'GET')).error(new ProgressEvent('error'));
    expect((await kept).what).toBe('readings');
  });
  it('are stopped between two of them, and what was taken stays said', async () => {
    const taken = along.take(['a', 'b', 'c']);
    const first = await askedOf(http, '/api/jobs/a/design', 'GET');
    along.stop();
    first.flush({});
    for (const what of SHEETS.slice(1)) (await askedOf(http, `/api/jobs/a/${what}`, 'GET')).flush({});
    await taken;
    expect(along.said()!.say).toBe('Stopped: 1 job of 3 kept on this device.');
    http.expectNone('/api/jobs/b/design');
  });
  it('say plainly that there is no signal, also where they were there before', async () => {
    const before = along.take(['a']);
    await answer('a');
    await before;
    const again = along.take(['a']);
    for (const what of SHEETS) (await askedOf(http, `/api/jobs/a/${what}`, 'GET')).error(new ProgressEvent('error'));
    await again;
    expect(along.said()).toEqual({ mark: 'stop', say: 'Nothing was kept on this device: there is no signal' });
  });
  it('say what the server refused, and how far it came', async () => {
    const taken = along.take(['a', 'b']);
    await answer('a');
    (await askedOf(http, '/api/jobs/b/design', 'GET')).flush({ message: 'This job is not in your workshop.' }, { status: 404, statusText: 'Not Found' });
    await taken;
    expect(along.said()!.say).toBe('Only 1 job was kept on this device: This job is not in your workshop.');
  });
  it('are none where a page of the program did not come', async () => {
    spyOn(TestBed.inject(Pages), 'fetchAll').and.resolveTo(false);
    await along.take(['a']);
    expect(along.said()).toEqual({ mark: 'stop', say: 'Nothing was kept on this device: not every page of the program came' });
    http.expectNone('/api/jobs/a/design');
  });
  it('say that the device keeps nothing', async () => {
    const taken = along.take(['a']);
    TestBed.inject(Shelf).trouble.set('This device keeps nothing: its storage is full.');
    await answer('a');
    await taken;
    expect(along.said()!.say).toContain('its storage is full');
  });
});
