import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { blankDesign, type Design, doCommands, type Patch } from '@meridex/core';
import { askedOf, until } from '../testing/asked';
import { DesignService } from './design.service';
import { SyncService } from './sync/sync.service';
import { SessionService } from './session.service';

const JOB = 'job-1';

describe('the design service', () => {
  let service: DesignService;
  let sync: SyncService;
  let server: HttpTestingController;
  const newest = (number: number, design: Design) => ({ number, design, author: 'owner', at: '2026-11-24T10:00:00Z' });
  const plate = (value: string): string | null => service.edit('plate', (d) => (d.brief.plate = value));
  const read = () => askedOf(server, `/api/jobs/${JOB}/design`, 'GET');
  const sent = () => askedOf(server, `/api/jobs/${JOB}/revisions`, 'POST');

  beforeEach(async () => {
    localStorage.clear();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: SessionService, useValue: { person: signal({ email: `${crypto.randomUUID()}@shed.example` }) } },
      ],
    });
    service = TestBed.inject(DesignService);
    sync = TestBed.inject(SyncService);
    server = TestBed.inject(HttpTestingController);
    await open(3, blankDesign('Bellbird Ranges Mobile Vet'));
  });
  afterEach(() => service.close());

  async function open(number: number, design: Design): Promise<void> {
    const opening = service.open(JOB);
    (await read()).flush(newest(number, design));
    await opening;
  }

  it('shows an edit at once and hands it over to be sent', () => {
    plate('BRV 27');
    expect(service.openDesign().brief.plate).toBe('BRV 27');
    expect(sync.editsOf(JOB).map((e) => e.patch)).toEqual([[{ op: 'replace', path: '/brief/plate', value: 'BRV 27' }]]);
  });

  it('sends the patch on the revision it was made on, with its words, and stands on the new one once kept', async () => {
    plate('BRV 27');
    const request = await sent();
    expect(request.request.body).toEqual(jasmine.objectContaining({ base: 3, label: 'plate' }));
    request.flush({ number: 4, at: '2026-11-24T10:01:00Z', merged: false, design: service.design() });
    await until(() => sync.unsent().length === 0);
    expect([service.revision(), service.keptAt()!.toISOString()]).toEqual([4, '2026-11-24T10:01:00.000Z']);
  });

  it('takes characters that no database keeps out of what is typed', () => {
    plate('BR\0V \ud83d27');
    expect(service.openDesign().brief.plate).toBe('BRV 27');
  });

  it('edits the vehicle that is looked at, and undoes it whichever is looked at then', () => {
    const done = doCommands(service.openJob(), [
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper' } },
      { do: 'couple', with: { from: 'own', to: 'camper' } },
    ]);
    if (!done.ok) throw new Error(done.message);
    service.editJob('another vehicle', (d) => Object.assign(d, done.design));
    service.lookAt('camper');
    expect([service.openDesign().brief.vehicleKind, service.ofVehicle()]).toEqual(['camper', '?vehicle=camper']);
    plate('CAMP 1');
    expect([service.openJob().brief.plate, service.openJob().vehicles['camper']!.brief.plate, service.openDesign().brief.plate]).toEqual(['', 'CAMP 1', 'CAMP 1']);
    service.edit('days', (d) => (d.brief.trip.days = 3));
    expect(service.openJob().brief.trip.days).toBe(3);
    service.lookAt('boat');
    service.lookAt('own');
    service.undo();
    service.undo();
    expect([service.openJob().vehicles['camper']!.brief.plate, service.openJob().brief.trip.days]).toEqual(['', 6]);
    service.lookAt('camper');
    service.undo();
    expect([service.vehicle(), service.openJob().vehicles]).toEqual(['own', {}]);
  });

  it('refuses what the schema is against, and changes nothing', () => {
    const message = service.edit('days', (d) => (d.brief.trip.days = 0));
    expect(message).toContain('days');
    expect(service.openDesign().brief.trip.days).toBe(6);
  });

  it('undoes and redoes, a burst in one field as one step', () => {
    plate('B');
    plate('BR');
    plate('BRV');
    service.undo();
    expect(service.openDesign().brief.plate).toBe('');
    service.redo();
    expect(service.openDesign().brief.plate).toBe('BRV');
    expect(service.redoLabel()).toBeNull();
  });

  it('shows another’s work with one’s own on it, when both were kept', async () => {
    plate('ONE');
    const first = await sent();
    service.edit('notes', (d) => (d.brief.notes = 'meanwhile'));
    const merged = blankDesign('Bellbird Ranges Mobile Vet');
    merged.brief.plate = 'ONE';
    merged.brief.trip.days = 9;
    first.flush({ number: 5, at: '2026-11-24T10:01:00Z', merged: true, design: merged });
    const second = await sent();
    expect((second.request.body as { patch: Patch }).patch).toEqual([{ op: 'replace', path: '/brief/notes', value: 'meanwhile' }]);
    const { plate: p, notes, trip } = service.openDesign().brief;
    expect([p, notes, trip.days]).toEqual(['ONE', 'meanwhile', 9]);
  });

  it('is left within half a second, and what was typed is sent all the same', async () => {
    plate('LEFT');
    service.close();
    expect(((await sent()).request.body as { patch: Patch }).patch).toEqual([{ op: 'replace', path: '/brief/plate', value: 'LEFT' }]);
  });

  it('sends what waits before it reads the job again, and shows both where it cannot', async () => {
    plate('AWAY');
    service.close();
    const opening = service.open(JOB);
    (await sent()).error(new ProgressEvent('error'));
    (await read()).flush(newest(3, blankDesign('Bellbird Ranges Mobile Vet')));
    await opening;
    expect([service.openDesign().brief.plate, sync.offline()]).toEqual(['AWAY', true]);
  });

  it('opens as it was last where the server does not answer', async () => {
    service.close();
    const opening = service.open(JOB);
    (await read()).error(new ProgressEvent('error'));
    await opening;
    expect([service.revision(), service.openDesign().brief.customer]).toEqual([3, 'Bellbird Ranges Mobile Vet']);
  });

  it('keeps its steps of undo when the page is closed, and undoes nothing of another’s', async () => {
    plate('ONE');
    service.edit('notes', (d) => (d.brief.notes = 'mine'));
    const done = service.openJob();
    service.close();
    expect(service.undoLabel()).toBeNull();
    const changed = structuredClone(done);
    changed.brief.plate = 'THEIRS';
    const opening = service.open(JOB);
    (await sent()).flush({ number: 4, at: '2026-11-24T10:01:00Z', merged: false, design: done });
    (await sent()).flush({ number: 5, at: '2026-11-24T10:01:00Z', merged: false, design: done });
    (await read()).flush(newest(6, changed));
    await opening;
    await until(() => service.undoLabel() === 'notes');
    service.undo();
    expect(service.openDesign().brief.notes).toBe('');
    service.undo();
    expect([service.openDesign().brief.plate, service.trouble()]).toEqual(['THEIRS', '“plate” can no longer be taken back: brief › plate was changed since']);
  });

  it('takes a gesture of many moves back in one step', () => {
    for (const value of ['M', 'MO', 'MOVED']) service.edit('moved', (d) => (d.brief.plate = value), 'drag 1');
    service.edit('gear', (d) => (d.places['charger'] = { zone: 'canopy', on: { face: 'x', u: 1, v: 2, turn: 0 }, when: 'now' } as never), 'drag 2');
    service.edit('gear', (d) => (d.places['charger']!.on!.u = 7), 'drag 2');
    service.undo();
    expect([service.openDesign().places['charger'], service.trouble()]).toEqual([undefined as never, null]);
    service.undo();
    expect([service.openDesign().brief.plate, service.trouble()]).toEqual(['', null]);
    service.redo();
    expect(service.openDesign().brief.plate).toBe('MOVED');
  });

  it('shows theirs while a clash is asked, and mine once it is chosen', async () => {
    plate('MINE');
    const theirs = blankDesign('Bellbird Ranges Mobile Vet');
    theirs.brief.plate = 'THEIRS';
    (await sent()).flush({ message: 'clash', clashes: [{ path: '/brief/plate', mine: 'MINE', theirs: 'THEIRS' }], newest: newest(4, theirs) }, { status: 409, statusText: 'Conflict' });
    await until(() => sync.clashes().size === 1);
    expect(service.openDesign().brief.plate).toBe('THEIRS');
    service.edit('notes', (d) => (d.brief.notes = 'meanwhile'));
    sync.settle(JOB, true);
    expect([service.openDesign().brief.plate, service.openDesign().brief.notes]).toEqual(['MINE', 'meanwhile']);
  });

  it('takes back on the page what the server will not have', async () => {
    plate('REFUSED');
    (await sent()).flush({ message: 'plate: no' }, { status: 422, statusText: 'Unprocessable' });
    await until(() => sync.setAside().length === 1);
    expect(service.openDesign().brief.plate).toBe('');
  });
});
