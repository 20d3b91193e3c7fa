import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { NewPriceList, Offers, PriceList } from '@meridex/contract';
import { defer } from 'rxjs';
import { AsksServer } from './asks-server';
import { KeptAnswers } from './sync/kept-answers';

/** What the workshop's suppliers ask. */
@Injectable({ providedIn: 'root' })
export class SuppliersService extends AsksServer {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  readonly lists = signal<readonly PriceList[]>([]);

  async load(): Promise<void> {
    const lists = await this.tried(
      'The price lists could not be read',
      defer(() => this.kept.get<readonly PriceList[]>('/api/price-lists')),
    );
    if (lists) this.lists.set(lists);
  }

  async keep(list: NewPriceList): Promise<boolean> {
    const done = await this.done('The list was not kept', this.http.post('/api/price-lists', list));
    if (done) await this.load();
    return done;
  }

  async putAway(supplier: string): Promise<boolean> {
    const done = await this.done('The list was not put away', this.http.delete(`/api/price-lists/${encodeURIComponent(supplier)}`));
    if (done) await this.load();
    return done;
  }

  /** What of a supplier's list a line is; an empty code: none of it. */
  async choose(supplier: string, of: string, code: string): Promise<void> {
    if (await this.done('The choice was not kept', this.http.put('/api/price-choices', { supplier, key: of, code }))) await this.load();
  }

  /** What the simulated supplier says today. */
  offers(lines: readonly { readonly key: string; readonly count: number; readonly planned: number }[]): Promise<Offers | null> {
    return this.tried('The simulated supplier does not answer', this.http.post<Offers>('/api/simulated-supplier', { lines }));
  }
}
