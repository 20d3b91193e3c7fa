import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { Shelf } from './sync/shelf';
import { keepHere, keptHere } from './kept-here';
import { catchError, map, type Observable, of, tap } from 'rxjs';

export interface Person {
  readonly name: string;
  readonly email: string;
  readonly role: string;
  readonly workshop: string;
}

const LAST = 'meridex.person';

const isPerson = (kept: unknown): kept is Person => typeof kept === 'object' && kept !== null && 'email' in kept && 'role' in kept;

/** Who is signed in. */
@Injectable({ providedIn: 'root' })
export class SessionService {
  private readonly http = inject(HttpClient);
  private readonly shelf = inject(Shelf);
  private readonly current = signal<Person | null>(null);
  readonly person = this.current.asReadonly();

  /** The person of this browser; null when nobody is signed in. */
  whoAmI(): Observable<Person | null> {
    if (this.current()) return of(this.current());
    return this.http.get<Person>('/api/session').pipe(
      // Without an answer it is still the person who was here last; a server that knows nobody says so.
      catchError((error: HttpErrorResponse) => of(error.status === 0 || error.status >= 500 ? keptHere<Person | null>(LAST, isPerson, null) : null)),
      tap((p) => this.set(p)),
    );
  }

  signIn(email: string, password: string): Observable<Person> {
    return this.http.post<Person>('/api/session', { email, password }).pipe(tap((p) => this.set(p)));
  }

  signOut(): Observable<null> {
    return this.http.delete('/api/session').pipe(
      catchError(() => of(null)),
      tap(() => {
        this.set(null);
        this.shelf.forgetAnswers();
      }),
      map(() => null),
    );
  }

  /** The workshop is called otherwise from now on. */
  renamed(workshop: string): void {
    const person = this.current();
    if (person) this.set({ ...person, workshop });
  }

  private set(person: Person | null): void {
    this.current.set(person);
    keepHere(LAST, person);
  }
}
