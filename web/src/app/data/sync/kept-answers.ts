import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { defer, firstValueFrom, fromEvent, merge, retry, Subject, take, timer } from 'rxjs';
import { SessionService } from '../session.service';
import { Shelf } from './shelf';

/** Between two looks whether the server answers again: growing up to this, ms. */
const LOOKS_MOST_MS = 15_000;

/** Asks the server, and where it does not answer gives what it said last on this device to this person. */
@Injectable({ providedIn: 'root' })
export class KeptAnswers {
  private readonly http = inject(HttpClient);
  private readonly shelf = inject(Shelf);
  private readonly session = inject(SessionService);
  private readonly returns = new Subject<void>();

  /** What is shown was kept here: the server did not answer when it was last asked. */
  readonly fromDevice = signal(false);
  /** The server answers again; what was kept here can be read anew. */
  readonly back$ = this.returns.asObservable();

  async get<T>(url: string): Promise<T> {
    const key = `${this.session.person()?.email ?? ''} ${url}`;
    try {
      const value = await firstValueFrom(this.http.get<T>(url));
      this.shelf.put('answers', key, value);
      return value;
    } catch (error) {
      const { status } = error as HttpErrorResponse;
      const kept = status === 0 || status >= 500 ? await this.shelf.get<T>('answers', key) : undefined;
      if (kept === undefined) throw error;
      if (!this.fromDevice()) this.lookForServer();
      return kept;
    }
  }

  private lookForServer(): void {
    this.fromDevice.set(true);
    const wait = (n: number) => merge(timer(Math.min(LOOKS_MOST_MS, 1000 * 2 ** n)), fromEvent(globalThis, 'online')).pipe(take(1));
    defer(() => this.http.get('/api/health'))
      .pipe(retry({ delay: (_, n) => wait(n) }))
      .subscribe(() => {
        this.fromDevice.set(false);
        this.returns.next();
      });
  }
}
