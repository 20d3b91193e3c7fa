import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { SentQuote } from '@meridex/contract';
import type { Design, Quote } from '@meridex/core';
import { CommentService } from '../../data/comment.service';
import { QuoteService } from '../../data/quote.service';
import { SessionService } from '../../data/session.service';
import { SyncService } from '../../data/sync/sync.service';
import { onBench, type OnBench } from '../../testing/bench';
import { until } from '../../testing/asked';
import { QuoteSheet } from './quote';

const SENT: SentQuote = {
  id: 'q1',
  at: '2026-11-28T10:00:00Z',
  author: 'Ada',
  revision: 3,
  until: '2026-12-28',
  state: 'accepted',
  options: [{ key: 'lean', name: 'Lean', totalMinor: 500_000 }],
  accepted: { option: 'Lean', by: 'Priya', at: '2026-11-29T10:00:00Z' },
};

describe('the quote sheet', () => {
  const person = signal({ role: 'owner' });
  const unsent = signal<object[]>([]);
  const quotes = {
    sent: signal<readonly SentQuote[]>([]),
    link: signal(null),
    trouble: signal<string | null>(null),
    open: () => undefined,
    send: jasmine.createSpy('send').and.resolveTo(),
    newLink: jasmine.createSpy('newLink'),
    withdraw: jasmine.createSpy('withdraw'),
  };
  const comments = { byAbout: signal(new Map()), begun: signal(new Map()), trouble: signal(null) };
  const open = async (job = 'vet', change: (d: Design) => void = () => undefined): Promise<OnBench<QuoteSheet>> => {
    TestBed.configureTestingModule({
      providers: [
        { provide: QuoteService, useValue: quotes },
        { provide: SessionService, useValue: { person } },
        { provide: SyncService, useValue: { ofJob: () => unsent() } },
        { provide: CommentService, useValue: comments },
      ],
    });
    const sheet = await onBench(QuoteSheet, job, change);
    await until(() => sheet.element.querySelector('mx-option-card') !== null, 'the quote');
    await sheet.settle();
    return sheet;
  };
  const totals = ({ element }: OnBench<QuoteSheet>): number[] => [...element.querySelectorAll('.total')].map((b) => Number(b.textContent!.replace(/[^\d.]/g, '')));
  const button = ({ element }: OnBench<QuoteSheet>, text: string): HTMLButtonElement => [...element.querySelectorAll('button')].find((b) => b.textContent!.trim() === text)!;
  const field = ({ element }: OnBench<QuoteSheet>, label: string): Element | null => element.querySelector(`[aria-label="${label}"]`);

  beforeEach(() => {
    person.set({ role: 'owner' });
    unsent.set([]);
    quotes.sent.set([]);
    quotes.send.calls.reset();
  });

  it('asks more when the hour costs more, and shows a draft beside the plan when it is offered', async () => {
    const sheet = await open();
    const [before] = totals(sheet);
    await sheet.type(field(sheet, 'Money for an hour of work'), '300');
    await until(() => totals(sheet)[0]! > before!, 'a dearer quote');
    expect(sheet.bench.labels).toEqual(['money for an hour']);
    await sheet.click(button(sheet, 'roomy'));
    await until(() => totals(sheet).length === 2, 'the roomy draft');
    expect(button(sheet, 'roomy').getAttribute('aria-pressed')).toBe('true');
  });

  it('sends what is shown, until the day that is said', async () => {
    const sheet = await open('vet', (d) => void (d.settings.quote.validDays = 14));
    await sheet.click(button(sheet, 'Make its link'));
    const [quote, day] = quotes.send.calls.mostRecent().args as [Quote, string];
    expect(quote.options[0]!.totalMinor / 100).toBe(totals(sheet)[0]!);
    expect(Math.round((Date.parse(day) - Date.parse(new Date().toISOString().slice(0, 10))) / 86_400_000)).toBeGreaterThanOrEqual(13);
  });

  it('says why nothing can be sent: who may, what is not kept, what has no size', async () => {
    const sheet = await open('vet', (d) => void (d.runs[Object.keys(d.loads)[0]!] = {}));
    const says = (): string => sheet.element.querySelector('[aria-label="Sending it"]')!.textContent!;
    unsent.set([{}]);
    await sheet.settle();
    expect([says().includes('Not all is kept yet'), button(sheet, 'Make its link').disabled]).toEqual([true, true]);
    unsent.set([]);
    person.set({ role: 'apprentice' });
    await sheet.settle();
    expect(says()).toContain('An apprentice may not send a quote; an owner or electrician may.');
    person.set({ role: 'owner' });
    const run = sheet.bench.openAssessment().runs.find((r) => r.spec.group === 'loads')!;
    sheet.bench.edit('hot', (d) => void (d.runs[run.spec.id] = { ambientC: 119 }));
    await until(() => says().includes('no size yet'), 'why it cannot be sent');
    expect(button(sheet, 'Make its link').disabled).toBeTrue();
  });

  it('tells what came of those that were sent, and where a draft that was taken stands', async () => {
    quotes.sent.set([SENT, { ...SENT, id: 'q2', state: 'open', accepted: null }]);
    const sheet = await open();
    const [taken, open_] = [...sheet.element.querySelectorAll('.sent li')];
    expect(taken!.textContent).toContain('by Priya');
    expect(taken!.textContent).toContain('the plan has changed since');
    expect(taken!.querySelector('a')!.textContent).toContain('Take that draft under Supply');
    await sheet.click([...open_!.querySelectorAll('button')].find((b) => b.textContent === 'take back')!);
    expect(quotes.withdraw.calls.allArgs()).toEqual([['q2']]);
  });
});
