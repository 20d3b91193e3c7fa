import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { squash, type Patch } from '@meridex/core';
import { firstValueFrom, fromEvent, merge, Subject, timeout } from 'rxjs';
import { SessionService } from '../session.service';
import { type Answer, answersTo, type Clash, type Clashing, type Revision, settled } from './clash';
import { type CommentEntry, type EditEntry, type Entry, type PhotoEntry, type ReadingEntry, sendingOf, type TickEntry } from './entry';
import { Shelf } from './shelf';
import { leftBehind, TAB, whenGone } from './tab';

/** What the server said to an entry, or the person to a clash. */
export type SyncEvent =
  | { readonly what: 'kept'; readonly entry: Entry; readonly answer: (Revision & { readonly merged: boolean }) | null }
  | { readonly what: 'clash' | 'settled'; readonly entry: EditEntry; readonly newest: Revision }
  | { readonly what: 'refused' | 'taken over'; readonly entry: Entry };

/** Edits of one field that follow one another this closely are one, ms. */
const TOGETHER_MS = 5000;
const SEND_AFTER_MS = 500;
const ANSWER_WITHIN_MS = 30_000;
/** A server that fails this often on one entry is not away: the entry is set aside, and the rest goes on. */
const FAILS_MOST = 5;
/** Waits between tries grow to this, ms. */
const WAIT_MOST_MS = 8000;

/**
 * Everything a person does goes through here: kept on the device as an entry of its own, sent in order from whatever page
 * is open, tried again with growing waits, and never dropped. What the server refuses is set aside with its reason; what
 * others changed meanwhile is asked.
 */
@Injectable({ providedIn: 'root' })
export class SyncService {
  private readonly http = inject(HttpClient);
  private readonly shelf = inject(Shelf);
  private readonly session = inject(SessionService);
  private readonly list = signal<readonly Entry[]>([]);
  private readonly happenings = new Subject<SyncEvent>();
  private readonly fails = new Map<string, number>();
  private readonly answers = new Map<string, Answer>();
  private readonly gone = 'BroadcastChannel' in globalThis ? new BroadcastChannel('meridex.sync') : null;
  /** Ids that this page is done with: a look into the store that began before finds them still there. */
  private readonly done = new Set<string>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private running: Promise<void> | null = null;
  private tries = 0;
  /** The page it belongs to is gone: it takes nothing over any more. */
  private ended = false;
  private readonly person = computed(() => this.session.person()?.email ?? '');

  readonly events$ = this.happenings.asObservable();
  /** Of the person who is signed in, in the order in which it was done. */
  readonly unsent = computed(() => this.list().filter((e) => e.person === this.person() && e.refused === null));
  readonly setAside = computed(() => this.list().filter((e) => e.person === this.person() && e.refused !== null));
  /** Edits that wait for an answer, by job. */
  readonly clashes = signal<ReadonlyMap<string, Clashing>>(new Map());
  readonly offline = signal(false);
  /** The sign-in has ended; work goes on here and is sent when the person is back. */
  readonly signedOut = signal(false);
  /** Texts of what could not be read on this device. */
  readonly damaged = signal<readonly string[]>([]);
  /** The job whose entry the server last had from this page, and when. */
  readonly lastKept = signal<{ readonly jobId: string; readonly at: Date } | null>(null);
  readonly notKept = this.shelf.trouble.asReadonly();

  constructor() {
    effect(() => {
      // Whoever signs in, the same person once more too.
      this.session.person();
      untracked(() => {
        this.signedOut.set(false);
        void this.takeOver().then(() => this.send());
      });
    });
    merge(fromEvent(globalThis, 'online'), fromEvent(document, 'visibilitychange'), fromEvent(globalThis, 'pagehide'))
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.sendSoon(0));
    fromEvent<BeforeUnloadEvent>(globalThis, 'beforeunload')
      .pipe(takeUntilDestroyed())
      .subscribe((event) => {
        if (this.unsent().length) event.preventDefault();
      });
    inject(DestroyRef).onDestroy(() => {
      this.ended = true;
      if (this.timer) clearTimeout(this.timer);
      this.gone?.close();
    });
    this.gone?.addEventListener('message', ({ data }: MessageEvent<string>) => this.list.update((l) => l.filter((e) => e.id !== data)));
  }

  ofJob(jobId: string): readonly Entry[] {
    return this.unsent().filter((e) => e.jobId === jobId);
  }

  /** The job's edits that stand on the newest revision: all but the one that waits for an answer. */
  editsOf(jobId: string): readonly EditEntry[] {
    const asked = this.clashes().get(jobId)?.entry.id;
    return this.ofJob(jobId).filter((e): e is EditEntry => e.kind === 'edit' && e.id !== asked);
  }

  /** Keeps an edit made on revision `base`, on top of the person's own that are not confirmed. */
  edit(jobId: string, base: number, patch: Patch, label: string): void {
    const last = this.editsOf(jobId).at(-1);
    if (last && last.tab === TAB && !last.tried && last.base === base && Date.now() - last.touched < TOGETHER_MS) {
      const together = squash([...last.patch, ...patch]);
      if (together.length === last.patch.length) return this.put({ ...last, patch: together, label, touched: Date.now() }, SEND_AFTER_MS);
    }
    this.put({ ...this.fresh(jobId), kind: 'edit', base, on: this.editsOf(jobId).map((e) => e.id), patch: squash(patch), label }, SEND_AFTER_MS);
  }

  tick(jobId: string, stepId: string, done: boolean): void {
    const entry = this.fresh(jobId);
    this.put({ ...entry, kind: 'tick', body: { id: entry.id, stepId, done } } satisfies TickEntry, 0);
  }

  read(jobId: string, reading: Omit<ReadingEntry['body'], 'id'>): void {
    const entry = this.fresh(jobId);
    this.put({ ...entry, kind: 'reading', body: { id: entry.id, ...reading } } satisfies ReadingEntry, 0);
  }

  photo(jobId: string, photo: Omit<PhotoEntry['body'], 'id'>): void {
    const entry = this.fresh(jobId);
    this.put({ ...entry, kind: 'photo', body: { id: entry.id, ...photo } } satisfies PhotoEntry, 0);
  }

  comment(jobId: string, comment: Omit<CommentEntry['body'], 'id'>): void {
    const entry = this.fresh(jobId);
    this.put({ ...entry, kind: 'comment', body: { id: entry.id, ...comment } } satisfies CommentEntry, 0);
  }

  /** Ends a clash: `mine` puts the person's values on top of the newest revision; else only the clashing ones go. */
  settle(jobId: string, mine: boolean): void {
    const asked = this.clashes().get(jobId);
    if (!asked) return;
    this.answers.set(jobId, { paths: asked.clashes.map((c) => c.path), mine, of: new Set(this.editsOf(jobId).map((e) => e.id)) });
    this.answer(asked, mine);
    this.sendSoon(0);
  }

  /** Sends what was set aside once more. */
  again(entry: Entry): void {
    this.fails.delete(entry.id);
    this.put({ ...entry, refused: null }, 0);
    this.happenings.next({ what: 'taken over', entry });
  }

  /** Throws away what was set aside: only a person does so. */
  letGo(entry: Entry): void {
    this.drop(entry);
  }

  forgetDamaged(): void {
    this.damaged.set([]);
    void this.shelf.clearDamaged();
  }

  /** Sends now, and comes back when nothing more can be sent. */
  async send(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.running ??= this.sendAll().finally(() => (this.running = null));
    await this.running;
  }

  /** What pages that are gone left behind on this device. */
  async takeOver(): Promise<void> {
    const person = this.person();
    if (!person) return;
    const [{ entries, damaged }, isLeft] = await Promise.all([this.shelf.all(), leftBehind()]);
    if (this.ended) return;
    if (damaged.length) this.damaged.set(damaged);
    const here = new Set([...this.done, ...this.list().map((e) => e.id)]);
    const mine = entries.filter((e) => (e.person === person || e.person === '') && !here.has(e.id) && (e.refused !== null || isLeft(e)));
    for (const e of entries) if (e.person === person && !isLeft(e)) whenGone(e.tab, () => this.sendSoon(0));
    if (!mine.length) return;
    const taken = mine.map((e) => ({ ...e, person, tab: TAB, tried: true }));
    this.list.update((l) => [...l, ...taken].sort((a, b) => a.at - b.at));
    for (const entry of taken) {
      this.shelf.put('entries', entry.id, entry);
      this.happenings.next({ what: 'taken over', entry });
    }
  }

  private fresh(jobId: string) {
    const now = Math.max(Date.now(), (this.list().at(-1)?.at ?? 0) + 1);
    return { id: crypto.randomUUID(), person: this.person(), jobId, tab: TAB, at: now, touched: Date.now(), tried: false, refused: null };
  }

  private put(entry: Entry, sendInMs: number | null): void {
    this.list.update((l) => (l.some((e) => e.id === entry.id) ? l.map((e) => (e.id === entry.id ? entry : e)) : [...l, entry]));
    this.shelf.put('entries', entry.id, entry);
    if (sendInMs !== null) this.sendSoon(sendInMs);
  }

  private drop(entry: Entry): void {
    this.list.update((l) => l.filter((e) => e.id !== entry.id));
    this.fails.delete(entry.id);
    this.done.add(entry.id);
    this.shelf.remove('entries', entry.id);
    if (!this.ended) this.gone?.postMessage(entry.id);
  }

  private sendSoon(ms: number): void {
    if (this.ended) return;
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      // Sending waits for no store.
      void this.send();
      void this.takeOver().then(() => this.send());
    }, ms);
  }

  private next(): Entry | undefined {
    const ready = this.unsent().filter((e) => e.kind !== 'edit' || !this.clashes().has(e.jobId));
    // Photos are heavy and nothing hangs on them: with little signal all else goes first.
    return ready.find((e) => e.kind !== 'photo') ?? ready[0];
  }

  private async sendAll(): Promise<void> {
    for (let entry = this.next(); entry && this.person() && !this.signedOut(); entry = this.next()) {
      const tried = { ...entry, tried: true };
      this.put(tried, null);
      const { url, body } = sendingOf(tried);
      try {
        const answer = await firstValueFrom(this.http.post<(Revision & { merged: boolean }) | null>(url, body).pipe(timeout(ANSWER_WITHIN_MS)));
        this.tries = 0;
        this.offline.set(false);
        this.lastKept.set({ jobId: entry.jobId, at: new Date() });
        this.drop(tried);
        this.happenings.next({ what: 'kept', entry: tried, answer });
      } catch (error) {
        if (!this.goesOnAfter(tried, error as HttpErrorResponse)) return;
      }
    }
  }

  /** What follows from a refusal; false: nothing more is sent for now. */
  private goesOnAfter(entry: Entry, error: HttpErrorResponse): boolean {
    const { status = 0 } = error;
    const body = error.error as { message?: string; clashes?: Clash[]; newest?: Revision } | null;
    if (status === 401) {
      this.signedOut.set(true);
      return false;
    }
    if (status === 409 && entry.kind === 'edit' && body?.newest) {
      this.asks({ entry, clashes: body.clashes ?? [], newest: body.newest });
      return true;
    }
    const fails = (this.fails.get(entry.id) ?? 0) + (status === 500 ? 1 : 0);
    this.fails.set(entry.id, fails);
    if (fails < FAILS_MOST && (status < 400 || status >= 500 || status === 429 || status === 408)) {
      this.offline.set(true);
      this.sendSoon(Math.min(WAIT_MOST_MS, 1000 * 2 ** this.tries++) * (1 + 0.2 * Math.random()));
      return false;
    }
    const refused = { ...entry, refused: body?.message ?? (status === 413 ? 'it is larger than the server takes' : `the server answered ${status}`) };
    this.put(refused, null);
    this.happenings.next({ what: 'refused', entry: refused });
    return true;
  }

  private asks(clashing: Clashing): void {
    const { jobId } = clashing.entry;
    this.offline.set(false);
    const before = this.answers.get(jobId);
    if (before && answersTo(before, clashing)) return this.answer(clashing, before.mine);
    this.clashes.update((all) => new Map(all).set(jobId, clashing));
    this.happenings.next({ what: 'clash', entry: clashing.entry, newest: clashing.newest });
  }

  private answer(clashing: Clashing, mine: boolean): void {
    const { entry, newest } = clashing;
    const left = settled(clashing, mine);
    if (left) this.put(left, null);
    else this.drop(entry);
    this.clashes.update((all) => new Map([...all].filter(([job]) => job !== entry.jobId)));
    this.happenings.next({ what: 'settled', entry, newest });
  }
}
