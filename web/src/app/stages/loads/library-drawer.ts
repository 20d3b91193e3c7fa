import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type LibraryItem, LOAD_LIBRARY, SHELVES } from '@meridex/core';
import { NzDrawerModule } from 'ng-zorro-antd/drawer';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NumberField } from '../../ui/number-field';

export interface Picked {
  readonly id: string;
  readonly size: number | null;
}

/** The library of loads: by shelf, found by name, added with the size that was typed. */
@Component({
  selector: 'mx-library-drawer',
  imports: [FormsModule, NzDrawerModule, NzInputModule, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <!-- Not there while closed: its words would be read with the page. -->
    @if (shown()) {
      <nz-drawer [nzVisible]="true" nzTitle="Library of loads" [nzWidth]="440" (nzOnClose)="closed.emit()">
        <ng-container *nzDrawerContent>
          <input nz-input placeholder="find: fridge, light, socket …" aria-label="Find a load" [ngModel]="find()" (ngModelChange)="find.set($event)" />
          @for (s of shelves(); track s.shelf) {
            <h3>{{ s.shelf }}</h3>
            @for (i of s.items; track i.id) {
              <div class="item">
                <div>
                  <b>{{ i.name }}</b><br /><span class="muted narrow">{{ i.note }}</span>
                </div>
                @if (i.size; as size) {
                  <mx-number
                    [label]="size.name + ' of ' + i.name"
                    [unit]="size.unit"
                    [min]="size.min"
                    [max]="size.max"
                    [value]="sizes().get(i.id) ?? size.usual"
                    (valueChange)="setSize(i.id, $event)"
                  />
                } @else {
                  <span></span>
                }
                <button type="button" class="btn" [attr.aria-label]="'Add ' + i.name" (click)="add(i)">Add</button>
              </div>
            }
          } @empty {
            <p class="muted">Nothing by that name: add a new load and type its draw.</p>
          }
          <p class="muted narrow">Figures are planning defaults; the plate or a measurement beats them.</p>
        </ng-container>
      </nz-drawer>
    }
  `,
  styles: `
    h3 {
      margin: 12px 0 2px;
    }
    .item {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 104px auto;
      gap: 8px;
      align-items: center;
      border-top: 1px solid var(--rule);
      padding: 4px 0;
    }
  `,
})
export class LibraryDrawer {
  readonly shown = input.required<boolean>();
  readonly closed = output();
  readonly picked = output<Picked>();
  protected readonly find = signal('');
  protected readonly sizes = signal<ReadonlyMap<string, number>>(new Map());
  protected readonly shelves = computed(() => {
    const words = this.find().toLowerCase().trim();
    const fits = (i: LibraryItem): boolean => !words || `${i.name} ${i.shelf} ${i.note}`.toLowerCase().includes(words);
    return SHELVES.map((shelf) => ({ shelf, items: LOAD_LIBRARY.filter((i) => i.shelf === shelf && fits(i)) })).filter((s) => s.items.length);
  });

  protected setSize(id: string, size: number | null): void {
    if (size !== null) this.sizes.update((m) => new Map(m).set(id, size));
  }

  protected add(item: LibraryItem): void {
    this.picked.emit({ id: item.id, size: this.sizes().get(item.id) ?? item.size?.usual ?? null });
  }
}
