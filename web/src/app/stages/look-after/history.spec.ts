import { type signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { HistoryEntry } from '@meridex/contract';
import { copyDesign, DEMO_JOBS, type Design } from '@meridex/core';
import { of } from 'rxjs';
import { DesignService, type Past } from '../../data/design.service';
import { JobsService } from '../../data/jobs.service';
import { KeptAnswers } from '../../data/sync/kept-answers';
import { onBench } from '../../testing/bench';
import { HistorySheet } from './history';

const vet = (days: number): Design => {
  const d = copyDesign(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
  d.brief.trip.days = days;
  return d;
};
const REVISIONS: Readonly<Record<number, Past>> = Object.fromEntries([1, 2, 3].map((n) => [n, { number: n, at: '2026-11-28T09:00:00Z', author: 'owner', design: vet(4 + n) }]));
const line = (number: number, label: string): HistoryEntry => ({ number, author: 'owner', at: '2026-11-28T09:00:00Z', label, paths: ['/brief/trip/days'] });

describe('every change', () => {
  async function open() {
    TestBed.configureTestingModule({
      providers: [
        { provide: JobsService, useValue: { history: (_: string, before?: number) => of(before === undefined ? [line(3, 'days'), line(2, '')] : [line(1, 'job opened')]) } },
        { provide: KeptAnswers, useValue: { get: (url: string) => Promise.resolve(REVISIONS[Number(url.split('/').at(-1))]) } },
      ],
    });
    const on = await onBench(HistorySheet, 'vet', undefined, {});
    const designs = TestBed.inject(DesignService) as unknown as { revision: ReturnType<typeof signal<number>>; lookBack: (p: Past) => void; bringBack: (p: Past) => string | null };
    designs.revision.set(3);
    const done: string[] = [];
    designs.lookBack = (p) => done.push(`look ${p.number}`);
    designs.bringBack = (p) => {
      done.push(`back ${p.number}`);
      return 'It may not be: reason';
    };
    await on.settle();
    for (let n = 0; n < 200 && !/What it did/.test(on.element.textContent!); n++) {
      await new Promise((r) => setTimeout(r, 10));
      await on.settle();
    }
    const press = async (name: string): Promise<void> => {
      await on.click([...on.element.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!);
      for (let n = 0; n < 200 && (n < 2 || /Comparing/.test(on.element.textContent!)); n++) {
        await new Promise((r) => setTimeout(r, 10));
        await on.settle();
      }
    };
    return { ...on, done, press, text: () => on.element.textContent!.replace(/\s+/g, ' ') };
  }

  it('opens on the newest, says what it changed and that it stands now', async () => {
    const { text } = await open();
    expect(text()).toContain('Revision 3');
    expect(text()).toContain('This is how the job stands now.');
    expect(text()).toMatch(/Brief trip, days ?6 ?7/);
  });

  it('names an older program’s edits by where they are, compares with now, and looks back', async () => {
    const { text, press, done } = await open();
    await press('brief: 1 change');
    expect(text()).toMatch(/Brief trip, days ?5 ?6/);
    await press('with now');
    // The job on the bench is as it ships.
    expect(text()).toMatch(/Brief trip, days ?6 ?5/);
    await press('Look at it');
    await press('Bring it back');
    expect(done).toEqual(['look 2', 'back 2']);
    expect(text()).toContain('It may not be: reason');
  });
});
