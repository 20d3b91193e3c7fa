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

/** A job that has a part. */
export interface UsedIn {
  readonly jobId: string;
  readonly customer: string;
  readonly plate: string;
  readonly vehicle: string;
  readonly state: string;
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

  /** Jobs that have a part, shipped or own; null: the server did not say. */
  usedIn(id: string): Promise<readonly UsedIn[] | null> {
    return this.tried('Which jobs have it could not be read', this.http.get<readonly UsedIn[]>(`/api/parts/${encodeURIComponent(id)}/jobs`));
  }

  async retire(id: string): Promise<void> {
    if (await this.tried('The part could not be retired', this.http.delete(`/api/parts/${encodeURIComponent(id)}`))) await this.load();
  }
}
