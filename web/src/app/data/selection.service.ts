import { Injectable, signal } from '@angular/core';

/** The one thing that is selected in all views: a run, load or gear by its id. */
@Injectable({ providedIn: 'root' })
export class SelectionService {
  readonly run = signal<string | null>(null);
  readonly gear = signal<string | null>(null);
  readonly load = signal<string | null>(null);
  readonly finding = signal<string | null>(null);
  /** A thing of the drawn supply. */
  readonly thing = signal<string | null>(null);
  /** What the drawn supply was asked for from elsewhere: a thing by its id, or one to add by its words on the shelf; taken up once. */
  readonly supply = signal<{ readonly show: string } | { readonly add: string } | null>(null);
}
