import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type Part, readOwnPart } from '@meridex/core';
import { onBench, type OnBench } from '../../testing/bench';
import { OwnPartsPanel } from './own-parts-panel';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
const labelled = (e: HTMLElement, label: string): Element => e.querySelector(`[aria-label="${label}"]`)!;
const button = (e: HTMLElement, words: string): Element => [...e.querySelectorAll('button')].find((b) => b.textContent!.trim() === words)!;
const KEEP = 'Keep it, and offer it in this job';

function attic(capacityAh: number): Part {
  const own = readOwnPart({ kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh });
  if (!own.ok) throw new Error(own.message);
  return own.part;
}

/** The panel on a job, with what the workshop has kept. */
async function withKept(
  ...parts: Part[]
): Promise<OnBench<OwnPartsPanel> & { readonly http: HttpTestingController; answer(method: string, url: string, body: unknown, status?: number): Promise<void> }> {
  const on = await onBench(OwnPartsPanel, 'vet');
  const http = TestBed.inject(HttpTestingController);
  const answer = async (method: string, url: string, body: unknown, status = 200): Promise<void> => {
    http.expectOne({ method, url }).flush(body as object, { status, statusText: 'said' });
    await new Promise((done) => setTimeout(done));
    await on.settle();
  };
  await answer(
    'GET',
    '/api/parts',
    parts.map((part) => ({ part, retired: false, author: 'Ada', at: '2026-11-01' })),
  );
  return { ...on, http, answer };
}

describe('a part of one’s own', () => {
  it('is kept for the workshop and offered in the job from its plate’s figures', async () => {
    const { element, bench, type, click, http } = await withKept();
    await type(labelled(element, 'Name of the part'), 'attic 135');
    await type(labelled(element, 'Capacity of the part'), '135');
    await click(button(element, KEEP));
    expect(bench.openDesign().parts['own-attic-135']).toEqual(attic(135));
    expect(http.match({ method: 'POST', url: '/api/parts' }).map((r) => (r.request.body as Part).id)).toEqual(['own-attic-135']);
  });

  it('is refused with the field, what came and what is accepted; nothing typed is lost', async () => {
    const { element, bench, type, click } = await withKept();
    await type(labelled(element, 'Name of the part'), 'attic 135');
    await click(button(element, KEEP));
    expect(text(element.querySelector('[role=alert]')!)).toContain('capacityAh: nothing came; a number of Ah is accepted');
    expect((labelled(element, 'Name of the part') as HTMLInputElement).value).toBe('attic 135');
    expect(bench.openDesign().parts).toEqual({});
  });

  it('of a job that was planned with other data says what changed since, and takes the newer at a press', async () => {
    const { element, bench, click, settle } = await withKept(attic(140));
    bench.edit('planned', (d) => (d.parts['own-attic-135'] = attic(135)));
    await settle();
    expect(text(element)).toContain('changed since: capacityAh 135 → 140');
    await click(button(element, 'take the newer data'));
    expect((bench.openDesign().parts['own-attic-135'] as { capacityAh: number }).capacityAh).toBe(140);
    expect(text(element)).toContain('as it is now');
  });

  it('says in words what the server has against it', async () => {
    const { element, click, answer } = await withKept(attic(135));
    await click(labelled(element, 'Retire attic 135'));
    await answer('DELETE', '/api/parts/own-attic-135', { message: 'it is not yours' }, 404);
    expect(text(element.querySelector('[role=alert]')!)).toContain('The part could not be retired: it is not yours');
  });
});
