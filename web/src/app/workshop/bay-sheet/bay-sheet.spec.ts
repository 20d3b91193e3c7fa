import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { blankDesign } from '@meridex/core';
import type { Bay, JobLine } from '../../data/jobs.service';
import { SessionService } from '../../data/session.service';
import { askedOf, until } from '../../testing/asked';
import { BaySheet } from './bay-sheet';

const line = (id: string, change: Partial<JobLine> = {}): JobLine => ({
  id,
  customer: `Customer ${id}`,
  vehicle: 'van',
  plate: 'P 1',
  promisedOn: '2099-01-02',
  state: 'planning',
  note: '',
  phone: '',
  stages: Array<'hollow'>(12).fill('hollow'),
  hold: { mark: 'look', say: '2 to look at' },
  next: { stage: 'runs', say: 'Type the lengths' },
  minutes: 0,
  licensed: false,
  partsBy: null,
  ...change,
});

describe('the bay sheet', () => {
  let fixture: ComponentFixture<BaySheet>;
  let server: HttpTestingController;
  let element: HTMLElement;
  const show = async (bay: Bay): Promise<void> => {
    server.expectOne('/api/jobs').flush(bay);
    await fixture.whenStable();
  };
  const key = async (k: string): Promise<void> => {
    document.dispatchEvent(new KeyboardEvent('keydown', { key: k }));
    await fixture.whenStable();
  };

  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        provideRouter([]),
        provideNzI18n(en_US),
        { provide: SessionService, useValue: { person: signal({ email: `${crypto.randomUUID()}@shed.example` }) } },
      ],
    });
    fixture = TestBed.createComponent(BaySheet);
    server = TestBed.inject(HttpTestingController);
    element = fixture.nativeElement as HTMLElement;
  });

  it('takes along what is shown, the first first, and says that it is here', async () => {
    await show({ lines: [line('a'), line('b', { customer: 'Other' }), line('t', { state: 'template' })], deleted: [], pending: 0, buy: [], care: [] });
    const find = element.querySelector<HTMLInputElement>('input[type=search]')!;
    find.value = 'other';
    find.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    const press = [...element.querySelectorAll('button')].find((b) => b.textContent!.includes('along'))!;
    expect([press.textContent!.trim(), press.getAttribute('aria-label')]).toEqual(['Take 1 along', jasmine.stringContaining('for work without signal')]);
    press.click();
    for (const what of ['design', 'ticks', 'readings', 'photos', 'comments', 'quotes', 'reviews']) (await askedOf(server, `/api/jobs/b/${what}`, 'GET')).flush([]);
    await until(() => element.querySelector('p.holds[role=status]') !== null);
    expect(element.querySelector('p.holds')!.textContent).toContain('1 job kept on this device');
  });

  it('keeps templates aside, and begins a job from one', async () => {
    await show({ lines: [line('a'), line('t', { state: 'template', customer: 'Usual canopy' })], buy: [], care: [], deleted: [], pending: 0 });
    const text = (): string => element.textContent!.replace(/\s+/g, ' ');
    const press = async (name: string): Promise<void> => {
      const all = [...element.querySelectorAll('button'), ...document.querySelectorAll<HTMLButtonElement>('mx-new-job button')];
      all.find((b) => b.textContent!.trim() === name)!.click();
      await fixture.whenStable();
    };
    expect(text()).not.toContain('Usual canopy');
    await press('1 template');
    expect([text().includes('Usual canopy'), text().includes('Customer a'), text().includes('1 template that new jobs begin from')]).toEqual([true, false, true]);
    await press('Back to the jobs');
    await key('n');
    await until(() => document.querySelector('mx-new-job') !== null, 'the dialog');
    await press('a template');
    const name = document.querySelector<HTMLInputElement>('mx-new-job input[name=customer]')!;
    name.value = 'Quartz Gully Rovers';
    name.dispatchEvent(new Event('input'));
    document.querySelector('mx-new-job form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await fixture.whenStable();
    expect(server.expectOne({ url: '/api/jobs', method: 'POST' }).request.body).toEqual({ customer: 'Quartz Gully Rovers', promisedOn: null, from: 't' });
  });

  it('has a row a job with what holds it up and what to do next', async () => {
    await show({ lines: [line('a'), line('b', { hold: { mark: 'stop', say: 'fuse cannot break it' } })], buy: [], care: [], deleted: [], pending: 0 });
    const rows = [...element.querySelectorAll('tbody tr')].map((r) => r.textContent!);
    expect(rows.length).toBe(2);
    expect(rows[1]).toContain('fuse cannot break it');
    expect(element.querySelector('.sum')!.textContent).toContain('2 jobs · 0 promised within a week · 1 held up');
  });

  it('says what to buy and what comes back for care', async () => {
    await show({
      lines: [],
      buy: [{ what: 'cable 35 mm² red', quantity: 14, unit: 'm' }],
      care: [
        { id: 'x', customer: 'Orchard', on: '2099-01-14', what: 'Re-tighten every joint' },
        { id: 'y', customer: 'Attic', on: '2020-01-14', what: 'Known-load test' },
        { id: 'z', customer: 'Shed', on: null, what: '' },
      ],
      deleted: [],
      pending: 0,
    });
    expect(element.querySelector('.below')!.textContent).toMatch(/cable 35 mm² red\s*14 m/);
    expect(element.querySelector('.below')!.textContent).toContain('14 Jan: Re-tighten every joint');
    expect(element.querySelector('.below')!.textContent).toContain('late since 14 Jan 2020: Known-load test');
    expect(element.querySelector('.below')!.textContent).toContain('nobody said when it left');
  });

  it('keeps the keys in the customer’s name while the dialog of a new job still opens and takes them to its frame', async () => {
    await show({ lines: [], buy: [], care: [], deleted: [], pending: 0 });
    await key('n');
    const customer = document.querySelector<HTMLInputElement>('mx-new-job input[name="customer"]')!;
    expect(document.activeElement).toBe(customer);
    document.querySelector<HTMLElement>('nz-modal-container')!.focus();
    expect(document.activeElement).toBe(customer);
  });

  it('opens the chosen job at its next thing to do', async () => {
    await show({ lines: [line('a'), line('b')], buy: [], care: [], deleted: [], pending: 0 });
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await key('j');
    await key('j');
    await key('k');
    await key('Enter');
    expect(go.calls.mostRecent().args[0]).toEqual(['/jobs', 'a', 'runs']);
  });

  it('invites the first job where there is none', async () => {
    await show({ lines: [], buy: [], care: [], deleted: [], pending: 0 });
    expect(element.querySelector('.empty')!.textContent).toContain('No jobs yet');
  });

  it('says so when the server does not answer', async () => {
    server.expectOne('/api/jobs').error(new ProgressEvent('error'));
    // What was kept on this device is looked for first.
    await until(() => element.querySelector('[role=alert]') !== null);
    expect(element.querySelector('[role=alert]')!.textContent).toContain('the server does not answer');
  });

  it('finds among the jobs by any words, and lets what is closed stand aside', async () => {
    await show({ lines: [line('a', { customer: 'Two Creeks', state: 'quoted' }), line('b', { note: 'gland' }), line('c', { state: 'closed' })], buy: [], care: [], deleted: [], pending: 0 });
    const names = (): string[] => [...element.querySelectorAll('td.job b')].map((b) => b.textContent!);
    expect(names()).toEqual(['Two Creeks', 'Customer b']);
    const type = async (words: string): Promise<void> => {
      const field = element.querySelector<HTMLInputElement>('[aria-label="Find among the jobs"]')!;
      field.value = words;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    await type('gland');
    expect(names()).toEqual(['Customer b']);
    await type('xyz');
    expect(element.querySelector('td.empty')!.textContent).toContain('No job has “xyz”');
    await type('');
    [...element.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent!.trim() === '1 closed')!.click();
    await fixture.whenStable();
    expect(names()).toEqual(['Two Creeks', 'Customer b', 'Customer c']);
  });

  it('sets the state and the note of a job, and says what is against it; nothing typed is lost', async () => {
    await show({ lines: [line('a', { state: 'planning' })], buy: [], care: [], deleted: [], pending: 0 });
    element.querySelector<HTMLElement>('button.state')!.click();
    await fixture.whenStable();
    const note = document.querySelector<HTMLInputElement>('.ant-modal input[name=note]')!;
    note.value = 'waits for glands';
    note.dispatchEvent(new Event('input'));
    const send = async (): Promise<void> => {
      document.querySelector<HTMLElement>('.ant-modal form')!.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    await send();
    const asked = server.expectOne({ method: 'PATCH', url: '/api/jobs/a' });
    expect(asked.request.body).toEqual({ state: 'planning', promisedOn: '2099-01-02', note: 'waits for glands' });
    asked.flush({ message: 'A viewer may not set a job’s state and day; an owner or electrician may.' }, { status: 403, statusText: 'said' });
    await fixture.whenStable();
    expect(document.querySelector('.ant-modal [role=alert]')!.textContent).toContain('A viewer may not');
    expect(note.value).toBe('waits for glands');
    await send();
    server.expectOne({ method: 'PATCH', url: '/api/jobs/a' }).flush(null, { status: 204, statusText: 'kept' });
    await show({ lines: [line('a', { note: 'waits for glands' })], buy: [], care: [], deleted: [], pending: 0 });
    expect(element.querySelector('button.state')!.textContent).toBe('planning');
  });

  const modal = (): HTMLElement => [...document.querySelectorAll<HTMLElement>('.ant-modal')].at(-1)!;
  const press = async (name: string, within: HTMLElement): Promise<void> => {
    [...within.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent!.trim() === name)!.click();
    await fixture.whenStable();
  };
  const submit = async (): Promise<void> => {
    modal().querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
  };
  const named = async (customer: string): Promise<void> => {
    const field = modal().querySelector<HTMLInputElement>('input[name=customer]')!;
    field.value = customer;
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };

  it('deletes a job and takes it back', async () => {
    await show({ lines: [line('a')], buy: [], care: [], deleted: [], pending: 0 });
    await press('planning', element);
    await press('Delete', modal());
    const asked = server.expectOne({ method: 'PATCH', url: '/api/jobs/a' });
    expect(asked.request.body).toEqual({ deleted: true });
    asked.flush(null, { status: 204, statusText: 'kept' });
    await show({ lines: [], buy: [], care: [], deleted: [{ id: 'a', customer: 'Customer a' }], pending: 0 });
    expect(element.querySelector('.gone')!.textContent).toContain('Customer a is deleted.');
    await press('1 deleted', element);
    expect(element.querySelector('section.gone')!.textContent).toContain('Customer a');
    await press('Take it back', element.querySelector('.gone')!);
    const back = server.expectOne({ method: 'PATCH', url: '/api/jobs/a' });
    expect(back.request.body).toEqual({ deleted: false });
    back.flush(null, { status: 204, statusText: 'kept' });
    await show({ lines: [line('a')], buy: [], care: [], deleted: [], pending: 0 });
    expect(element.querySelector('.gone')).toBeNull();
  });

  it('begins a new job as a copy of one, without asking which', async () => {
    await show({ lines: [line('a')], buy: [], care: [], deleted: [], pending: 0 });
    await press('planning', element);
    await press('Copy', modal());
    await submit();
    expect(modal().querySelector('[role=alert]')!.textContent).toContain('Customer: nothing typed');
    await named('Spinifex Track Care');
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await submit();
    const asked = server.expectOne({ method: 'POST', url: '/api/jobs' });
    expect(asked.request.body).toEqual({ customer: 'Spinifex Track Care', promisedOn: null, from: 'a' });
    asked.flush({ id: 'b' }, { status: 201, statusText: 'made' });
    expect(go.calls.mostRecent().args[0]).toEqual(['/jobs', 'b', 'brief', 'vehicle']);
  });

  it('begins one from a job file, and says what is wrong with one that is none', async () => {
    await show({ lines: [], buy: [], care: [], deleted: [], pending: 0 });
    await key('n');
    await press('a job file', modal());
    const give = async (text: string): Promise<void> => {
      const box = modal().querySelector<HTMLInputElement>('input[type=file]')!;
      const files = new DataTransfer();
      files.items.add(new File([text], 'job.json', { type: 'application/json' }));
      box.files = files.files;
      box.dispatchEvent(new Event('change'));
      for (let n = 0; n < 20; n++) await new Promise((r) => setTimeout(r, 5));
      await fixture.whenStable();
    };
    await give('{"half');
    expect(modal().querySelector('[role=alert]')!.textContent).toContain('job.json: this is no JSON');
    await give('{"design": {"schemaVersion": 6}}');
    expect(modal().querySelector('[role=alert]')!.textContent).toMatch(/job\.json: brief/);
    const design = blankDesign('Two Creeks Bookmobile');
    await give(JSON.stringify({ design }));
    expect(modal().querySelector('[role=alert]')).toBeNull();
    expect(modal().querySelector<HTMLInputElement>('input[name=customer]')!.value).toBe('Two Creeks Bookmobile');
    await submit();
    expect(server.expectOne({ method: 'POST', url: '/api/jobs' }).request.body).toEqual({ customer: 'Two Creeks Bookmobile', promisedOn: null, design: JSON.parse(JSON.stringify(design)) as object });
  });
});
