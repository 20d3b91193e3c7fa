import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { type Asked, doCommands, patchBetween } from '@meridex/core';
import { Choice } from '../fields/choice';
import { NumberField } from '../fields/number-field';
import { PartSelect } from '../fields/part-select';
import { Mark } from '../pictures/mark';
import { SupplyPanel } from './panel';
import { rigRows, type RigRow } from './rig-rows';

/** What can be added at one press: the part is changed afterwards. */
const SHELF: readonly { readonly words: string; readonly asked: readonly Asked[] }[] = [
  {
    words: 'an array with its own controller',
    asked: [
      { do: 'addConverter', with: { part: 'mppt-20' } },
      { do: 'addArray', with: { part: 'pv-160' } },
    ],
  },
  { words: 'an array beside the others', asked: [{ do: 'addArray', with: { part: 'pv-160' } }] },
  { words: 'a portable panel', asked: [{ do: 'addArray', with: { part: 'pv-120-fold', portable: { regulated: true } } }] },
  { words: 'a charger from the vehicle', asked: [{ do: 'addConverter', with: { part: 'dcdc-20' } }] },
  { words: 'a mains charger', asked: [{ do: 'addConverter', with: { part: 'mc-15' } }] },
  { words: 'a charger for vehicle, sun and mains', asked: [{ do: 'addConverter', with: { part: 'dcdc-30-three' } }] },
];

/** Any number of further panels, controllers and chargers: each hangs where it is said to, is changed in its row and taken out at a press. */
@Component({
  selector: 'mx-rig-panel',
  imports: [Choice, NumberField, PartSelect, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rig-panel.html',
  styleUrls: ['./panel.less', './rig-panel.less'],
})
export class RigPanel extends SupplyPanel {
  protected readonly shelf = SHELF;
  /** What a command has against it, in words. */
  protected readonly refused = signal<string | null>(null);
  protected readonly rows = computed(() => rigRows(this.designs.design()!, this.assessments.assessment()!));

  protected hookIds = (row: RigRow): readonly string[] => [...(row.on === '' ? [''] : []), ...row.hooks.map((h) => h.id)];
  protected hookWords =
    (row: RigRow) =>
    (id: string): string =>
      row.hooks.find((h) => h.id === id)?.words ?? 'nothing yet';

  /** Commands as one step of undo. */
  protected command(words: string, ...asked: readonly Asked[]): void {
    const design = this.designs.design()!;
    const done = doCommands(design, asked);
    this.refused.set(done.ok ? this.designs.apply(words, patchBetween(design, done.design)) : done.message);
  }

  protected change(row: RigRow, set: object): void {
    this.command(`${Object.keys(set).join(', ')} of the ${row.name}`, { do: 'changeThing', with: { thing: row.id, set } });
  }

  protected hang(row: RigRow, on: string): void {
    if (on !== '') this.command(`${row.name} hung anew`, { do: 'hang', with: { thing: row.id, on } });
  }

  protected takeOut(row: RigRow): void {
    this.command(`without the ${row.name}`, { do: 'remove', with: { thing: row.id } });
  }
}
