import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { catchError, map, type Observable, of, tap } from 'rxjs';

export interface Person {
  readonly name: string;
  readonly email: string;
  readonly role: string;
  readonly workshop: string;
}

/** Who is signed in. */
@Injectable({ providedIn: 'root' })
export class SessionService {
  private readonly http = inject(HttpClient);
  private readonly current = signal<Person | null>(null);
  readonly person = this.current.asReadonly();

  /** The person of this browser; null when nobody is signed in. */
  whoAmI(): Observable<Person | null> {
    if (this.current()) return of(this.current());
    return this.http.get<Person>('/api/session').pipe(
      catchError(() => of(null)),
      tap((p) => this.current.set(p)),
    );
  }

  signIn(email: string, password: string): Observable<Person> {
    return this.http.post<Person>('/api/session', { email, password }).pipe(tap((p) => this.current.set(p)));
  }

  signOut(): Observable<null> {
    return this.http.delete('/api/session').pipe(
      catchError(() => of(null)),
      tap(() => this.current.set(null)),
      map(() => null),
    );
  }
}
