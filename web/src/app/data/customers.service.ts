import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Contact, Customer } from '@meridex/contract';
import type { Observable } from 'rxjs';

/** Who the workshop works for. */
@Injectable({ providedIn: 'root' })
export class CustomersService {
  private readonly http = inject(HttpClient);

  all(): Observable<readonly Customer[]> {
    return this.http.get<readonly Customer[]>('/api/customers');
  }

  keep(id: string, contact: Contact): Observable<null> {
    return this.http.put<null>(`/api/customers/${encodeURIComponent(id)}`, contact);
  }
}
