import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Workshop } from '@meridex/contract';
import type { Design } from '@meridex/core';
import { type Observable, tap } from 'rxjs';

/** What the workshop says of itself, and how it works; rules null: the usual ones. */
export interface OwnWorkshop extends Workshop {
  readonly rules: Design['settings'] | null;
}

/** The workshop that the person belongs to, as the server keeps it. */
@Injectable({ providedIn: 'root' })
export class WorkshopService {
  private readonly http = inject(HttpClient);
  /** As it was last read or kept. */
  readonly own = signal<OwnWorkshop | null>(null);

  read(): Observable<OwnWorkshop> {
    return this.http.get<OwnWorkshop>('/api/workshop').pipe(tap((w) => this.own.set(w)));
  }

  keep(workshop: OwnWorkshop): Observable<null> {
    return this.http.put<null>('/api/workshop', workshop).pipe(tap(() => this.own.set(workshop)));
  }
}
