import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { AcceptQuote, AskOfQuote, OpenQuote, SentQuote } from '@meridex/contract';
import type { Quote } from '@meridex/core';
import type { Observable } from 'rxjs';
import { KeptAnswers } from './sync/kept-answers';
import { AsksServer, inWordsOf } from './asks-server';
import { DesignService } from './design.service';

/** Quotes of the open job: sent, found by a new link, taken back; and a quote as its customer has it. */
@Injectable({ providedIn: 'root' })
export class QuoteService extends AsksServer {
  private readonly http = inject(HttpClient);
  private readonly kept = inject(KeptAnswers);
  private readonly designs = inject(DesignService);
  /** Of the open job, the newest first. */
  readonly sent = signal<readonly SentQuote[]>([]);
  /** The link that was just made, and the quote that it is for; it is shown once. */
  readonly link = signal<{ readonly of: string; readonly address: string } | null>(null);
  private asked = false;

  constructor() {
    super();
    effect(() => {
      this.designs.jobId();
      untracked(() => {
        this.sent.set([]);
        this.link.set(null);
        if (this.asked) void this.readAgain();
      });
    });
  }

  /** Begins to read them, from the first time that they are looked at. */
  open(): void {
    this.asked = true;
    void this.readAgain();
  }

  async readAgain(): Promise<void> {
    const jobId = this.designs.jobId();
    if (!jobId || !this.asked) return;
    try {
      const list = await this.kept.get<SentQuote[]>(`/api/jobs/${jobId}/quotes`);
      if (this.designs.jobId() === jobId) this.sent.set(list);
    } catch (error) {
      this.trouble.set(`The quotes could not be read: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }

  /** Keeps the quote as it stands and makes its link. */
  async send(quote: Quote, until: string): Promise<void> {
    const id = crypto.randomUUID();
    await this.linked(id, this.http.post<{ token: string }>(`/api/jobs/${this.designs.jobId()}/quotes`, { id, revision: this.designs.revision(), until, quote }), 'The quote was not sent');
  }

  newLink(id: string): Promise<void> {
    return this.linked(id, this.http.post<{ token: string }>(`/api/quotes/${id}/link`, {}), 'There is no new link');
  }

  async withdraw(id: string): Promise<void> {
    await this.tried('The quote stands as it did', this.http.post<null>(`/api/quotes/${id}/withdraw`, {}));
    this.link.update((l) => (l?.of === id ? null : l));
    await this.readAgain();
  }

  behind(token: string): Observable<OpenQuote<Quote>> {
    return this.http.get<OpenQuote<Quote>>(`/api/sent-quotes/${encodeURIComponent(token)}`);
  }

  accept(token: string, asked: AcceptQuote): Observable<null> {
    return this.http.post<null>(`/api/sent-quotes/${encodeURIComponent(token)}/accept`, asked);
  }

  ask(token: string, asked: AskOfQuote): Observable<null> {
    return this.http.post<null>(`/api/sent-quotes/${encodeURIComponent(token)}/ask`, asked);
  }

  private async linked(id: string, ask: Observable<{ readonly token: string }>, what: string): Promise<void> {
    const made = await this.tried(what, ask);
    if (!made) return;
    this.link.set({ of: id, address: `${location.origin}/quote/${made.token}` });
    await this.readAgain();
  }
}
