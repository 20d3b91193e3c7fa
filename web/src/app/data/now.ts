import { InjectionToken } from '@angular/core';

/** What time it is, for pages that plan from it; a spec gives a moment of its own, so that none depends on when it is run. */
export const NOW = new InjectionToken<() => Date>('now', { providedIn: 'root', factory: () => () => new Date() });
