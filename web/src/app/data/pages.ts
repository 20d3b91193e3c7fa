import { inject, Injectable, Injector, signal } from '@angular/core';
import { NavigationEnd, type NavigationError, PreloadingStrategy, type Route, Router, RouterPreloader } from '@angular/router';
import { catchError, EMPTY, filter, firstValueFrom, type Observable, of, take } from 'rxjs';

/** Pages are fetched as they are opened, until somebody wants all of them. */
@Injectable({ providedIn: 'root' })
export class AllWhenWanted implements PreloadingStrategy {
  wanted = false;
  /** Pages that did not come when all were fetched last. */
  missing = 0;

  preload(_route: Route, load: () => Observable<unknown>): Observable<unknown> {
    if (!this.wanted) return EMPTY;
    return load().pipe(
      catchError(() => {
        this.missing++;
        return of(null);
      }),
    );
  }
}

/** The program's own pages: whether they are on this device. */
@Injectable({ providedIn: 'root' })
export class Pages {
  private readonly injector = inject(Injector);
  private readonly all = inject(AllWhenWanted);
  /** Why the page that was last asked for did not open; null: it did. */
  readonly trouble = signal<string | null>(null);

  /** Fetches every page that is not here yet; false where one did not come. */
  async fetchAll(): Promise<boolean> {
    this.all.wanted = true;
    this.all.missing = 0;
    if (this.injector.get(PreloadingStrategy, null)) await firstValueFrom(this.injector.get(RouterPreloader).preload(), { defaultValue: undefined });
    return this.all.missing === 0;
  }

  /** A page that could not be fetched: nothing would happen, and nobody would know why. */
  failed({ error }: Pick<NavigationError, 'error'>): void {
    // Any other error goes its usual way.
    if (!/dynamically imported module|importing a module|loading chunk/i.test(String(error))) return;
    this.trouble.set('This page is not on this device yet, and the server does not answer. With signal it opens; “Take along” on the bay sheet keeps all pages here.');
    this.injector
      .get(Router)
      .events.pipe(
        filter((e) => e instanceof NavigationEnd),
        take(1),
      )
      .subscribe(() => this.trouble.set(null));
  }
}
