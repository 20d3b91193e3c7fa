import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { KeptWeek } from '@meridex/contract';
import { type ShopWeek, shopWeekSchema, usualShop } from '@meridex/core';
import { firstValueFrom } from 'rxjs';
import { inWordsOf } from './asks-server';
import { keepHere, keptHere } from './kept-here';
import { SessionService } from './session.service';

const SEND_AFTER_MS = 400;
const AGAIN_AFTER_MS = 4000;
const UNSENT = 'meridex.week';

type Unsent = { readonly person: string; readonly week: ShopWeek; readonly revision: number } | null;

/** What is said of the bay's week: shown at once, kept on this device until the server has it. */
@Injectable({ providedIn: 'root' })
export class WeekService {
  private readonly http = inject(HttpClient);
  private readonly session = inject(SessionService);
  readonly week = signal<ShopWeek | null>(null);
  /** What came in the way, in words. */
  readonly trouble = signal<string | null>(null);
  readonly keeping = signal(false);
  private revision = 0;
  private timer: ReturnType<typeof setTimeout> | null = null;

  /** Reads it, with what this device still has to send. */
  async read(): Promise<void> {
    try {
      const kept = await firstValueFrom(this.http.get<KeptWeek<ShopWeek>>('/api/week'));
      const mine = this.unsent();
      this.revision = kept.revision;
      // What was typed on an older one is not put over what another kept since.
      if (mine?.revision === kept.revision) return this.change(mine.week);
      if (mine) this.trouble.set(`${kept.author || 'Somebody'} changed the week meanwhile: it is shown as it is now, do yours once more.`);
      keepHere(UNSENT, null);
      this.week.set(kept.week ?? usualShop(this.session.person()?.name ?? ''));
    } catch (error) {
      this.week.set(this.unsent()?.week ?? this.week());
      this.trouble.set(`The week could not be read: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }

  change(week: ShopWeek): void {
    this.week.set(week);
    keepHere(UNSENT, { person: this.person(), week, revision: this.revision } satisfies Unsent);
    this.sendIn(SEND_AFTER_MS);
  }

  private person(): string {
    return this.session.person()?.email ?? '';
  }

  private unsent(): Unsent {
    const isIt = (x: unknown): x is Unsent => typeof x === 'object' && x !== null && 'week' in x && shopWeekSchema.safeParse(x.week).success;
    const kept = keptHere<Unsent>(UNSENT, isIt, null);
    return kept?.person === this.person() ? kept : null;
  }

  private sendIn(ms: number): void {
    if (this.timer) clearTimeout(this.timer);
    this.keeping.set(true);
    this.timer = setTimeout(() => void this.send(), ms);
  }

  private async send(): Promise<void> {
    this.timer = null;
    const week = this.week();
    if (!week) return;
    try {
      const { revision } = await firstValueFrom(this.http.put<{ revision: number }>('/api/week', { week, revision: this.revision }));
      this.revision = revision;
      this.trouble.set(null);
      // What was changed meanwhile goes on the new one.
      if (this.week() !== week) return this.change(this.week()!);
      keepHere(UNSENT, null);
      this.keeping.set(false);
    } catch (error) {
      const { status } = error as HttpErrorResponse;
      this.trouble.set(`The week is not kept yet: ${inWordsOf(error as HttpErrorResponse)}`);
      if (status === 0 || status >= 500) return this.sendIn(AGAIN_AFTER_MS);
      this.keeping.set(false);
      if (status === 409) {
        keepHere(UNSENT, null);
        const says = inWordsOf(error as HttpErrorResponse);
        await this.read();
        this.trouble.set(says);
      }
    }
  }
}
