import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type Design, supplyOf } from '@meridex/core';
import { onBench } from '../testing/bench';
import { routes } from '../routes';
import { SessionService } from '../data/session.service';
import { askedOf, until } from '../testing/asked';
import { SyncService } from '../data/sync/sync.service';
import { lugsOf } from './progress';
import { isWide, SHEETS } from './stages';
import { Strip } from './strip';
import { TellTales } from './tell-tales';
import { Trunk } from './trunk';

describe('the trunk', () => {
  it('has a breakout for each stage, with the open findings as tags', async () => {
    const { element, bench } = await onBench(Trunk, 'cinema', (d) => void (supplyOf(d).fuseBlock = 'fb-6'), { jobId: 'job-1' });
    expect(element.querySelectorAll('nav a').length).toBe(12);
    const tag = element.querySelector('[data-stage=checks] .tag')!;
    expect(tag.textContent).toContain(String(bench.openAssessment().open.length));
    expect(tag.classList).toContain('stop');
  });

  it('fills a lug as the stage comes on', async () => {
    const { element, bench, settle } = await onBench(Trunk, 'vet', undefined, { jobId: 'job-1' });
    const fit = (): string => element.querySelector('[data-stage=fit]')!.className;
    expect(fit()).not.toMatch(/half|solid/);
    bench.tick(bench.openAssessment().fit[0]!.id, true);
    await settle();
    expect(fit()).toContain('half');
    for (const s of bench.openAssessment().fit) bench.tick(s.id, true);
    await settle();
    expect(fit()).toContain('solid');
  });

  it('never shows a stage with a stop as complete', async () => {
    const { bench } = await onBench(Trunk, 'cinema', (d) => void (supplyOf(d).fuseBlock = 'fb-6'), { jobId: 'job-1' });
    expect(lugsOf(bench.openDesign(), bench.openAssessment(), { ticked: new Set(), read: new Map() }).protection).toEqual({ progress: 'half', tag: 3, stop: true });
  });
});

describe('the tell-tales', () => {
  it('are always the same six, with units', async () => {
    const { element } = await onBench(TellTales, 'vet', undefined, { jobId: 'job-1' });
    expect([...element.querySelectorAll('.name')].map((n) => n.textContent)).toEqual(['Draws', 'Lasts without sun or driving', 'Worst drop', 'Tightest fuse', 'Payload left', 'Findings open']);
    expect(element.textContent).toMatch(/Ah a day.*days.*%.*A · run.*kg/s);
  });

  it('show what moved with the last edit', async () => {
    const { element, bench, settle } = await onBench(TellTales, 'vet', undefined, { jobId: 'job-1' });
    const was = bench.openAssessment().day.ahDay.toFixed(1);
    bench.edit('draw', (d) => (d.loads['l1']!.draw = { by: 'plate', unit: 'W', value: 80 }));
    await settle();
    expect(element.querySelector('a .was')!.textContent).toContain(`was ${was}`);
  });

  it('stand a job with nothing in it', async () => {
    const empty = (d: Design): void => {
      d.loads = {};
      supplyOf(d).battery.part = null;
    };
    const { element } = await onBench(TellTales, 'vet', empty, { jobId: 'job-1' });
    expect(element.textContent).not.toMatch(/NaN|Infinity|undefined/);
    expect(element.textContent).toContain('no loads yet');
  });
});

describe('the strip', () => {
  it('says in words what is kept', async () => {
    const { element, bench, settle } = await onBench(Strip, 'vet', undefined, { jobId: 'job-1' });
    const sync = TestBed.inject(SyncService);
    const kept = (): string => element.querySelector('.kept')!.textContent!.trim();
    expect(kept()).toBe('all kept 14:02');
    sync.lastKept.set({ jobId: 'job-2', at: new Date(new Date().setHours(23, 59)) });
    await settle();
    expect(kept()).withContext('of another job').toBe('all kept 14:02');
    sync.lastKept.set({ jobId: 'job-1', at: new Date(new Date().setHours(23, 58)) });
    await settle();
    expect(kept()).withContext('a reading after the last edit').toBe('all kept 23:58');
    sync.lastKept.set(null);
    bench.keptAt.set(new Date(2025, 2, 4, 9, 30));
    await settle();
    expect(kept()).withContext('of another day').toBe('all kept 4 Mar');
    for (const step of ['a', 'b', 'c']) sync.tick('job-1', step, true);
    sync.offline.set(true);
    await settle();
    expect(kept()).toBe('kept on this tablet, 3 to send');
  });

  it('never says that all is kept while something was not taken', async () => {
    const { element, settle } = await onBench(Strip, 'vet', undefined, { jobId: 'job-1' });
    const [sync, server] = [TestBed.inject(SyncService), TestBed.inject(HttpTestingController)];
    const email = `${crypto.randomUUID()}@shed.example`;
    TestBed.inject(SessionService).signIn(email, 'secret').subscribe();
    server.expectOne('/api/session').flush({ name: 'Ada', email, role: 'owner', workshop: 'Shed' });
    sync.tick('job-1', 'a', true);
    (await askedOf(server, '/api/jobs/job-1/ticks', 'POST')).flush({ message: 'no' }, { status: 422, statusText: 'Unprocessable' });
    await until(() => sync.setAside().length === 1);
    await settle();
    expect(element.querySelector('.kept')!.textContent!.trim()).toBe('1 not taken');
    sync.letGo(sync.setAside()[0]!);
    await settle();
    expect(element.querySelector('.kept')!.textContent!.trim()).toBe('all kept 14:02');
  });

  it('finds stages, runs, loads and findings by any words', async () => {
    const { fixture } = await onBench(Strip, 'vet', undefined, { jobId: 'job-1' });
    const strip = fixture.componentInstance as unknown as { wanted: { set(v: string): void }; commands(): { label: string; kind: string }[] };
    strip.wanted.set('charger battery');
    expect(strip.commands().map((d) => d.label)).toContain('Run 1: Starting battery → charger');
    strip.wanted.set('steril');
    expect(strip.commands().map((d) => d.kind)).toEqual(['load']);
    strip.wanted.set('backed up');
    expect(strip.commands().map((d) => d.kind)).toEqual(['check']);
    strip.wanted.set('230');
    expect(strip.commands().map((d) => d.label)).toEqual(['Checks: 230 V']);
    strip.wanted.set('40 A 6 m');
    expect(strip.commands()[0]).toEqual(jasmine.objectContaining({ kind: 'answer', label: '16 mm², 60 A fuse, 0.58 V lost, 4.8 %' }));
    strip.wanted.set('add portable');
    expect(strip.commands().map((d) => d.label)).toEqual(['Add a portable panel']);
    strip.wanted.set('supply house battery');
    expect(strip.commands().map((d) => d.kind)).toEqual(['thing']);
    strip.wanted.set('nothing like this');
    expect(strip.commands()).toEqual([]);
  });

  it('finds a job by customer or plate, read once', async () => {
    const { element, settle } = await onBench(Strip, 'vet', undefined, { jobId: null });
    const http = TestBed.inject(HttpTestingController);
    const box = element.querySelector('input')!;
    const line = { id: 'j7', customer: 'Two Creeks Bookmobile', vehicle: 'caravan', plate: 'TCB 04', next: { stage: 'runs', say: '' } };
    box.dispatchEvent(new Event('focus'));
    http.expectOne('/api/jobs').flush({ lines: [line], buy: [], care: [] });
    box.dispatchEvent(new Event('focus'));
    http.expectNone('/api/jobs');
    box.focus();
    box.value = 'tcb 04';
    box.dispatchEvent(new Event('input'));
    await settle();
    await settle();
    expect([...document.querySelectorAll('nz-auto-option')].map((o) => o.textContent).join()).toContain('Job: Two Creeks Bookmobile · caravan · TCB 04');
  });

  it('offers undo only when there is something to undo', async () => {
    const { element, bench, settle } = await onBench(Strip, 'vet', undefined, { jobId: 'job-1' });
    const undo = (): HTMLButtonElement => element.querySelector('button[aria-label^="Undo"]')!;
    expect(undo().disabled).toBeTrue();
    bench.undoLabel.set('length of run 1 to 6.4 m');
    await settle();
    expect([undo().disabled, undo().textContent!.includes('length of run 1')]).toEqual([false, true]);
  });
});

describe('the sheets of the stages', () => {
  it('give the width to the sheet that is one wide picture, whatever its address asks for', () => {
    expect(isWide('/jobs/1/protection/diagram?vehicle=van#x')).toBeTrue();
    expect(isWide('/jobs/1/protection/fuses')).toBeFalse();
    expect(isWide('/jobs/1/protection')).toBeFalse();
  });

  it('each have an address, and no address is without its tab', () => {
    const job = routes.find((r) => r.path === 'jobs/:jobId')!;
    for (const [stage, sheets] of Object.entries(SHEETS)) {
      const children = job.children!.find((c) => c.path === stage)!.children!;
      expect(children.flatMap((c) => (c.path && !c.redirectTo ? [c.path] : [])).sort())
        .withContext(stage)
        .toEqual(sheets.map((s) => s.path).sort());
    }
  });
});
