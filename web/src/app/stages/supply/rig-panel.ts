import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { type Asked, furtherRows, type RigRow, SHELF } from '@meridex/core';
import { Mark } from '../../pictures/mark';
import { SupplyPanel } from './panel';
import { ThingFields } from './thing-fields';

/** Any number of further panels, controllers and chargers: each hangs where it is said to, is changed in its row and taken out at a press. */
@Component({
  selector: 'mx-rig-panel',
  imports: [ThingFields, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rig-panel.html',
  styleUrls: ['./panel.less', './rig-panel.less'],
})
export class RigPanel extends SupplyPanel {
  protected readonly shelf = SHELF;
  /** What a command has against it, in words. */
  protected readonly refused = signal<string | null>(null);
  protected readonly rows = computed(() => furtherRows(this.designs.openDesign(), this.assessments.openAssessment(), this.within()));

  /** Commands as one step of undo. */
  protected command(words: string, ...asked: readonly Asked[]): void {
    this.refused.set(this.commands(words, asked));
  }

  protected takeOut(row: RigRow): void {
    this.command(`without the ${row.name}`, { do: 'remove', with: { thing: row.id } });
  }
}
