import type { HttpErrorResponse } from '@angular/common/http';
import { signal } from '@angular/core';
import { firstValueFrom, type Observable } from 'rxjs';

/** What asks the server for something of the workshop's own, and says in words what came in the way. */
export abstract class AsksServer {
  readonly trouble = signal<string | null>(null);

  /** The answer; null where there is none, and then `trouble` says why. */
  protected async tried<T>(what: string, ask: Observable<T>): Promise<T | null> {
    try {
      const done = await firstValueFrom(ask);
      this.trouble.set(null);
      return done;
    } catch (error) {
      const said = (error as HttpErrorResponse).error as { message?: string } | null;
      this.trouble.set(`${what}: ${said?.message ?? 'the server does not answer.'}`);
      return null;
    }
  }
}
