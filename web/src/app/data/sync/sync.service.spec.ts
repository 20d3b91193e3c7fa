import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting, type TestRequest } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { blankDesign, type Patch } from '@meridex/core';
import { SessionService } from '../session.service';
import { askedOf, until } from '../../testing/asked';
import type { EditEntry } from './entry';
import { Shelf } from './shelf';
import { SyncService } from './sync.service';

const JOB = 'job-1';
const REVISIONS = `/api/jobs/${JOB}/revisions`;
const set = (path: string, value: unknown): Patch => [{ op: 'replace', path, value }];
interface Body {
  readonly base: number;
  readonly on: readonly string[];
  readonly patch: Patch;
  readonly clientId: string;
}
const bodyOf = (r: TestRequest): Body => r.request.body as Body;

describe('the sync service', () => {
  const shelf = new Map<string, unknown>();
  let device: Partial<Shelf>;
  const person = signal<{ email: string } | null>(null);
  let sync: SyncService;
  let server: HttpTestingController;

  /** A page that opens on this device; what earlier ones kept is there. */
  async function page(who = 'ada@shed.example', shelf?: Partial<Shelf>): Promise<void> {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: SessionService, useValue: { person } },
        ...(shelf ? [{ provide: Shelf, useValue: shelf }] : []),
      ],
    });
    person.set({ email: who });
    sync = TestBed.inject(SyncService);
    server = TestBed.inject(HttpTestingController);
    await sync.takeOver();
  }
  const asked = (url = REVISIONS) => askedOf(server, url, 'POST');
  const unsentTo = (n: number) => until(() => sync.unsent().length === n, `${n} unsent`);
  const kept = (number: number, merged = false) => ({ number, at: '2026-11-24T10:00:00Z', merged, design: blankDesign('Wirrabel Show Society') });
  const theirs = (number: number, clashes: readonly string[]) => ({ message: 'clash', clashes: clashes.map((path) => ({ path, mine: 'MINE', theirs: 'THEIRS' })), newest: kept(number) });
  const conflict = { status: 409, statusText: 'Conflict' };
  const edit = (path: string, value: unknown, base = 3): void => sync.edit(JOB, base, set(path, value), `sets ${path}`);

  beforeEach(async () => {
    localStorage.clear();
    shelf.clear();
    // One device for all pages of a spec.
    device = {
      trouble: signal(null),
      all: () => Promise.resolve({ entries: [...shelf.values()] as never, damaged: [] }),
      put: (_store, key, value) => void shelf.set(key, JSON.parse(JSON.stringify(value))),
      remove: (_store, key) => void shelf.delete(key),
      get: () => Promise.resolve(undefined),
      clearDamaged: () => Promise.resolve(),
    };
    await page('ada@shed.example', device);
  });

  it('sends 2005 letters typed without signal as one text, and loses none', async () => {
    for (let n = 1; n <= 2005; n++) edit('/brief/notes', 'x'.repeat(n));
    const request = await asked();
    expect(bodyOf(request).patch).toEqual(set('/brief/notes', 'x'.repeat(2005)));
    request.flush(kept(4));
    await unsentTo(0);
  });

  it('sends each edit on the revision it was made on, naming its own beneath it', async () => {
    edit('/brief/plate', 'ONE');
    edit('/brief/notes', 'two');
    const first = await asked();
    expect(bodyOf(first)).toEqual(jasmine.objectContaining({ base: 3, on: [] }));
    first.flush(kept(5, true));
    const second = await asked();
    expect(bodyOf(second)).toEqual(jasmine.objectContaining({ base: 3, on: [bodyOf(first).clientId] }));
  });

  it('tries again under the same id after an answer that was lost, and adds nothing to it', async () => {
    edit('/brief/plate', 'ONE');
    const first = await asked();
    first.error(new ProgressEvent('error'));
    await unsentTo(1);
    expect(sync.offline()).toBeTrue();
    edit('/brief/plate', 'TWO');
    const again = await asked();
    expect(bodyOf(again)).toEqual(bodyOf(first));
    again.flush(kept(4));
    expect(bodyOf(await asked()).patch).toEqual(set('/brief/plate', 'TWO'));
  });

  it('sends what a closed page left behind, on its own base, and never another person’s', async () => {
    edit('/brief/plate', 'LEFT');
    sync.tick(JOB, 'safe-negative', true);
    for (const [key, value] of shelf) shelf.set(key, { ...(value as object), tab: 'a page that is gone' });
    await page('bo@shed.example', device);
    expect(sync.unsent()).toEqual([]);
    await page('ada@shed.example', device);
    expect(sync.unsent().map((e) => e.kind)).toEqual(['edit', 'tick']);
    const left = await asked();
    expect(bodyOf(left)).toEqual(jasmine.objectContaining({ base: 3, patch: set('/brief/plate', 'LEFT') }));
    left.flush(kept(4));
    (await asked(`/api/jobs/${JOB}/ticks`)).flush(null);
    await unsentTo(0);
    expect(shelf.size).toBe(0);
  });

  it('leaves alone what another open page holds', async () => {
    edit('/brief/plate', 'HERE');
    await page('ada@shed.example', device);
    expect([sync.unsent().length, shelf.size]).toEqual([0, 1]);
  });

  it('sets aside what the server refuses, says why, and goes on with the rest', async () => {
    edit('/brief/plate', 'POISON');
    edit('/brief/notes', 'fine');
    (await asked()).flush({ message: 'patch › 0 › value: got a NUL character' }, { status: 422, statusText: 'Unprocessable' });
    (await asked()).flush(kept(4));
    await unsentTo(0);
    const [aside] = sync.setAside();
    expect([aside!.refused, (aside as EditEntry).patch]).toEqual(['patch › 0 › value: got a NUL character', set('/brief/plate', 'POISON')]);
    await page('ada@shed.example', device);
    expect(sync.setAside().length).toBe(1);
    sync.again(sync.setAside()[0]!);
    (await asked()).flush(kept(5));
    await unsentTo(0);
    expect(sync.setAside()).toEqual([]);
  });

  it('sets aside what is too large, and what the server fails on five times', async () => {
    edit('/brief/plate', 'LARGE');
    (await asked()).flush(null, { status: 413, statusText: 'Too large' });
    await unsentTo(0);
    expect(sync.setAside()[0]!.refused).toContain('larger');
    sync.letGo(sync.setAside()[0]!);
    edit('/brief/plate', 'ILL');
    for (let n = 0; n < 5; n++) {
      await new Promise((r) => setTimeout(r, 20));
      void sync.send();
      (await asked()).flush({ message: 'failed at this' }, { status: 500, statusText: 'Error' });
    }
    await unsentTo(0);
    expect(sync.setAside()[0]!.refused).toBe('failed at this');
  });

  it('asks about a clash, holds the job’s later edits, and lets ticks and other jobs pass', async () => {
    edit('/brief/plate', 'MINE');
    (await asked()).flush(theirs(4, ['/brief/plate']), conflict);
    await unsentTo(1);
    expect(sync.clashes().get(JOB)!.clashes[0]!.theirs).toBe('THEIRS');
    edit('/brief/notes', 'later', 4);
    sync.tick(JOB, 'safe-negative', true);
    (await asked(`/api/jobs/${JOB}/ticks`)).flush(null);
    sync.edit('job-2', 1, set('/brief/plate', 'OTHER'), 'other job');
    (await asked('/api/jobs/job-2/revisions')).flush(kept(2));
    await unsentTo(2);
    server.expectNone(REVISIONS);
  });

  it('puts mine on the newest revision under the same id, and asks not twice for what was typed since', async () => {
    edit('/brief/plate', 'MINE');
    const first = await asked();
    edit('/brief/plate', 'MINE TOO');
    first.flush(theirs(7, ['/brief/plate']), conflict);
    await unsentTo(2);
    sync.settle(JOB, true);
    const again = await asked();
    expect(bodyOf(again)).toEqual(jasmine.objectContaining({ base: 7, clientId: bodyOf(first).clientId, patch: set('/brief/plate', 'MINE') }));
    again.flush(kept(8));
    (await asked()).flush(theirs(8, ['/brief/plate']), conflict);
    const last = await asked();
    expect(bodyOf(last)).toEqual(jasmine.objectContaining({ base: 8, patch: set('/brief/plate', 'MINE TOO') }));
    expect(sync.clashes().size).toBe(0);
  });

  it('keeps theirs where they clash, and all else that was mine', async () => {
    sync.edit(JOB, 3, [...set('/brief/plate', 'MINE'), ...set('/brief/notes', 'mine too')], 'both');
    edit('/loads/a/name', 'later');
    (await asked()).flush(theirs(5, ['/brief/plate']), conflict);
    await unsentTo(2);
    sync.settle(JOB, false);
    const rest = await asked();
    expect(bodyOf(rest)).toEqual(jasmine.objectContaining({ base: 5, patch: set('/brief/notes', 'mine too') }));
    rest.flush(kept(6));
    expect(bodyOf(await asked()).patch).toEqual(set('/loads/a/name', 'later'));
  });

  it('sends though the device’s store never answers', async () => {
    await page('ada@shed.example', device);
    device.all = () => new Promise(() => undefined);
    edit('/brief/plate', 'NO STORE');
    (await asked()).flush(kept(4));
    await unsentTo(0);
  });

  it('brings nothing back that a page is done with, when a look into the store began before', async () => {
    edit('/brief/plate', 'ASIDE');
    (await asked()).flush({ message: 'no' }, { status: 422, statusText: 'Unprocessable' });
    await unsentTo(0);
    const before = [...shelf.values()];
    sync.letGo(sync.setAside()[0]!);
    device.all = () => Promise.resolve({ entries: before as never, damaged: [] });
    await sync.takeOver();
    expect(sync.setAside()).toEqual([]);
  });

  it('waits for a sign-in that has ended, and goes on by itself', async () => {
    edit('/brief/plate', 'ONE');
    (await asked()).flush({ message: 'Sign in first.' }, { status: 401, statusText: 'Unauthorized' });
    await unsentTo(1);
    expect([sync.signedOut(), sync.offline()]).toEqual([true, false]);
    person.set({ email: 'ada@shed.example' });
    (await asked()).flush(kept(4));
    await unsentTo(0);
    expect(sync.signedOut()).toBeFalse();
  });
});
