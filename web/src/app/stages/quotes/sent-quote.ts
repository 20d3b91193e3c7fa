import { DatePipe } from '@angular/common';
import type { HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { OpenQuote } from '@meridex/contract';
import { money, type Quote } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import type { Observable } from 'rxjs';
import { inWordsOf } from '../../data/asks-server';
import { QuoteService } from '../../data/quote.service';
import { OptionCard } from './option-card';

/** A quote as its customer has it: read on a phone, accepted by name, or asked about. */
@Component({
  selector: 'mx-sent-quote',
  imports: [DatePipe, FormsModule, NzInputModule, OptionCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sent-quote.html',
  styleUrl: './sent-quote.less',
})
export class SentQuotePage {
  readonly token = input.required<string>();
  private readonly quotes = inject(QuoteService);
  protected readonly open = signal<OpenQuote<Quote> | null>(null);
  protected readonly says = signal<string | null>(null);
  protected readonly told = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly name = signal('');
  protected readonly question = signal('');
  private readonly picked = signal<string | null>(null);
  /** What is chosen: what was pressed, of one option that one. */
  protected readonly chosen = computed(() => {
    const options = this.open()?.quote.options ?? [];
    return options.length === 1 ? options[0]! : (options.find((o) => o.key === this.picked()) ?? null);
  });
  /** The workshop's phone as a link, where it is a number. */
  protected readonly phone = computed(() => this.open()?.workshop.phone.replace(/[^+\d]/g, '') ?? '');

  constructor() {
    effect(() => {
      this.token();
      untracked(() => this.read());
    });
  }

  private read(): void {
    this.quotes.behind(this.token()).subscribe({ next: (q) => this.open.set(q), error: (e: HttpErrorResponse) => this.says.set(inWordsOf(e)) });
  }

  protected pick(key: string): void {
    this.picked.set(key);
  }

  protected readonly said = (minor: number): string => money(minor / 100, this.open()?.quote.money.sign ?? '', 2);

  protected accept(): void {
    const option = this.chosen();
    if (!option) return this.says.set('Press the option that you want first.');
    // What came of it stands at the top.
    this.tell(this.quotes.accept(this.token(), { option: option.key, name: this.name().trim() }), null, () => scrollTo({ top: 0 }));
  }

  protected ask(): void {
    const text = this.question().trim();
    if (!text) return this.says.set('Type what you would like to know first.');
    this.tell(this.quotes.ask(this.token(), { id: crypto.randomUUID(), name: this.name().trim(), text }), 'Your question is with the workshop.', () => this.question.set(''));
  }

  private tell(done: Observable<null>, told: string | null, then: () => void = () => undefined): void {
    if (this.name().trim().length < 2) return this.says.set('Your name: type it first, so that the workshop knows who it is.');
    this.busy.set(true);
    this.says.set(null);
    done.subscribe({
      next: () => {
        this.busy.set(false);
        this.told.set(told);
        then();
        this.read();
      },
      error: (e: HttpErrorResponse) => {
        this.busy.set(false);
        this.says.set(inWordsOf(e));
        this.read();
      },
    });
  }
}
