import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { mayNot } from '@meridex/contract';
import { allBought, type Asked, type BuyLine, type BuyState, buyingOf, figure, type Spare } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { isoDay } from '../../ui/iso-day';
import { MoneyPipe } from '../../fields/money.pipe';
import { NumberField } from '../../ui/number-field';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { NOW } from '../../data/now';
import { SessionService } from '../../data/session.service';
import { StockService } from '../../data/stock.service';

/** Groups of the list, what wants doing first. */
const GROUPS: readonly { readonly state: BuyState; readonly title: string }[] = [
  { state: 'to order', title: 'to order' },
  { state: 'ordered', title: 'on their way' },
  { state: 'here', title: 'here' },
];

/** What was ordered, what has come, what is still to be got, and what a changed plan wants no more. */
@Component({
  selector: 'mx-buying',
  imports: [DatePipe, FormsModule, Mark, MoneyPipe, NumberField, NzCheckboxModule, NzDatePickerModule, NzInputModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './buying.html',
  styleUrl: './buying.less',
})
export class BuyingSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private readonly session = inject(SessionService);
  protected readonly stock = inject(StockService);
  protected readonly today = isoDay(inject(NOW)());
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'plan'));
  protected readonly mayNotCount = computed(() => mayNot(this.session.person()?.role ?? '', 'keep parts'));
  protected readonly buying = computed(() => buyingOf(this.assessments.openAssessment().order, this.designs.openDesign().bought, this.today));
  protected readonly groups = computed(() =>
    GROUPS.map((g) => ({
      ...g,
      lines: this.buying()
        .lines.filter((l) => l.state === g.state)
        .sort((a, b) => Number(b.late) - Number(a.late)),
    })).filter((g) => g.lines.length),
  );
  /** Lines that are left out of the next order. */
  private readonly without = signal<ReadonlySet<string>>(new Set());
  protected readonly ticked = computed(() => this.buying().lines.filter((l) => l.state === 'to order' && !this.without().has(l.line.key)));
  /** What lies on the shelf now: what was there without this job, less what all its vehicles have of it; nothing where it was never counted. */
  private readonly there = computed((): ReadonlyMap<string, number> => {
    const bought = allBought(this.designs.openJob());
    return new Map([...this.stock.shelf()].map(([of, s]) => [of, s.count - (bought[of]?.shelf ?? 0)]));
  });
  /** Ticked lines that the shelf gives something of, with how much. */
  protected readonly fromShelf = computed(() =>
    this.ticked().flatMap((l) => {
      const gives = Math.min(l.toOrder, this.there().get(l.line.key) ?? 0);
      return gives > 0 ? [{ l, gives }] : [];
    }),
  );
  protected readonly tickedPrice = computed(() => this.ticked().reduce((sum, l) => sum + l.price, 0));
  protected readonly from = signal('');
  protected readonly due = signal<Date | null>(null);
  /** The line whose figures are typed. */
  protected readonly open = signal<string | null>(null);
  protected readonly refused = signal<string | null>(null);

  constructor() {
    void this.stock.load(this.designs.jobId() ?? undefined);
  }

  protected readonly onShelf = (l: BuyLine): number | null => this.there().get(l.line.key) ?? null;
  protected readonly isTicked = (l: BuyLine): boolean => !this.without().has(l.line.key);
  private dueKept: { readonly day: string; readonly noon: Date } | null = null;

  /** The same moment as long as it is the same day: a date field that is given another one writes it back. */
  protected dueOf(l: BuyLine): Date | null {
    const day = l.bought?.due ?? null;
    if (day !== this.dueKept?.day) this.dueKept = day === null ? null : { day, noon: this.noon(day) };
    return this.dueKept?.noon ?? null;
  }

  /** Noon, so that no clock makes it the day before. */
  protected readonly noon = (day: string): Date => new Date(`${day}T12:00:00`);

  protected amount(n: number, unit: 'pc' | 'm'): string {
    return `${figure(n, unit === 'm' && n % 1 ? 1 : 0)} ${unit}`;
  }

  protected tick(l: BuyLine, on: boolean): void {
    this.without.update((now) => new Set(on ? [...now].filter((k) => k !== l.line.key) : [...now, l.line.key]));
  }

  protected tickAll(on: boolean): void {
    this.without.set(new Set(on ? [] : this.buying().lines.map((l) => l.line.key)));
  }

  private do(words: string, ...asked: readonly Asked[]): boolean {
    this.refused.set(this.designs.command(words, ...asked));
    return this.refused() === null;
  }

  private readonly line = (l: BuyLine, count: number): object => ({ key: l.line.key, what: l.line.what, unit: l.line.unit, count });

  /** Everything that is ticked is ordered. */
  protected order(): void {
    const lines = this.ticked().map((l) => this.line(l, l.toOrder));
    const due = this.due();
    if (lines.length && this.do(`ordered: ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`, { do: 'orderParts', with: { lines, from: this.from().trim(), due: due ? isoDay(due) : null } }))
      this.without.set(new Set());
  }

  /** What the shelf has of the ticked is taken; where nothing of them was ever counted all of it, since somebody has it in the hand. */
  protected offTheShelf(): void {
    const given = this.fromShelf();
    const lines = given.length ? given.map(({ l, gives }) => this.line(l, gives)) : this.ticked().map((l) => this.line(l, l.toOrder));
    if (lines.length && this.do(`off the shelf: ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`, { do: 'partsHere', with: { lines, from: 'the shelf', shelf: true } }))
      this.without.set(new Set());
  }

  /** Somebody looked: so many lie there beside what this job has off it. */
  protected count({ line }: BuyLine, count: number | null): void {
    if (count !== null) void this.stock.count(line.key, { what: line.what, unit: line.unit, count }, this.designs.jobId() ?? undefined);
  }

  /** All that is missing of a line has come. */
  protected came(l: BuyLine): void {
    const missing = Math.max(l.waiting, 0);
    if (missing > 0) this.do(`here: ${l.line.what}`, { do: 'partsHere', with: { lines: [this.line(l, missing)] } });
  }

  protected allCame(): void {
    const lines = this.buying().lines.filter((l) => l.state === 'ordered');
    this.do(`here: ${lines.length} lines`, { do: 'partsHere', with: { lines: lines.map((l) => this.line(l, l.waiting)) } });
  }

  protected set(l: BuyLine, set: object): void {
    this.do(`${Object.keys(set).join(', ')} of ${l.line.what}`, { do: 'setBought', with: { key: l.line.key, set } });
  }

  protected setDue(l: BuyLine, day: Date | null): void {
    this.set(l, { due: day ? isoDay(day) : null });
  }

  protected gaveBack({ key, what, here, waiting }: Spare, shelf: boolean): void {
    this.do(`${shelf ? 'on to the shelf' : 'given back or called off'}: ${what}`, { do: 'giveBack', with: { key, here, waiting, shelf } });
  }
}
