import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Count, NewPriceList, Offers, OnShelf, PriceList } from '@meridex/contract';
import { defer } from 'rxjs';
import { AsksServer } from './asks-server';
import { KeptAnswers } from './sync/kept-answers';

/** What the workshop has on its shelf, and what its suppliers ask. */
@Injectable({ providedIn: 'root' })
export class StoresService extends AsksServer {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  /** By the key of an order's line. */
  readonly shelf = signal<ReadonlyMap<string, OnShelf>>(new Map());
  readonly lists = signal<readonly PriceList[]>([]);

  /** Without `but` as it lies there; with it as if that job had taken nothing, since its document is at hand. */
  async loadShelf(but?: string): Promise<void> {
    const list = await this.tried(
      'The shelf could not be read',
      defer(() => this.kept.get<readonly OnShelf[]>(but ? `/api/shelf?but=${but}` : '/api/shelf')),
    );
    if (list) this.shelf.set(new Map(list.map((s) => [s.key, s])));
  }

  async loadLists(): Promise<void> {
    const lists = await this.tried(
      'The price lists could not be read',
      defer(() => this.kept.get<readonly PriceList[]>('/api/price-lists')),
    );
    if (lists) this.lists.set(lists);
  }

  async count(of: string, counted: Count, but?: string): Promise<void> {
    if (await this.done('It was not counted', this.http.put(`/api/shelf/${encodeURIComponent(of)}`, counted))) await this.loadShelf(but);
  }

  async keepList(list: NewPriceList): Promise<boolean> {
    const done = await this.done('The list was not kept', this.http.post('/api/price-lists', list));
    if (done) await this.loadLists();
    return done;
  }

  async putAway(supplier: string): Promise<void> {
    if (await this.done('The list was not put away', this.http.delete(`/api/price-lists/${encodeURIComponent(supplier)}`))) await this.loadLists();
  }

  /** What of a supplier's list a line is; an empty code: none of it. */
  async choose(supplier: string, of: string, code: string): Promise<void> {
    if (await this.done('The choice was not kept', this.http.put('/api/price-choices', { supplier, key: of, code }))) await this.loadLists();
  }

  /** What the simulated supplier says today. */
  offers(lines: readonly { readonly key: string; readonly count: number; readonly planned: number }[]): Promise<Offers | null> {
    return this.tried('The simulated supplier does not answer', this.http.post<Offers>('/api/simulated-supplier', { lines }));
  }
}
