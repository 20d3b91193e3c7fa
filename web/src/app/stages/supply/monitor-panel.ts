import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type Asked, type Hook, type MonitorRow, monitorRows, WATCH_SHELF } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { Choice } from '../../ui/choice';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { Mark } from '../../pictures/mark';
import { SupplyPanel } from './panel';

type When = 'button' | 'above' | 'below';

/** Shunts, meters, senders, remote units and relays: each in a row, added and taken out at a press. */
@Component({
  selector: 'mx-monitor-panel',
  imports: [FormsModule, NzInputModule, NzSelectModule, Choice, Mark, NamedSelect, NumberField, PartSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './monitor-panel.html',
  styleUrls: ['./panel.less', './rig-panel.less', './monitor-panel.less'],
})
export class MonitorPanel extends SupplyPanel {
  protected readonly shelf = WATCH_SHELF;
  /** What a command has against it, in words. */
  protected readonly refused = signal<string | null>(null);
  protected readonly rows = computed(() => monitorRows(this.designs.openDesign()));

  protected ids = (hooks: readonly Hook[]): readonly string[] => hooks.map((h) => h.id);
  protected words =
    (hooks: readonly Hook[]) =>
    (id: string): string =>
      hooks.find((h) => h.id === id)?.words ?? 'nothing';
  protected readonly whenWords = (w: When): string => ({ button: 'by its button alone', above: 'by itself, above', below: 'by itself, below' })[w];

  protected command(words: string, ...asked: readonly Asked[]): void {
    this.refused.set(this.commands(words, asked));
  }

  protected change(row: MonitorRow, set: object): void {
    this.command(`${Object.keys(set).join(', ')} of the ${row.name}`, { do: 'changeThing', with: { thing: row.id, set } });
  }

  protected closes(row: MonitorRow, is: When): void {
    this.change(row, { when: is === 'button' ? null : { of: row.when?.of ?? row.senders[0]!.id, is, value: row.when?.value ?? 10 } });
  }

  protected takeOut(row: MonitorRow): void {
    this.command(`without the ${row.name}`, { do: 'remove', with: { thing: row.id } });
  }
}
