import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { type LongRun, LongTripsService } from './long-trips.service';

const run = (change: Partial<LongRun>): LongRun => ({ id: 'r1', revision: 3, trips: 10_000, state: 'waiting', done: 0, result: null, ...change });
const result = { trips: 10_000, chanceOff: 0.01, off: null, meanBelowReserveH: 0, lowestSoc: 0.3, p10: [], p50: [], p90: [] };
const tick = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

describe('many trips on the server', () => {
  let service: LongTripsService;
  let http: HttpTestingController;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting()] });
    service = TestBed.inject(LongTripsService);
    http = TestBed.inject(HttpTestingController);
  });

  it('are asked for, followed until they are done, and then left alone', async () => {
    void service.start('job-1', 'own', 10_000, false);
    const asked = http.expectOne('/api/jobs/job-1/trips');
    expect(asked.request.body).toEqual({ trips: 10_000, oneByOne: false, vehicle: 'own' });
    asked.flush(run({}));
    await tick(800);
    http.expectOne('/api/trips/r1').flush(run({ state: 'running', done: 400 }));
    await tick();
    expect(service.run()!.done).toBe(400);
    await tick(750);
    http.expectOne('/api/trips/r1').flush(run({ state: 'done', done: 10_000, result }));
    await tick(800);
    http.expectNone('/api/trips/r1');
    expect(service.run()!.result).toEqual(result);
  });

  it('say what the server says when it refuses', async () => {
    void service.start('job-1', 'own', 10_000, false);
    http.expectOne('/api/jobs/job-1/trips').flush({ message: 'Trips: this job has no house battery yet.' }, { status: 422, statusText: 'no' });
    await tick();
    expect(service.trouble()).toContain('no house battery');
    expect(service.run()).toBeNull();
  });

  it('say so when there is no server', async () => {
    void service.start('job-1', 'own', 10_000, false);
    http.expectOne('/api/jobs/job-1/trips').error(new ProgressEvent('offline'));
    await tick();
    expect(service.trouble()).toContain('cannot be reached');
  });

  it('say so when they could not be stopped', async () => {
    void service.start('job-1', 'own', 10_000, false);
    http.expectOne('/api/jobs/job-1/trips').flush(run({}));
    await tick();
    void service.stop();
    http.expectOne('/api/trips/r1/stop').error(new ProgressEvent('offline'));
    await tick();
    expect(service.trouble()).toContain('may still be running');
  });

  it('are found again when the job is opened, and followed on', async () => {
    void service.open('job-1', 'own');
    http.expectOne('/api/jobs/job-1/trips?vehicle=own').flush(run({ state: 'running', done: 600 }));
    await tick(800);
    http.expectOne('/api/trips/r1').flush(run({ state: 'stopped', done: 800, result: { ...result, trips: 800 } }));
    await tick();
    expect(service.run()!.result!.trips).toBe(800);
  });

  it('open quietly when the server is away', async () => {
    void service.open('job-1', 'own');
    http.expectOne('/api/jobs/job-1/trips?vehicle=own').error(new ProgressEvent('offline'));
    await tick();
    expect([service.run(), service.trouble()]).toEqual([null, null]);
  });
});
