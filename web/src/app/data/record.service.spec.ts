import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { DesignService } from './design.service';
import { SyncService } from './sync/sync.service';
import { askedOf, until } from '../testing/asked';
import { RecordService } from './record.service';
import { SessionService } from './session.service';

describe('ticks and readings', () => {
  let service: RecordService;
  const vehicle = signal('own');
  let server: HttpTestingController;
  let sync: SyncService;
  const asked = (url: string, method = 'POST') => askedOf(server, url, method);
  const unsentTo = async (n: number): Promise<void> => {
    await until(() => sync.unsent().length === n);
    expect(service.toSend()).toBe(n);
  };
  const open = async (ticks: object[] = [], readings: object[] = []): Promise<void> => {
    const opening = service.open('job-1');
    (await asked('/api/jobs/job-1/ticks', 'GET')).flush(ticks);
    (await asked('/api/jobs/job-1/readings', 'GET')).flush(readings);
    await opening;
  };

  beforeEach(() => {
    localStorage.clear();
    vehicle.set('own');
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: DesignService, useValue: { jobId: signal('job-1'), revision: signal(4), vehicle } },
        { provide: SessionService, useValue: { person: signal({ email: `${crypto.randomUUID()}@shed.example` }) } },
      ],
    });
    service = TestBed.inject(RecordService);
    sync = TestBed.inject(SyncService);
    server = TestBed.inject(HttpTestingController);
  });

  it('count the last tick of a step, and the last reading of a row', async () => {
    const tick = (stepId: string, done: boolean) => ({ id: crypto.randomUUID(), stepId, done });
    await open(
      [tick('a', true), tick('b', true), tick('a', false)],
      [
        { id: '1', rowId: 'r', value: 12.1, unit: 'V', revision: 1 },
        { id: '2', rowId: 'r', value: 12.4, unit: 'V', revision: 2 },
      ],
    );
    expect([...service.ticked()]).toEqual(['b']);
    expect(service.readings().get('r')!.value).toBe(12.4);
  });

  it('show at once and are sent with an id of their own', async () => {
    await open();
    service.tick('safe-negative', true);
    expect([service.ticked().has('safe-negative'), service.toSend()]).toEqual([true, 1]);
    const request = await asked('/api/jobs/job-1/ticks');
    expect((request.request.body as { id: string }).id).toMatch(/^[0-9a-f-]{36}$/);
    request.flush(null);
    await unsentTo(0);
  });

  it('carry the revision that a reading was judged by', async () => {
    await open();
    service.read('house-rest', 13.26, 'V');
    expect((await asked('/api/jobs/job-1/readings')).request.body).toEqual(jasmine.objectContaining({ rowId: 'house-rest', value: 13.26, revision: 4 }));
  });

  it('are those of the vehicle that is looked at', async () => {
    await open([], [{ id: '1', rowId: 'camper/house-rest', value: 12.1, unit: 'V', revision: 1 }]);
    service.tick('safe-negative', true);
    vehicle.set('camper');
    expect([service.ticked().size, service.readings().get('house-rest')!.value]).toEqual([0, 12.1]);
    service.tick('safe-check', true);
    expect(service.ticked()).toEqual(new Set(['safe-check']));
    (await asked('/api/jobs/job-1/ticks')).flush(null);
    expect(((await asked('/api/jobs/job-1/ticks')).request.body as { stepId: string }).stepId).toBe('camper/safe-check');
    vehicle.set('own');
    expect([[...service.ticked()], service.readings().size]).toEqual([['safe-negative'], 0]);
  });

  it('are there when the job is opened again before they were sent, and in order', async () => {
    await open();
    service.tick('a', true);
    service.tick('a', false);
    service.tick('b', true);
    (await asked('/api/jobs/job-1/ticks')).error(new ProgressEvent('error'));
    const other = service.open('job-2');
    (await asked('/api/jobs/job-2/ticks', 'GET')).flush([]);
    (await asked('/api/jobs/job-2/readings', 'GET')).flush([]);
    await other;
    expect(service.ticked().size).toBe(0);
    await open();
    expect([...service.ticked()]).toEqual(['b']);
    const first = await asked('/api/jobs/job-1/ticks');
    expect((first.request.body as { stepId: string; done: boolean }).done).toBeTrue();
    first.flush(null);
    expect(((await asked('/api/jobs/job-1/ticks')).request.body as { done: boolean }).done).toBeFalse();
  });

  it('are no longer shown as done when the server will not take one, and the next is sent', async () => {
    await open();
    service.tick('a', true);
    service.tick('b', true);
    (await asked('/api/jobs/job-1/ticks')).flush({ message: 'stepId: too long' }, { status: 400, statusText: 'Bad Request' });
    // What was refused has the job read once more; the other tick is sent meanwhile.
    const [rest] = await Promise.all([
      asked('/api/jobs/job-1/ticks'),
      asked('/api/jobs/job-1/ticks', 'GET').then((r) => r.flush([])),
      asked('/api/jobs/job-1/readings', 'GET').then((r) => r.flush([])),
    ]);
    await until(() => [...service.ticked()].join() === 'b');
    expect([...service.ticked()]).toEqual(['b']);
    rest.flush(null);
    await unsentTo(0);
    expect(sync.setAside().length).toBe(1);
  });
});
