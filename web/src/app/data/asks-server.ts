import type { HttpErrorResponse } from '@angular/common/http';
import { signal } from '@angular/core';
import { firstValueFrom, type Observable } from 'rxjs';

/** What the server has against something, in words. */
export function inWordsOf(error: HttpErrorResponse): string {
  if (error.status === 0) return 'The server does not answer.';
  return (error.error as { message?: string } | null)?.message ?? `The server answered ${error.status}.`;
}

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
      this.trouble.set(`${what}: ${inWordsOf(error as HttpErrorResponse)}`);
      return null;
    }
  }

  /** Whether something was done that has no answer of its own. */
  protected async done(what: string, ask: Observable<unknown>): Promise<boolean> {
    await this.tried(what, ask);
    return this.trouble() === null;
  }
}
