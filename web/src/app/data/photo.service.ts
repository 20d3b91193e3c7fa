import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Photo, PhotoChange } from '@meridex/contract';
import { recordKey } from '@meridex/core';
import { firstValueFrom } from 'rxjs';
import type { Entry, PhotoEntry } from './sync/entry';
import { inWordsOf } from './asks-server';
import { JobList } from './job-list';
import { photoFrom } from './photo-file';

/** A photo as it is shown. */
export interface ShownPhoto {
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

const asJpeg = (bytes: string): string => `data:image/jpeg;base64,${bytes}`;

/** Photos of the open job: shown at once, sent by the sync service like all else that a person does. */
@Injectable({ providedIn: 'root' })
export class PhotoService extends JobList<Photo, ShownPhoto> {
  private readonly http = inject(HttpClient);
  /** The one that is looked at, with what it shows in words. */
  readonly large = signal<{ readonly photo: ShownPhoto; readonly of: string } | null>(null);

  /** The one that was just taken away. */
  readonly away = signal<string | null>(null);

  constructor() {
    super('photo', 'photos', 'photos');
  }

  protected asKept(p: Photo): ShownPhoto {
    return { ...p, small: asJpeg(p.small), large: `/api/photos/${p.id}`, toSend: false };
  }

  protected asUnsent(entry: Entry): ShownPhoto {
    const { body } = entry as PhotoEntry;
    return { ...body, small: asJpeg(body.small), large: asJpeg(body.image), author: '', toSend: true };
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

  /** Takes a photo off the lists; as long as it is looked at it can be brought back. */
  async takeAway(id: string): Promise<void> {
    if (!(await this.setAway(id, true, 'The photo stays'))) return;
    this.known.update((all) => all.filter((p) => p.id !== id));
    this.away.set(id);
  }

  async bringBack(id: string): Promise<void> {
    if (!(await this.setAway(id, false, 'The photo is not back'))) return;
    this.away.set(null);
    await this.readAgain();
  }

  /** Looks at one, or at none. */
  look(photo: ShownPhoto | null, of = ''): void {
    this.away.set(null);
    this.large.set(photo && { photo, of });
  }

  /** Says anew what a kept photo shows. */
  async call(id: string, caption: string): Promise<void> {
    if (!(await this.change(id, { caption }, 'What it shows is not kept'))) return;
    this.known.update((all) => all.map((p) => (p.id === id ? { ...p, caption } : p)));
    this.large.update((l) => (l?.photo.id === id ? { ...l, photo: { ...l.photo, caption } } : l));
  }

  private setAway(id: string, takenAway: boolean, what: string): Promise<boolean> {
    return this.change(id, { takenAway }, what);
  }

  private async change(id: string, change: PhotoChange, what: string): Promise<boolean> {
    this.trouble.set(null);
    try {
      await firstValueFrom(this.http.patch(`/api/photos/${id}`, change));
      return true;
    } catch (error) {
      this.trouble.set(`${what}: ${inWordsOf(error as HttpErrorResponse)}`);
      return false;
    }
  }
}
