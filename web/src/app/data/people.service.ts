import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Colleague, Join, Role, SetUp, SignedIn, Standing } from '@meridex/contract';
import type { Observable } from 'rxjs';

export interface Invitation {
  readonly workshop: string;
  readonly role: string;
  readonly by: string;
}

/** The workshop's people: the first one, those who are invited, what each may do. */
@Injectable({ providedIn: 'root' })
export class PeopleService {
  private readonly http = inject(HttpClient);

  standing(): Observable<Standing> {
    return this.http.get<Standing>('/api/standing');
  }

  setUp(asked: SetUp): Observable<null> {
    return this.http.post<null>('/api/standing', asked);
  }

  invitation(token: string): Observable<Invitation> {
    return this.http.get<Invitation>(`/api/invites/${encodeURIComponent(token)}`);
  }

  join(token: string, who: Join): Observable<null> {
    return this.http.post<null>(`/api/invites/${encodeURIComponent(token)}`, who);
  }

  all(): Observable<readonly Colleague[]> {
    return this.http.get<readonly Colleague[]>('/api/people');
  }

  invite(role: Role): Observable<{ readonly token: string; readonly expiresAt: string }> {
    return this.http.post<{ token: string; expiresAt: string }>('/api/people/invites', { role });
  }

  change(id: string, change: { readonly role?: Role; readonly ended?: boolean }): Observable<null> {
    return this.http.patch<null>(`/api/people/${id}`, change);
  }

  resetPassword(id: string, password: string): Observable<null> {
    return this.http.put<null>(`/api/people/${id}/password`, { password });
  }

  changePassword(old: string, password: string): Observable<null> {
    return this.http.put<null>('/api/session/password', { old, password });
  }

  sessions(): Observable<readonly SignedIn[]> {
    return this.http.get<readonly SignedIn[]>('/api/session/all');
  }

  endSession(id: string): Observable<null> {
    return this.http.delete<null>(`/api/session/all/${encodeURIComponent(id)}`);
  }

  endSessions(id: string): Observable<null> {
    return this.http.delete<null>(`/api/people/${id}/sessions`);
  }
}
