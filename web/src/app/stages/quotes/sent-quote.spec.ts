import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import type { OpenQuote } from '@meridex/contract';
import type { Quote, QuoteOption } from '@meridex/core';
import { DesignService } from '../../data/design.service';
import { KeptAnswers } from '../../data/sync/kept-answers';
import { SentQuotePage } from './sent-quote';

const option = (key: QuoteOption['key'], name: string, totalMinor: number): QuoteOption => ({
  key,
  name,
  gives: ['Battery'],
  lines: [{ what: 'Cable', minor: totalMinor }],
  netMinor: totalMinor,
  taxMinor: 0,
  totalMinor,
});
const OPEN: OpenQuote<Quote> = {
  workshop: { name: 'Siding Lane Electrics', address: '9 Siding Lane', phone: '(07) 5550 0142', licence: '', logo: '' },
  quote: {
    customer: 'Two Creeks',
    vehicle: 'bus',
    money: { sign: '$', tax: '', taxPercent: 0 },
    notIncluded: ['Towing'],
    options: [option('plan', 'As planned', 612_345), option('lean', 'Lean', 500_000)],
  },
  at: '2026-11-28T10:00:00Z',
  until: '2026-12-28',
  state: 'open',
  accepted: null,
};
const AT = '/api/sent-quotes/abc';

describe('a quote as its customer has it', () => {
  let fixture: ComponentFixture<SentQuotePage>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const press = async (text: string): Promise<void> => {
    [...page().querySelectorAll('button')].find((b) => b.textContent!.trim().startsWith(text))!.click();
    await fixture.whenStable();
  };
  const type = async (field: 'input' | 'textarea', text: string): Promise<void> => {
    const box = page().querySelector<HTMLInputElement>(field)!;
    box.value = text;
    box.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  const says = (): string => page().querySelector('[role=alert]')?.textContent ?? '';
  const come = async (change: Partial<OpenQuote<Quote>> = {}): Promise<void> => {
    http.expectOne(AT).flush({ ...OPEN, ...change });
    await fixture.whenStable();
  };

  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        { provide: KeptAnswers, useValue: {} },
        { provide: DesignService, useValue: { jobId: signal(null) } },
      ],
    });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(SentQuotePage);
    fixture.componentRef.setInput('token', 'abc');
    fixture.detectChanges();
  });

  it('is had on paper, and bears the workshop’s logo where it has one', async () => {
    await come({ workshop: { ...OPEN.workshop, logo: 'iVBORw0KGgo=' } });
    expect([...page().querySelectorAll('a')].find((a) => a.textContent!.includes('On paper'))!.getAttribute('href')).toBe(`${AT}/quote.pdf`);
    expect(page().querySelector('img')!.getAttribute('src')).toBe('data:image/png;base64,iVBORw0KGgo=');
  });

  it('is accepted by name, one option of several', async () => {
    await come();
    expect(page().textContent).toContain('$6,123.45');
    expect(page().querySelector('a')!.getAttribute('href')).toBe('tel:0755500142');
    await press('Accept');
    expect(says()).toContain('Press the option that you want first');
    await press('Take “Lean”');
    await press('Accept “Lean” for $5,000.00');
    expect(says()).toContain('Your name');
    await type('input', 'Priya');
    await press('Accept');
    const asked = http.expectOne(`${AT}/accept`);
    expect(asked.request.body).toEqual({ option: 'lean', name: 'Priya' });
    asked.flush(null);
    await come({ state: 'accepted', accepted: { option: 'Lean', by: 'Priya', at: '2026-11-29T10:00:00Z' } });
    expect(page().querySelector('[role=status]')!.textContent).toContain('accepted by Priya');
    expect(page().querySelector('input')).toBeNull();
  });

  it('says what the workshop’s server has against it, and keeps what was typed', async () => {
    await come({ quote: { ...OPEN.quote, options: [OPEN.quote.options[0]!] } });
    await type('input', 'Priya');
    await press('Accept “As planned”');
    http.expectOne(`${AT}/accept`).flush({ message: 'This quote stood until 2026-12-28: ask the workshop for a new one.' }, { status: 409, statusText: 'Conflict' });
    await come({ quote: { ...OPEN.quote, options: [OPEN.quote.options[0]!] } });
    expect(says()).toContain('stood until');
    expect(page().querySelector('input')!.value).toBe('Priya');
  });

  it('takes a question, once something is asked', async () => {
    await come();
    await type('input', 'Priya');
    await press('Ask the workshop');
    expect(says()).toContain('Type what you would like to know first');
    await type('textarea', 'with two more sockets?');
    await press('Ask the workshop');
    const asked = http.expectOne(`${AT}/ask`);
    expect((asked.request.body as { text: string }).text).toBe('with two more sockets?');
    asked.flush(null);
    await come();
    expect([page().querySelector('[role=status]')!.textContent, page().querySelector('textarea')!.value]).toEqual(['Your question is with the workshop.', '']);
  });

  it('that is over, taken back or not there says so and asks nothing', async () => {
    await come({ state: 'run out' });
    expect([page().textContent!.includes('This quote stood until'), page().querySelector('form, input')]).toEqual([true, null]);
  });

  it('of a wrong link says so', async () => {
    http.expectOne(AT).flush({ message: 'There is no such quote.' }, { status: 404, statusText: 'Not found' });
    await fixture.whenStable();
    expect(says()).toContain('There is no such quote');
  });
});
