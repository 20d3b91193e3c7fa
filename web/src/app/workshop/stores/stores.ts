import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { mayNot, type OnShelf } from '@meridex/contract';
import { figure } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { DesignService } from '../../data/design.service';
import { SessionService } from '../../data/session.service';
import { StockService } from '../../data/stock.service';
import { SuppliersService } from '../../data/suppliers.service';
import { WorkshopService } from '../../data/workshop.service';
import { NumberField } from '../../ui/number-field';
import { NewList } from './new-list';

/** What lies on the workshop's shelf, and what its suppliers ask. */
@Component({
  selector: 'mx-stores',
  imports: [DatePipe, FormsModule, NewList, NumberField, NzInputModule, Strip, SyncBars],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stores.html',
  styleUrl: './stores.less',
})
export class StoresPage {
  protected readonly stock = inject(StockService);
  protected readonly suppliers = inject(SuppliersService);
  private readonly session = inject(SessionService);
  protected readonly figure = figure;
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'keep parts'));
  protected readonly wanted = signal('');
  /** A file of a supplier is being taken in. */
  protected readonly taking = signal(false);
  protected readonly told = signal<string | null>(null);
  private readonly all = computed(() => [...this.stock.shelf().values()]);
  protected readonly shown = computed(() => {
    const words = this.wanted().toLowerCase().split(/\s+/).filter(Boolean);
    return this.all().filter((s) => words.every((w) => s.what.toLowerCase().includes(w)));
  });
  protected readonly many = computed(() => this.all().length);
  protected readonly short = computed(() => this.all().filter((s) => s.count < 0).length);

  constructor() {
    // Without an answer prices stand bare.
    inject(WorkshopService)
      .read()
      .subscribe({ error: () => undefined });
    // What is counted here is the workshop's, and no job's.
    inject(DesignService).close();
    void this.stock.load();
    void this.suppliers.load();
  }

  protected count({ key, what, unit }: OnShelf, count: number | null): void {
    if (count !== null) void this.stock.count(key, { what, unit, count });
  }

  protected kept(words: string): void {
    this.taking.set(false);
    this.told.set(words);
  }

  protected async putAway(supplier: string): Promise<void> {
    if (await this.suppliers.putAway(supplier)) this.told.set(`The list of ${supplier} is put away; prices that jobs took from it stay in them.`);
  }
}
