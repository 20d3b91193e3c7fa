import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { type ShopWeek, usualShop, workdays } from '@meridex/core';
import { of } from 'rxjs';
import { AnalysisService } from '../../data/analysis.service';
import { type JobLine, JobsService } from '../../data/jobs.service';
import { NOW } from '../../data/now';
import { SessionService } from '../../data/session.service';
import { askedOf, until } from '../../testing/asked';
import { answerAnalysis, type AnalysisAsk } from '../../data/workers/answers';
import { type PutDown, WeekBoard } from './week-board';
import { WeekPage } from './week';
import { planFrom } from './week-jobs';

/** A Monday morning: what is planned begins that day. */
const MORNING = new Date(2026, 11, 7, 9);
const FROM = planFrom(MORNING);
const DAYS = workdays(FROM, []);
const line = (id: string, state: string, hours: number, promisedOn: string | null = null): JobLine => ({
  id,
  customer: `Job ${id}`,
  vehicle: 'van',
  plate: '',
  promisedOn,
  state,
  note: '',
  phone: '',
  stages: [],
  hold: { mark: 'holds', say: '' },
  next: { stage: 'fit', say: '' },
  minutes: 60 * hours,
  licensed: false,
  partsBy: null,
});

describe('the bay’s week', () => {
  // Without an address: the sync service in the strip is to take over nothing of what other specs keep on this device.
  const person = signal({ name: 'Kit', email: '', workshop: 'Shed', role: 'owner' });
  let fixture: ComponentFixture<WeekPage>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const blocks = (): string[] => [...page().querySelectorAll('.block')].map((b) => b.textContent!.replace(/\s+/g, ' ').trim());
  const button = (text: string): HTMLButtonElement => [...page().querySelectorAll('button')].find((b) => b.textContent!.trim() === text)!;
  const press = async (b: HTMLElement): Promise<void> => {
    b.click();
    await fixture.whenStable();
  };
  const open = async (lines: readonly JobLine[], week: ShopWeek | null = null, revision = 3): Promise<void> => {
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        provideRouter([]),
        { provide: NOW, useValue: () => MORNING },
        { provide: SessionService, useValue: { person } },
        { provide: JobsService, useValue: { all: () => of({ lines, pending: 0 }) } },
        { provide: AnalysisService, useValue: { trouble: signal(null), ask: (ask: AnalysisAsk) => Promise.resolve(answerAnalysis(ask)) } },
      ],
    });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(WeekPage);
    fixture.detectChanges();
    (await askedOf(http, '/api/week', 'GET')).flush({ week, revision, author: 'Ada' });
    await until(() => page().querySelector('mx-week-board') !== null, 'the board');
    await fixture.whenStable();
  };
  /** What is kept next. */
  const kept = async (): Promise<{ week: ShopWeek; revision: number }> => {
    const asked = await askedOf(http, '/api/week', 'PUT');
    const body = asked.request.body as { week: ShopWeek; revision: number };
    asked.flush({ revision: body.revision + 1 });
    await fixture.whenStable();
    return body;
  };

  beforeEach(() => {
    localStorage.removeItem('meridex.week');
    person.set({ ...person(), role: 'owner' });
  });
  afterEach(() => localStorage.removeItem('meridex.week'));

  it('plans the jobs whose state says so, and takes in others by a press', async () => {
    await open([line('a', 'accepted', 8), line('b', 'planning', 4), line('c', 'handed over', 4)]);
    expect(blocks().length).toBe(1);
    expect(page().querySelector('.sum')!.textContent).toContain('every promised day is kept');
    await press(page().querySelector<HTMLElement>('[aria-label="Put Job b in"]')!);
    await until(() => blocks().length === 2, 'the second job');
    expect((await kept()).week.jobs['b']!.planned).toBeTrue();
    expect(page().textContent).not.toContain('Job c');
  });

  it('says what is late, and what would save it is planned by a press', async () => {
    const jobs = { a: { planned: null, partsOn: DAYS[3]!, fixed: null, hours: null, weight: 1 as const, needs: 'any' as const } };
    await open([line('a', 'accepted', 8, DAYS[1])], { ...usualShop('Kit'), jobs });
    expect(page().querySelector('.sum')!.textContent).toContain('1 late');
    expect(blocks()[0]).toContain('late');
    await press(button('Plan with it'));
    await until(() => page().querySelector('.sum')!.textContent.includes('every promised day is kept'), 'the better plan');
    expect((await kept()).week.jobs['a']!.partsOn).toBe(FROM);
  });

  it('waits for the parts as they are ordered', async () => {
    await open([{ ...line('a', 'accepted', 8, DAYS[1]), partsBy: DAYS[3]! }]);
    expect(page().querySelector('.sum')!.textContent).toContain('1 late');
    await press(page().querySelector<HTMLElement>('.block')!);
    await until(() => page().querySelector('mx-week-job') !== null, 'what is said of it');
    expect(page().querySelector<HTMLInputElement>('mx-week-job nz-date-picker input')!.placeholder).toContain('as ordered: ');
  });

  it('keeps a promise where a block was put down, until it is let go', async () => {
    await open([line('a', 'accepted', 4)]);
    const board = fixture.debugElement.query((d) => d.componentInstance instanceof WeekBoard).componentInstance as WeekBoard;
    board.put.emit({ job: 'a', bay: 'Bay 1', on: DAYS[2]!, half: 1 } satisfies PutDown);
    await until(() => blocks()[0]!.includes('promised there'), 'the promise');
    expect((await kept()).week.jobs['a']!.fixed).toEqual({ bay: 'Bay 1', on: DAYS[2]!, half: 1 });
    await press(button('Let the plan choose'));
    await until(() => !blocks()[0]!.includes('promised there'), 'the plan’s own choice');
    expect((await kept()).week.jobs['a']!.fixed).toBeNull();
  });

  it('keeps what is said on this device until the server has it, and puts it over no one else’s', async () => {
    await open([line('a', 'accepted', 4)]);
    await press(button('One more bay'));
    (await askedOf(http, '/api/week', 'PUT')).error(new ProgressEvent('error'));
    await until(() => page().querySelector('[role=alert]') !== null, 'why it is not kept');
    expect(page().querySelector('[role=alert]')!.textContent).toContain('not kept yet');
    expect(localStorage.getItem('meridex.week')).toContain('Bay 2');
    TestBed.resetTestingModule();
    await open([line('a', 'accepted', 4)], usualShop('Kit'), 9);
    await until(() => page().querySelector('[role=alert]') !== null, 'whose it is');
    expect(page().querySelector('[role=alert]')!.textContent).toContain('Ada changed the week meanwhile');
    expect(page().querySelectorAll('.bay').length).toBe(1);
  });

  it('begins today, and tomorrow once the day is too far gone', () => {
    expect(planFrom(new Date(2026, 11, 7, 9))).toBe('2026-12-07');
    expect(planFrom(new Date(2026, 11, 31, 15))).toBe('2027-01-01');
  });

  it('is only looked at by who may not settle jobs', async () => {
    person.set({ ...person(), role: 'apprentice' });
    await open([line('a', 'accepted', 4)]);
    expect(button('One more bay')).toBeUndefined();
    expect(page().textContent).toContain('An apprentice may not set a job’s state and day');
  });
});
