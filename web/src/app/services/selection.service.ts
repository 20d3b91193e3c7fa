import { Injectable, signal } from '@angular/core';

/** The one thing that is selected in all views: a run, load or gear by its id. */
@Injectable({ providedIn: 'root' })
export class SelectionService {
  readonly run = signal<string | null>(null);
  readonly gear = signal<string | null>(null);
  readonly load = signal<string | null>(null);
  readonly finding = signal<string | null>(null);
}
