import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import type { Photo } from '@meridex/contract';
import { recordKey, recordsOf } from '@meridex/core';
import { firstValueFrom } from 'rxjs';
import type { Entry, PhotoEntry } from '../sync/entry';
import { KeptAnswers } from '../sync/kept-answers';
import { SyncService } from '../sync/sync.service';
import { inWordsOf } from './asks-server';
import { DesignService } from './design.service';
import { photoFrom } from './photo-file';

/** A photo as it is shown. */
export interface Shown {
  readonly id: string;
  /** The step or reading that it shows; empty: the job as a whole. */
  readonly about: string;
  readonly caption: string;
  /** Addresses of the small and the large picture. */
  readonly small: string;
  readonly large: string;
  readonly author: string;
  /** It is still on this device alone. */
  readonly toSend: boolean;
}

const isPhoto = (e: Entry): e is PhotoEntry => e.kind === 'photo';
const asJpeg = (bytes: string): string => `data:image/jpeg;base64,${bytes}`;

/** Photos of the open job: shown at once, sent by the sync service like all else that a person does. */
@Injectable({ providedIn: 'root' })
export class PhotoService {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  private readonly sync = inject(SyncService);
  private readonly designs = inject(DesignService);
  private readonly known = signal<readonly Photo[]>([]);
  private opened: string | null = null;
  /** The one that is looked at, with what it shows in words. */
  readonly large = signal<{ readonly photo: Shown; readonly of: string } | null>(null);
  readonly trouble = signal<string | null>(null);

  /** Of the whole job, oldest first. */
  readonly all = computed((): readonly Shown[] => {
    const there = new Set(this.known().map((p) => p.id));
    const mine = this.sync.ofJob(this.designs.jobId() ?? '').filter(isPhoto);
    return [
      ...this.known().map((p) => ({ ...p, small: asJpeg(p.small), large: `/api/photos/${p.id}`, toSend: false })),
      ...mine.filter((e) => !there.has(e.id)).map(({ body }) => ({ ...body, small: asJpeg(body.small), large: asJpeg(body.image), author: '', toSend: true })),
    ];
  });
  /** Of the vehicle that is looked at, by what they show. */
  readonly byAbout = computed(() => {
    const keyed: Record<string, readonly Shown[]> = {};
    for (const p of this.all()) keyed[p.about] = [...(keyed[p.about] ?? []), p];
    return new Map(Object.entries(recordsOf(this.designs.vehicle(), keyed)));
  });

  constructor() {
    this.kept.back$.subscribe(() => void this.readAgain());
    this.sync.events$.subscribe(({ what, entry }) => {
      if (what === 'kept' && entry.kind === 'photo' && entry.jobId === this.opened) void this.readAgain();
    });
  }

  async open(jobId: string): Promise<void> {
    if (this.opened === jobId) return;
    this.opened = jobId;
    this.known.set([]);
    await this.readAgain();
  }

  async readAgain(): Promise<void> {
    const jobId = this.opened;
    if (!jobId) return;
    try {
      const list = await this.kept.get<Photo[]>(`/api/jobs/${jobId}/photos`);
      if (this.opened === jobId) this.known.set(list);
    } catch (error) {
      this.trouble.set(`The photos could not be read: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }

  /** Keeps files as photos of a step or reading; what is none is said. */
  async add(about: string, files: FileList | null): Promise<void> {
    const jobId = this.designs.jobId();
    if (!jobId) return;
    this.trouble.set(null);
    for (const file of [...(files ?? [])]) {
      const photo = await photoFrom(file);
      if (typeof photo === 'string') this.trouble.set(photo);
      else this.sync.photo(jobId, { about: recordKey(this.designs.vehicle(), about), caption: '', ...photo });
    }
  }

  async takeAway(id: string): Promise<void> {
    this.trouble.set(null);
    try {
      await firstValueFrom(this.http.patch(`/api/photos/${id}`, { takenAway: true }));
      this.known.update((all) => all.filter((p) => p.id !== id));
      this.large.set(null);
    } catch (error) {
      this.trouble.set(`The photo stays: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }
}
