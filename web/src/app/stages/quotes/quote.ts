import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { mayNot } from '@meridex/contract';
import { type Design, isJoined, money, pricedInWords, type Quote, type Tier, TIERS } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Comments } from '../../comments/comments';
import { isoDay } from '../../ui/iso-day';
import { QuoteTermsFields } from '../../fields/quote-terms';
import { AnalysisService } from '../../data/analysis.service';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { QuoteService } from '../../data/quote.service';
import { SessionService } from '../../data/session.service';
import { SyncService } from '../../data/sync/sync.service';
import { OptionCard } from './option-card';

type Terms = Design['settings']['quote'];

/** What is asked for a job, as its customer will see it; and what came of the quotes that were sent. */
@Component({
  selector: 'mx-quote',
  imports: [Comments, DatePipe, NzInputModule, OptionCard, QuoteTermsFields, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './quote.html',
  styleUrl: './quote.less',
})
export class QuoteSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private readonly analysis = inject(AnalysisService);
  private readonly session = inject(SessionService);
  private readonly sync = inject(SyncService);
  protected readonly quotes = inject(QuoteService);
  protected readonly tiers = TIERS;
  protected readonly offered = signal<readonly Tier[]>([]);
  protected readonly several = computed(() => isJoined(this.designs.openJob()));
  protected readonly terms = computed(() => this.designs.openJob().settings.quote);
  protected readonly tax = computed(() => this.designs.openJob().settings.money);
  protected readonly quote = signal<Quote | null>(null);
  private readonly incomplete = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly copied = signal(false);
  protected readonly until = computed(() => {
    const day = new Date();
    day.setDate(day.getDate() + this.terms().validDays);
    return isoDay(day);
  });
  /** Why nothing can be sent now; null: it can. */
  protected readonly cannot = computed(
    () =>
      mayNot(this.session.person()?.role ?? '', 'quote') ??
      this.incomplete() ??
      (this.designs.past() ? 'This is an older revision: go back to now before a quote is sent.' : null) ??
      (this.sync.ofJob(this.designs.jobId() ?? '').length ? 'Not all is kept yet: a quote is made of what the server has.' : null),
  );
  protected readonly asked = computed(() => pricedInWords(this.assessments.assessment()?.order.lines ?? []));
  protected readonly stops = computed(() => this.assessments.assessment()?.tellTales.stops ?? 0);

  constructor() {
    this.quotes.open();
    effect(() => {
      const [job, tiers] = [this.designs.job(), this.offered()];
      if (!job) return;
      this.busy.set(true);
      void this.analysis.ask({ what: 'quote', design: job, tiers }).then((answer) => {
        if (this.designs.job() !== job || this.offered() !== tiers) return;
        this.busy.set(false);
        this.quote.set(answer?.quote ?? null);
        this.incomplete.set(answer ? answer.cannot : this.analysis.trouble());
      });
    });
  }

  protected readonly revision = this.designs.revision;
  /** What the plan itself is called among the options. */
  protected readonly planned = 'As planned';
  protected readonly said = (minor: number): string => money(minor / 100, this.tax().sign, 2);

  protected set(words: string, change: Partial<Terms>): void {
    this.designs.editJob(words, (d) => void Object.assign(d.settings.quote, change));
  }

  protected offer(tier: Tier): void {
    this.offered.update((all) => (all.includes(tier) ? all.filter((t) => t !== tier) : TIERS.filter((t) => t === tier || all.includes(t))));
  }

  protected send(): void {
    const quote = this.quote();
    this.copied.set(false);
    if (quote && this.cannot() === null) void this.quotes.send(quote, this.until());
  }

  protected copy(address: string): void {
    void navigator.clipboard.writeText(address).then(() => this.copied.set(true));
  }
}
