import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { mayNot, type Offers, type PriceList } from '@meridex/contract';
import { afterWorkingDays, type Asked, codeOf, figure, type OrderLine, ordersByDay, type PriceItem } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { AnalysisService } from '../../data/analysis.service';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { NOW } from '../../data/now';
import { SessionService } from '../../data/session.service';
import { SuppliersService } from '../../data/suppliers.service';
import { MoneyPipe } from '../../fields/money.pipe';
import { Choice } from '../../ui/choice';
import { isoDay } from '../../ui/iso-day';

/** Who is asked: a list that was taken in, or the supplier that ships. */
const SIMULATED = 'the simulated supplier';
/** Of a long list so many are offered for one line, by what is typed. */
const OFFERED = 30;

/** A line of the order beside what a supplier asks for it. */
interface Line {
  readonly line: OrderLine;
  /** Nothing of the list is it, or nobody can tell. */
  readonly asked: { readonly each: number; readonly words: string; readonly has: number | null; readonly days: number | null } | null;
}

/** What suppliers ask for the order, line by line, in the place of planning prices. */
@Component({
  selector: 'mx-prices',
  imports: [Choice, DatePipe, FormsModule, MoneyPipe, NzCheckboxModule, NzSelectModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './prices.html',
  styleUrl: './prices.less',
})
export class PricesSheet {
  protected readonly sellers = inject(SuppliersService);
  protected readonly analysis = inject(AnalysisService);
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private readonly session = inject(SessionService);
  protected readonly figure = figure;
  private readonly today = isoDay(inject(NOW)());
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'plan'));
  protected readonly order = computed(() => this.assessments.openAssessment().order);
  /** Lines that have a supplier's price already, by whom and as of when. */
  protected readonly priced = computed(() => this.order().lines.filter((l) => l.priced));
  protected readonly from = computed(() => [...new Set(this.priced().map((l) => l.priced!.from))].join(', '));

  private readonly picked = signal<string | null>(null);
  protected readonly suppliers = computed(() => [...this.sellers.lists().map((l) => l.supplier), SIMULATED]);
  protected readonly who = computed(() => (this.picked() !== null && this.suppliers().includes(this.picked()!) ? this.picked()! : this.suppliers()[0]!));
  protected readonly list = computed((): PriceList | null => this.sellers.lists().find((l) => l.supplier === this.who()) ?? null);
  protected readonly offers = signal<Offers | null>(null);
  protected readonly asking = signal(false);
  /** The line whose thing of the list is chosen by hand. */
  protected readonly open = signal<string | null>(null);
  protected readonly typed = signal('');
  private readonly without = signal<ReadonlySet<string>>(new Set());
  protected readonly refused = signal<string | null>(null);

  /** What of the list each line is, by its key; a long list is looked through in the worker. */
  private readonly found = signal<ReadonlyMap<string, PriceItem>>(new Map());

  protected readonly lines = computed((): readonly Line[] => {
    const [list, offers] = [this.list(), this.offers()];
    if (list) {
      const matches = this.found();
      return this.order().lines.map((line) => {
        const item = matches.get(line.key);
        return { line, asked: item ? { each: item.each, words: [item.code, item.what].filter(Boolean).join(' · '), has: null, days: null } : null };
      });
    }
    const byKey = new Map(offers?.offers.map((o) => [o.key, o]));
    return this.order().lines.map((line) => {
      const o = byKey.get(line.key);
      return { line, asked: o ? { each: o.each, words: '', has: o.has, days: o.days } : null };
    });
  });
  protected readonly matched = computed(() => this.lines().filter((l) => l.asked));
  protected readonly taken = computed(() => this.matched().filter((l) => !this.without().has(l.line.key)));
  /** The whole order with what is ticked at their prices. */
  protected readonly total = computed(() => this.order().total + this.taken().reduce((sum, { line, asked }) => sum + line.quantity * (asked!.each - line.priceEach), 0));
  protected readonly supplier = computed(() => this.list()?.supplier ?? this.offers()?.supplier ?? '');
  private readonly on = computed(() => this.list()?.on ?? this.offers()?.on ?? this.today);
  /** The day of the last of what is ticked, where the supplier says days. */
  protected readonly lastDay = computed(() => {
    const days = this.taken().flatMap((l) => l.asked!.days ?? []);
    return days.length ? afterWorkingDays(this.today, Math.max(...days)) : null;
  });
  protected readonly offered = computed((): readonly PriceItem[] => {
    const words = this.typed().toLowerCase().split(/\s+/).filter(Boolean);
    return (this.list()?.items ?? []).filter((i) => words.every((w) => `${i.code} ${i.what}`.toLowerCase().includes(w))).slice(0, OFFERED);
  });
  protected readonly codeOf = codeOf;

  constructor() {
    void this.sellers.load();
    effect(() => {
      const [list, { lines }] = [this.list(), this.order()];
      if (!list) return;
      void this.analysis.ask({ what: 'prices', lines, items: list.items, chosen: list.chosen }).then((matches) => {
        if (matches && this.list() === list && this.order().lines === lines) this.found.set(new Map(matches.map((m) => [m.key, m.item])));
      });
    });
  }

  protected noon = (day: string): Date => new Date(`${day}T12:00:00`);
  protected amount = (l: OrderLine): string => `${figure(l.quantity, l.unit === 'm' && l.quantity % 1 ? 1 : 0)} ${l.unit}`;
  protected isTaken = (l: Line): boolean => !this.without().has(l.line.key);

  protected ask(who: string): void {
    this.picked.set(who);
    this.offers.set(null);
    this.open.set(null);
    this.without.set(new Set());
  }

  protected async askSimulated(): Promise<void> {
    this.asking.set(true);
    this.offers.set(await this.sellers.offers(this.order().lines.map((l) => ({ key: l.key, count: l.quantity, planned: l.priced?.planned ?? l.priceEach }))));
    this.asking.set(false);
  }

  protected tick(l: Line, on: boolean): void {
    this.without.update((now) => new Set(on ? [...now].filter((k) => k !== l.line.key) : [...now, l.line.key]));
  }

  protected seek(l: Line): void {
    this.typed.set('');
    this.open.set(this.open() === l.line.key ? null : l.line.key);
  }

  protected async choose(l: Line, code: string): Promise<void> {
    this.open.set(null);
    await this.sellers.choose(this.supplier(), l.line.key, code);
  }

  private do(words: string, ...asked: readonly Asked[]): void {
    this.refused.set(this.designs.command(words, ...asked));
  }

  /** The prices of what is ticked, in the place of those that the order is reckoned with. */
  private prices(): Asked {
    return { do: 'takePrices', with: { prices: this.taken().map(({ line, asked }) => ({ key: line.key, each: asked!.each })), from: this.supplier(), on: this.on() } };
  }

  protected take(): void {
    this.do(`prices of ${this.supplier()}`, this.prices());
  }

  /** Prices taken and the lines ordered, each for the day on which it comes. */
  protected takeAndOrder(): void {
    const orders = ordersByDay(
      this.taken().map(({ line, asked }) => ({ line, days: asked!.days ?? 0 })),
      this.designs.openDesign().bought,
      this.today,
    );
    this.do(`ordered from ${this.supplier()}`, this.prices(), ...orders.map(({ due, lines }): Asked => ({ do: 'orderParts', with: { lines, from: this.supplier(), due } })));
  }

  protected drop(): void {
    this.do('planning prices again', { do: 'dropPrices', with: { keys: this.priced().map((l) => l.key) } });
  }
}
