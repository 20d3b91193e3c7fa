import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Part } from '@meridex/core';
import { AsksServer } from './asks-server';

export interface OwnPart {
  readonly part: Part;
  readonly retired: boolean;
  readonly author: string;
  readonly at: string;
}

/** The workshop's own parts, kept for every job. */
@Injectable({ providedIn: 'root' })
export class OwnPartsService extends AsksServer {
  private readonly http = inject(HttpClient);
  readonly list = signal<readonly OwnPart[]>([]);

  async load(): Promise<void> {
    const list = await this.tried('The workshop’s parts could not be read', this.http.get<readonly OwnPart[]>('/api/parts'));
    if (list) this.list.set(list);
  }

  async keep(part: Part): Promise<void> {
    if (await this.tried('The part could not be kept', this.http.post('/api/parts', part))) await this.load();
  }

  async keepFile(text: string): Promise<number> {
    const kept = await this.tried('The file was not taken', this.http.post<readonly OwnPart[]>('/api/parts/file', { text }));
    if (kept) await this.load();
    return kept?.length ?? 0;
  }

  async retire(id: string): Promise<void> {
    if (await this.tried('The part could not be retired', this.http.delete(`/api/parts/${encodeURIComponent(id)}`))) await this.load();
  }
}
