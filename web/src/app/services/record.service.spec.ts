import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { DesignService } from './design.service';
import { RecordService } from './record.service';

const later = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

describe('ticks and readings', () => {
  let service: RecordService;
  const vehicle = signal('own');
  let server: HttpTestingController;
  const open = async (ticks: object[] = [], readings: object[] = []): Promise<void> => {
    const opening = service.open('job-1');
    server.expectOne('/api/jobs/job-1/ticks').flush(ticks);
    server.expectOne('/api/jobs/job-1/readings').flush(readings);
    await opening;
  };

  const start = (): void => {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), { provide: DesignService, useValue: { jobId: signal('job-1'), revision: signal(4), vehicle } }],
    });
    service = TestBed.inject(RecordService);
    server = TestBed.inject(HttpTestingController);
  };
  beforeEach(() => {
    localStorage.clear();
    vehicle.set('own');
    start();
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
    const request = server.expectOne('/api/jobs/job-1/ticks');
    expect((request.request.body as { id: string }).id).toMatch(/^[0-9a-f-]{36}$/);
    request.flush(null);
    await later();
    expect(service.toSend()).toBe(0);
  });

  it('carry the revision that a reading was judged by', async () => {
    await open();
    service.read('house-rest', 13.26, 'V');
    expect(server.expectOne('/api/jobs/job-1/readings').request.body).toEqual(jasmine.objectContaining({ rowId: 'house-rest', value: 13.26, revision: 4 }));
  });

  it('are those of the vehicle that is looked at', async () => {
    await open([], [{ id: '1', rowId: 'camper/house-rest', value: 12.1, unit: 'V', revision: 1 }]);
    service.tick('safe-negative', true);
    vehicle.set('camper');
    expect([service.ticked().size, service.readings().get('house-rest')!.value]).toEqual([0, 12.1]);
    service.tick('safe-check', true);
    expect(service.ticked()).toEqual(new Set(['safe-check']));
    server.expectOne('/api/jobs/job-1/ticks').flush(null);
    await later();
    expect((server.expectOne('/api/jobs/job-1/ticks').request.body as { stepId: string }).stepId).toBe('camper/safe-check');
    vehicle.set('own');
    expect([[...service.ticked()], service.readings().size]).toEqual([['safe-negative'], 0]);
  });

  it('survive a closed tab while the server is away', async () => {
    await open();
    service.tick('safe-negative', true);
    server.expectOne('/api/jobs/job-1/ticks').error(new ProgressEvent('error'));
    await later();
    start();
    expect(service.toSend()).toBe(1);
    await open();
    expect(service.ticked().has('safe-negative')).toBeTrue();
    server.expectOne('/api/jobs/job-1/ticks').flush(null);
    await later();
    expect(service.toSend()).toBe(0);
  });

  it('say so when the server will not take one, and go on with the next', async () => {
    await open();
    service.read('row', 5, 'V');
    service.tick('a', true);
    server.expectOne('/api/jobs/job-1/readings').flush({ message: 'value: too much' }, { status: 400, statusText: 'Bad Request' });
    await later();
    expect(service.trouble()).toContain('A reading of this job was not kept: value: too much');
    server.expectOne('/api/jobs/job-1/ticks').flush(null);
  });

  it('keep their order: the second waits for the first', async () => {
    await open();
    service.tick('a', true);
    service.tick('a', false);
    const first = server.expectOne('/api/jobs/job-1/ticks');
    expect((first.request.body as { done: boolean }).done).toBeTrue();
    first.flush(null);
    await later();
    expect((server.expectOne('/api/jobs/job-1/ticks').request.body as { done: boolean }).done).toBeFalse();
  });
});
