import type { HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { map, NEVER } from 'rxjs';
import { inWordsOf } from '../data/asks-server';
import { Pages } from '../data/pages';
import { saveFile } from '../data/save-file';
import { SessionService } from '../data/session.service';
import { type Entry, wordsOf } from '../data/sync/entry';
import { SyncService } from '../data/sync/sync.service';

/** What a person has to decide or know about work that is not with the server: clashes, refusals, an ended sign-in, a full device. */
@Component({
  selector: 'mx-sync-bars',
  imports: [FormsModule, NzInputModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sync-bars.html',
  styleUrl: './sync-bars.less',
})
export class SyncBars {
  /** The open job; null beside the jobs. */
  readonly jobId = input<string | null>(null);
  protected readonly sync = inject(SyncService);
  protected readonly pages = inject(Pages);
  protected readonly session = inject(SessionService);
  private readonly updates = inject(SwUpdate, { optional: true });
  protected readonly password = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly words = wordsOf;
  protected readonly asked = computed(() => this.sync.clashes().get(this.jobId() ?? ''));
  protected readonly askedElsewhere = computed(() => [...this.sync.clashes().values()].filter((c) => c.entry.jobId !== this.jobId()));
  protected readonly waiting = computed(() => {
    const n = this.sync.unsent().length;
    return n ? `${n === 1 ? 'One thing is' : `${n} things are`} kept here and will be sent.` : '';
  });

  /** The service worker has fetched a newer program; what is unsent is kept while it is loaded. */
  protected readonly newer = toSignal((this.updates?.versionUpdates ?? NEVER).pipe(map((event) => event.type === 'VERSION_READY')), { initialValue: false });

  protected load(): void {
    location.reload();
  }

  protected place(path: string): string {
    return path.slice(1).replaceAll('/', ' › ');
  }

  protected value(value: unknown): string {
    if (value === null || value === undefined) return 'gone';
    if (value === '') return 'empty';
    return typeof value === 'object' ? 'changed' : String(value as string | number | boolean);
  }

  protected signIn(): void {
    this.says.set(null);
    this.session.signIn(this.session.person()?.email ?? '', this.password()).subscribe({
      next: () => this.password.set(''),
      error: (error: HttpErrorResponse) => this.says.set(inWordsOf(error)),
    });
  }

  protected save(entry: Entry): void {
    saveFile('kept-edit.json', [JSON.stringify(entry, null, 2)], 'application/json');
  }

  protected saveDamaged(texts: readonly string[]): void {
    saveFile('kept-on-this-device.txt', [texts.join('\n')], 'text/plain');
  }
}
