import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { SessionService } from '../services/session.service';
import { Shelf } from './shelf';

/** Asks the server, and where it does not answer gives what it said last on this device to this person. */
@Injectable({ providedIn: 'root' })
export class KeptAnswers {
  private readonly http = inject(HttpClient);
  private readonly shelf = inject(Shelf);
  private readonly session = inject(SessionService);

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
      return kept;
    }
  }
}
