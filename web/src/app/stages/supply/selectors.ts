import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { catalogueOf, distributionOf, type Part } from '@meridex/core';
import { Choice } from '../../ui/choice';
import { PartSelect } from '../../fields/part-select';
import { SupplyPanel } from './panel';

/** What chooses between two banks: the main switch for the loads, and where it is wanted another for the chargers. */
@Component({
  selector: 'mx-selectors',
  imports: [Choice, PartSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (!onHub()) {
      <div [class.wide-two]="pole() !== null">
        <mx-part
          kind="switch"
          label="Main switch"
          [name]="f().second ? 'Main switch: chooses the bank that the loads hang on' : 'Main switch'"
          [suits]="f().second ? selects : null"
          [value]="s().mainSwitch"
          (valueChange)="set('main switch', { mainSwitch: $event })"
        />
        @if (pole(); as p) {
          <mx-choice label="Main switch is in the" name="In the" [of]="poles" [value]="p" (valueChange)="setPole($event)" />
        }
      </div>
    }
    @if (f().second) {
      <mx-part kind="switch" label="Charging selector" name="Chooses the bank that is charged" none="the same switch" [suits]="selects" [value]="charging()" (valueChange)="setCharging($event)" />
      @if (refused(); as why) {
        <p class="stop" role="alert">{{ why }}</p>
      }
    }
  `,
  styleUrl: './panel.less',
})
export class Selectors extends SupplyPanel {
  protected readonly selects = (p: Part): boolean => p.kind === 'switch' && p.selects;
  protected readonly onHub = computed(() => !!distributionOf(this.designs.openDesign(), catalogueOf(this.designs.openDesign())).hub?.mainSwitch);
  protected readonly poles = ['positive', 'negative'] as const;
  /** Where the switch may stand in either pole; null: a selector stands in the positives, and so does one beside a hub board. */
  protected readonly pole = computed(() => {
    const d = this.designs.openDesign();
    const there = d.switchgear['switch'];
    const either = there && there.part !== null && (there.pole === 'negative' || (!this.f().second && !distributionOf(d, catalogueOf(d)).hub));
    return either ? there.pole : null;
  });
  protected readonly charging = computed(() => Object.values(this.designs.openDesign().switchgear).find((s) => s.does === 'charging selector')?.part ?? null);
  /** What was not done, and why. */
  protected readonly refused = signal<string | null>(null);

  protected setPole(pole: 'positive' | 'negative'): void {
    this.commands('pole of the main switch', [{ do: 'changeThing', with: { thing: 'switch', set: { pole } } }]);
  }

  protected setCharging(part: string | null): void {
    this.refused.set(this.commands(part === null ? 'one selector for loads and chargers' : 'a selector of their own for the chargers', [{ do: 'chargingSelector', with: { part } }]));
  }
}
