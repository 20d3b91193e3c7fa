import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Count, OnShelf } from '@meridex/contract';
import { defer } from 'rxjs';
import { AsksServer } from './asks-server';
import { KeptAnswers } from './sync/kept-answers';

/** What lies on the workshop's shelf. */
@Injectable({ providedIn: 'root' })
export class StockService extends AsksServer {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  /** By the key of an order's line. */
  readonly shelf = signal<ReadonlyMap<string, OnShelf>>(new Map());

  /** Without `but` as it lies there; with it as if that job had taken nothing, since its document is at hand. */
  async load(but?: string): Promise<void> {
    const list = await this.tried(
      'The shelf could not be read',
      defer(() => this.kept.get<readonly OnShelf[]>(but ? `/api/shelf?but=${but}` : '/api/shelf')),
    );
    if (list) this.shelf.set(new Map(list.map((s) => [s.key, s])));
  }

  async count(of: string, counted: Count, but?: string): Promise<void> {
    if (await this.done('It was not counted', this.http.put(`/api/shelf/${encodeURIComponent(of)}`, counted))) await this.load(but);
  }
}
