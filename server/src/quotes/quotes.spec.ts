import type { Comment, OpenQuote, SentQuote } from '@meridex/contract';
import { catalogueOf, DEMO_JOBS, quoteOf, type Quote } from '@meridex/core';
import { DEMO } from '../demo/load.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

const design = DEMO_JOBS[0]!.design;
const quote = quoteOf(design, catalogueOf(design));
const inDays = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

describe('quotes', () => {
  let shed: TwoWorkshops;
  const send = (change: object = {}, as?: string) => shed.call('POST', `/api/jobs/${shed.job}/quotes`, { id: crypto.randomUUID(), revision: 1, until: inDays(30), quote, ...change }, as);
  const sent = async (change: object = {}): Promise<string> => (await send(change)).json<{ token: string }>().token;
  const listed = async (as?: string): Promise<SentQuote[]> => (await shed.call('GET', `/api/jobs/${shed.job}/quotes`, undefined, as)).json<SentQuote[]>();
  /** By the link alone, signed in nowhere. */
  const byLink = (method: 'GET' | 'POST', path: string, payload?: object) => shed.call(method, `/api/sent-quotes/${path}`, payload, '');
  const stateOfJob = async (): Promise<string> => (await shed.call('GET', '/api/jobs')).json<{ lines: { id: string; state: string }[] }>().lines.find((l) => l.id === shed.job)!.state;

  beforeEach(async () => {
    shed = await twoWorkshops();
    await shed.call('PATCH', `/api/jobs/${shed.job}`, { state: 'planning' });
  }, 60_000);
  afterEach(() => shed?.close());

  it('are seen by their link alone, as they were sent, with what the workshop says of itself', async () => {
    const token = await sent();
    const open = (await byLink('GET', token)).json<OpenQuote<Quote>>();
    expect([open.workshop.name, open.quote, open.state, open.accepted]).toEqual([DEMO.workshop, quote, 'open', null]);
    expect((await byLink('GET', 'x'.repeat(43))).statusCode).toBe(404);
    expect(await stateOfJob()).toBe('quoted');
  });

  it('are had on paper by their link, and by their workshop alone', async () => {
    const token = await sent();
    const [{ id }] = (await listed()) as [SentQuote];
    const pdfs = [await byLink('GET', `${token}/quote.pdf`), await shed.call('GET', `/api/quotes/${id}/quote.pdf`)];
    for (const r of pdfs) expect([r.statusCode, r.headers['content-type'], r.rawPayload.subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-']);
    expect((await byLink('GET', `${'x'.repeat(43)}/quote.pdf`)).statusCode).toBe(404);
    expect((await shed.call('GET', `/api/quotes/${id}/quote.pdf`, undefined, shed.other)).statusCode).toBe(404);
    expect((await shed.call('GET', `/api/quotes/${id}/quote.pdf`, undefined, '')).statusCode).toBe(401);
    // What came of it stands where the signature would: the sheet differs, and is drawn all the same.
    await byLink('POST', `${token}/accept`, { option: 'plan', name: 'Priya' });
    expect((await byLink('GET', `${token}/quote.pdf`)).statusCode).toBe(200);
  });

  it('are accepted once, by name, and the job knows it', async () => {
    const token = await sent();
    expect((await byLink('POST', `${token}/accept`, { option: 'plan', name: 'Priya' })).statusCode).toBe(204);
    const again = await byLink('POST', `${token}/accept`, { option: 'plan', name: 'Somebody' });
    expect([again.statusCode, again.json<{ message: string }>().message]).toEqual([409, 'This quote was accepted already, by Priya.']);
    expect([(await listed())[0]!.accepted!.by, (await listed())[0]!.state, await stateOfJob()]).toEqual(['Priya', 'accepted', 'accepted']);
  });

  it('put a job forward and never back', async () => {
    await shed.call('PATCH', `/api/jobs/${shed.job}`, { state: 'fitting' });
    const token = await sent();
    await byLink('POST', `${token}/accept`, { option: 'plan', name: 'Priya' });
    expect(await stateOfJob()).toBe('fitting');
  });

  it('are refused in words: an option that is not there, a nameless customer, after their day, taken back, sums that are off', async () => {
    const says = async (token: string, body: object): Promise<string> => (await byLink('POST', `${token}/accept`, body)).json<{ message: string }>().message;
    const token = await sent();
    expect(await says(token, { option: 'roomy', name: 'Priya' })).toBe('option: roomy is not in this quote; one of plan is accepted');
    expect(await says(token, { option: 'plan', name: '' })).toBe('name: your name is accepted');
    const old = await sent({ until: inDays(-1) });
    expect(await says(old, { option: 'plan', name: 'Priya' })).toContain('ask the workshop for a new one');
    // One stands at a time: the one before was taken back when the next was sent.
    expect(await says(token, { option: 'plan', name: 'Priya' })).toBe('The workshop has taken this quote back: ask it for the new one.');
    const [plan] = quote.options;
    const off = await send({ quote: { ...quote, options: [{ ...plan!, totalMinor: plan!.totalMinor + 1 }] } });
    expect([off.statusCode, off.json<{ message: string }>().message]).toEqual([422, 'quote: its lines do not add up to its sums']);
  });

  it('have a new link when it is lost, and the old one is dead; withdrawn they are open no more', async () => {
    const token = await sent();
    const [{ id }] = (await listed()) as [SentQuote];
    const fresh = (await shed.call('POST', `/api/quotes/${id}/link`)).json<{ token: string }>().token;
    expect([(await byLink('GET', token)).statusCode, (await byLink('GET', fresh)).statusCode]).toEqual([404, 200]);
    expect((await shed.call('POST', `/api/quotes/${id}/withdraw`)).statusCode).toBe(204);
    expect((await shed.call('POST', `/api/quotes/${id}/withdraw`)).statusCode).toBe(404);
    expect((await listed())[0]!.state).toBe('withdrawn');
  });

  it('are asked about: the question stands among the job’s comments', async () => {
    const token = await sent();
    expect((await byLink('POST', `${token}/ask`, { id: crypto.randomUUID(), name: 'Priya', text: 'with two more sockets?' })).statusCode).toBe(204);
    const comments = (await shed.call('GET', `/api/jobs/${shed.job}/comments`)).json<Comment[]>();
    expect(comments.filter((c) => c.about === 'quote').map((c) => [c.author, c.text])).toEqual([['Priya, by the quote’s link', 'with two more sockets?']]);
  });

  it('are nobody’s of another workshop', async () => {
    await sent();
    const [{ id }] = (await listed()) as [SentQuote];
    expect([await listed(shed.other), (await send({}, shed.other)).statusCode]).toEqual([[], 404]);
    for (const what of ['link', 'withdraw']) expect((await shed.call('POST', `/api/quotes/${id}/${what}`, undefined, shed.other)).statusCode).toBe(404);
  });
});
