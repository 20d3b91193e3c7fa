import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { figure, guessColumns, type PriceColumns, readPrices, readPriceTable, type PriceTable } from '@meridex/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NOW } from '../../data/now';
import { SuppliersService } from '../../data/suppliers.service';
import { MoneyPipe } from '../../fields/money.pipe';
import { Choice } from '../../ui/choice';
import { isoDay } from '../../ui/iso-day';

type Column = keyof PriceColumns;
const COLUMNS: readonly { readonly of: Column; readonly name: string; readonly wanted: boolean }[] = [
  { of: 'what', name: 'What it is', wanted: true },
  { of: 'price', name: 'Its price, without tax', wanted: true },
  { of: 'per', name: 'For how many', wanted: false },
  { of: 'code', name: 'Its code', wanted: false },
];
const SHOWN = 6;

/** A supplier's file taken in: which of its columns is what, and what comes of it before it is kept. */
@Component({
  selector: 'mx-new-list',
  imports: [Choice, FormsModule, MoneyPipe, NzDatePickerModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './new-list.html',
  styleUrl: './new-list.less',
})
export class NewList {
  readonly kept = output<string>();
  readonly left = output<void>();
  private readonly suppliers = inject(SuppliersService);
  protected readonly figure = figure;
  protected readonly fields = COLUMNS;
  private readonly table = signal<PriceTable | null>(null);
  protected readonly headings = computed(() => this.table()?.headings ?? null);
  protected readonly columns = signal<PriceColumns>({ code: null, what: -1, price: -1, per: null });
  protected readonly supplier = signal('');
  protected readonly day = signal<Date | null>(inject(NOW)());
  protected readonly refused = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly choices = computed(() => [null, ...(this.headings()?.map((_, i) => i) ?? [])]);
  protected readonly read = computed(() => {
    const [table, columns] = [this.table(), this.columns()];
    return table && columns.what >= 0 && columns.price >= 0 ? readPrices(table, columns) : null;
  });
  protected readonly some = computed(() => this.read()?.items.slice(0, SHOWN) ?? []);
  protected readonly outside = computed(() => this.read()?.left.slice(0, SHOWN) ?? []);
  /** What is still wanted before it can be kept; null: nothing. */
  protected readonly missing = computed(() => {
    if (!this.read()) return 'Say which column is what it is, and which its price.';
    if (!this.read()!.items.length) return 'No line of it has a price: look whether the columns are right.';
    if (!this.supplier().trim()) return 'Whose list is it?';
    return this.day() ? null : 'As of which day?';
  });

  protected readonly nameOf = (i: number | null): string => (i === null || i < 0 ? 'none of them' : this.headings()![i] || `column ${i + 1}`);

  protected columnOf(of: Column): number | null {
    const at = this.columns()[of];
    return at === -1 ? null : at;
  }

  protected set(of: Column, at: number | null): void {
    this.columns.update((now) => ({ ...now, [of]: of === 'what' || of === 'price' ? (at ?? -1) : at }));
  }

  protected async file(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    const read = readPriceTable(await file.text());
    this.refused.set(read.ok ? null : read.message);
    this.table.set(read.ok ? read.table : null);
    if (read.ok) this.columns.set(guessColumns(read.table.headings));
  }

  protected async keep(): Promise<void> {
    const [read, day] = [this.read(), this.day()];
    if (!read || !day || this.missing() !== null) return;
    this.busy.set(true);
    const supplier = this.supplier().trim();
    const done = await this.suppliers.keep({ id: crypto.randomUUID(), supplier, on: isoDay(day), items: [...read.items] });
    this.busy.set(false);
    if (done) this.kept.emit(`${figure(read.items.length, 0)} prices of ${supplier} are kept: a job takes them under Order, Prices.`);
  }
}
