import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type DeviceSetting, SEEN_AT, type SeenAt } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { SupplyPanel } from './panel';

/** The settings sheet of every device, and what is watched where. */
@Component({
  selector: 'mx-sheets',
  imports: [FormsModule, NzSelectModule, NamedSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel flush">
      <table class="sheet">
        <thead>
          <tr>
            <th>device</th>
            <th>setting</th>
            <th>set to</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          @for (d of devices(); track d.device) {
            @for (r of d.rows; track r.id; let first = $first) {
              <tr>
                <td>
                  @if (first) {
                    <b>{{ d.device }}</b>
                  }
                </td>
                <td>{{ r.setting }}</td>
                <td class="figure set">{{ r.value }}</td>
                <td class="muted narrow">{{ r.why }}</td>
              </tr>
            }
          } @empty {
            <tr>
              <td colspan="4" class="empty">Choose a house battery: the settings follow from it.</td>
            </tr>
          }
        </tbody>
      </table>
    </section>
    <section class="panel flush">
      <table class="sheet">
        <thead>
          <tr>
            <th>watched</th>
            <th>instrument</th>
            <th>range</th>
            <th>seen</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          @for (w of f().watched; track w.id) {
            <tr>
              <td>
                <b>{{ w.quantity }}</b>
              </td>
              <td>{{ w.instrument }}</td>
              <td class="figure">{{ w.range }}</td>
              <td class="seen">
                <nz-select nzSize="small" [attr.aria-label]="'Where ' + w.quantity + ' is seen'" [ngModel]="w.seenAt" (ngModelChange)="see(w.id, $event)">
                  @for (p of places; track p) {
                    <nz-option [nzValue]="p" [nzLabel]="p" />
                  }
                </nz-select>
              </td>
              <td class="muted narrow">{{ w.why }}</td>
            </tr>
          }
        </tbody>
      </table>
    </section>
    <p class="caution">The maker’s own sheet wins over every figure here; the sheet is ticked while fitting and printed in the pack.</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .seen {
      width: 140px;
    }
    .set {
      white-space: normal;
    }
    nz-select {
      width: 100%;
    }
    .sheet td {
      padding: 4px 8px;
    }
  `,
})
export class SheetsSheet extends SupplyPanel {
  protected readonly places = SEEN_AT;
  protected readonly devices = computed(() => {
    const by = new Map<string, DeviceSetting[]>();
    for (const s of this.f().settings) by.set(s.device, [...(by.get(s.device) ?? []), s]);
    return [...by].map(([device, rows]) => ({ device, rows }));
  });

  protected see(id: string, at: SeenAt): void {
    this.designs.edit('where it is seen', (d) => (d.supply.seen[id] = at));
  }
}
