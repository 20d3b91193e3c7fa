import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { openDB } from 'idb';
import type { Entry } from './entry';
import { Shelf } from './shelf';

const entry = (id: string, at: number): Entry => ({
  id,
  person: 'ada@shed.example',
  jobId: 'job-1',
  tab: 't',
  at,
  touched: at,
  tried: false,
  refused: null,
  kind: 'tick',
  body: { id, stepId: 'safe-negative', done: true },
});
const [ONE, TWO] = [crypto.randomUUID(), crypto.randomUUID()];

describe('the device’s own store', () => {
  let shelf: Shelf;
  beforeEach(async () => {
    localStorage.clear();
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    shelf = TestBed.inject(Shelf);
    for (const e of (await shelf.all()).entries) shelf.remove('entries', e.id);
    await shelf.clearDamaged();
  });
  // What stands here belongs to nobody and would be sent by the next spec's service.
  afterEach(async () => {
    localStorage.clear();
    await shelf.all();
    const db = await openDB('meridex', 1);
    await db.clear('entries');
    db.close();
  });

  it('gives back what was put, in the order in which it was done', async () => {
    shelf.put('entries', TWO, entry(TWO, 2));
    shelf.put('entries', ONE, entry(ONE, 1));
    expect((await shelf.all()).entries).toEqual([entry(ONE, 1), entry(TWO, 2)]);
    shelf.remove('entries', ONE);
    expect((await shelf.all()).entries).toEqual([entry(TWO, 2)]);
  });

  it('gives what can be read where something is damaged, and its text for the rest', async () => {
    shelf.put('entries', ONE, entry(ONE, 1));
    shelf.put('entries', 'odd', { half: 'an entry' });
    const found = await shelf.all();
    expect([found.entries.length, found.damaged]).toEqual([1, ['{"half":"an entry"}']]);
    await shelf.clearDamaged();
    expect((await shelf.all()).damaged).toEqual([]);
  });

  it('takes over what earlier programs kept, and shows what of it is damaged', async () => {
    const patch = [{ op: 'replace', path: '/brief/plate', value: 'OLD' }];
    localStorage.setItem('meridex.outbox.job-7', JSON.stringify({ base: 4, patch, clientId: ONE, edits: 1, behind: [{ op: 'replace', path: '/brief/notes', value: 'behind' }] }));
    localStorage.setItem('meridex.records', JSON.stringify([{ kind: 'readings', jobId: 'job-7', body: { id: TWO, rowId: 'house-rest', value: 12.8, unit: 'V', revision: 4 } }]));
    localStorage.setItem('meridex.outbox.job-8', '{"base": 4, "pat');
    const { entries, damaged } = await shelf.all();
    expect(entries.map((e) => [e.kind, e.jobId, e.tried])).toEqual(
      jasmine.arrayWithExactContents([
        ['edit', 'job-7', true],
        ['edit', 'job-7', true],
        ['reading', 'job-7', true],
      ]),
    );
    expect(entries.find((e) => e.id === ONE)).toEqual(jasmine.objectContaining({ kind: 'edit', base: 4, patch }));
    expect(damaged).toEqual(['{"base": 4, "pat']);
    // What cannot be read stays where it is until a person lets it go.
    expect([(await shelf.all()).entries.length, Object.keys(localStorage)]).toEqual([3, ['meridex.outbox.job-8']]);
    await shelf.clearDamaged();
    expect([(await shelf.all()).damaged, Object.keys(localStorage)]).toEqual([[], []]);
  });

  it('forgets what the server said, and nothing that is still to be sent', async () => {
    shelf.put('answers', 'ada /api/jobs', { lines: [] });
    shelf.put('entries', ONE, entry(ONE, 1));
    expect(await shelf.get<object>('answers', 'ada /api/jobs')).toEqual({ lines: [] });
    shelf.forgetAnswers();
    expect(await shelf.get('answers', 'ada /api/jobs')).toBeUndefined();
    expect((await shelf.all()).entries.length).toBe(1);
  });

  it('leaves what earlier programs kept where it was, as long as there is no room for it here', async () => {
    localStorage.setItem('meridex.outbox.job-7', JSON.stringify({ base: 4, patch: [{ op: 'replace', path: '/brief/plate', value: 'OLD' }], clientId: ONE, edits: 1, behind: [] }));
    spyOn(IDBObjectStore.prototype, 'put').and.throwError(new DOMException('full', 'QuotaExceededError'));
    for (let n = 0; n < 2; n++) expect((await shelf.all()).entries.map((e) => e.id)).toEqual([ONE]);
    expect(Object.keys(localStorage)).toEqual(['meridex.outbox.job-7']);
  });

  it('says that nothing is kept where the device has no room, and fails nobody', async () => {
    spyOn(IDBObjectStore.prototype, 'put').and.throwError(new DOMException('full', 'QuotaExceededError'));
    shelf.put('entries', ONE, entry(ONE, 1));
    expect((await shelf.all()).entries).toEqual([]);
    expect(shelf.trouble()).toContain('its storage is full');
  });
});
