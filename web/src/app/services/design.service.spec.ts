import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { blankDesign, type Design, doCommands, type Patch } from '@meridex/core';
import { DesignService } from './design.service';
import { readOutbox } from './outbox';

const JOB = 'job-1';
const later = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

describe('the design service', () => {
  let service: DesignService;
  let server: HttpTestingController;
  const newest = (number: number, design: Design) => ({ number, design, author: 'owner', at: '2026-11-24T10:00:00Z' });
  const plate = (value: string): string | null => service.edit('plate', (d) => (d.brief.plate = value));
  const sent = async () => {
    await later(600);
    return server.expectOne(`/api/jobs/${JOB}/revisions`);
  };

  beforeEach(async () => {
    localStorage.clear();
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting()] });
    service = TestBed.inject(DesignService);
    server = TestBed.inject(HttpTestingController);
    const opening = service.open(JOB);
    await later();
    server.expectOne(`/api/jobs/${JOB}/design`).flush(newest(3, blankDesign('Bellbird Ranges Mobile Vet')));
    await opening;
  });
  afterEach(() => service.close());

  it('shows an edit at once and keeps it in the browser before it is sent', () => {
    plate('BRV 27');
    expect(service.design()!.brief.plate).toBe('BRV 27');
    expect(readOutbox(JOB)!.patch).toEqual([{ op: 'replace', path: '/brief/plate', value: 'BRV 27' }]);
    expect(service.waiting()).toBe(1);
  });

  it('sends the patch on the revision it was made on, and forgets it once kept', async () => {
    plate('BRV 27');
    const request = await sent();
    expect((request.request.body as { base: number }).base).toBe(3);
    request.flush({ number: 4, at: '2026-11-24T10:01:00Z', merged: false, design: service.design() });
    await later();
    expect([service.revision(), service.waiting(), readOutbox(JOB)]).toEqual([4, 0, null]);
  });

  it('edits the vehicle that is looked at, and undoes it whichever is looked at then', () => {
    const done = doCommands(service.job()!, [
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper' } },
      { do: 'couple', with: { from: 'own', to: 'camper' } },
    ]);
    if (!done.ok) throw new Error(done.message);
    service.editJob('another vehicle', (d) => Object.assign(d, done.design));
    service.lookAt('camper');
    expect([service.design()!.brief.vehicleKind, service.ofVehicle()]).toEqual(['camper', '?vehicle=camper']);
    plate('CAMP 1');
    expect([service.job()!.brief.plate, service.job()!.vehicles['camper']!.brief.plate, service.design()!.brief.plate]).toEqual(['', 'CAMP 1', 'CAMP 1']);
    service.edit('days', (d) => (d.brief.trip.days = 3));
    expect(service.job()!.brief.trip.days).toBe(3);
    service.lookAt('boat');
    service.lookAt('own');
    service.undo();
    service.undo();
    expect([service.job()!.vehicles['camper']!.brief.plate, service.job()!.brief.trip.days]).toEqual(['', 6]);
    service.lookAt('camper');
    service.undo();
    expect([service.vehicle(), service.job()!.vehicles]).toEqual(['own', {}]);
  });

  it('refuses what the schema is against, and changes nothing', () => {
    const message = service.edit('days', (d) => (d.brief.trip.days = 0));
    expect(message).toContain('days');
    expect(service.design()!.brief.trip.days).toBe(6);
  });

  it('undoes and redoes, a burst in one field as one step', () => {
    plate('B');
    plate('BR');
    plate('BRV');
    service.undo();
    expect(service.design()!.brief.plate).toBe('');
    service.redo();
    expect(service.design()!.brief.plate).toBe('BRV');
    expect(service.redoLabel()).toBeNull();
  });

  it('keeps an edit made while another is on its way, and sends it on the new revision', async () => {
    plate('ONE');
    const first = await sent();
    service.edit('notes', (d) => (d.brief.notes = 'meanwhile'));
    expect(readOutbox(JOB)!.behind.length).toBe(1);
    first.flush({ number: 4, at: '2026-11-24T10:01:00Z', merged: false, design: service.design() });
    await later(50);
    const second = server.expectOne(`/api/jobs/${JOB}/revisions`);
    expect(second.request.body).toEqual(jasmine.objectContaining({ base: 4, patch: [{ op: 'replace', path: '/brief/notes', value: 'meanwhile' }] as Patch }));
  });

  it('says that it is kept here while the server is away, under the same id for the next try', async () => {
    plate('AWAY');
    const first = await sent();
    const { clientId } = first.request.body as { clientId: string };
    first.error(new ProgressEvent('error'));
    await later();
    expect(service.offline()).toBeTrue();
    expect(readOutbox(JOB)!.clientId).toBe(clientId);
  });

  it('shows both values of a clash and keeps mine until chosen', async () => {
    plate('MINE');
    const theirs = blankDesign('Bellbird Ranges Mobile Vet');
    theirs.brief.plate = 'THEIRS';
    const request = await sent();
    request.flush({ message: 'clash', clashes: [{ path: '/brief/plate', mine: 'MINE', theirs: 'THEIRS' }], newest: newest(4, theirs) }, { status: 409, statusText: 'Conflict' });
    await later();
    expect(service.clashes().length).toBe(1);
    expect(service.design()!.brief.plate).toBe('THEIRS');
    service.settleClash(true);
    expect(service.design()!.brief.plate).toBe('MINE');
  });
});
