import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { catalogueOf, CHARGED_WHILE, type UsualSupply } from '@meridex/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { Choice } from '../../ui/choice';
import { NumberField } from '../../ui/number-field';
import { PartSelect } from '../../fields/part-select';
import { AlternatorTrace } from '../../pictures/alternator-trace';
import { Mark } from '../../pictures/mark';
import { SupplyPanel } from './panel';

/** Charge from the vehicle: isolation with its reasons, the alternator's volts and budget, the charger behind its feed. */
@Component({
  selector: 'mx-vehicle-panel',
  imports: [FormsModule, NzCheckboxModule, Choice, NumberField, PartSelect, AlternatorTrace, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle-panel.html',
  styleUrl: './panel.less',
})
export class VehiclePanel extends SupplyPanel {
  protected readonly while = CHARGED_WHILE;
  protected readonly ways = ['dcdc', 'isolator', 'none'] as const;
  protected readonly wayWords = (w: UsualSupply['isolation']): string => ({ dcdc: 'DC-DC charger', isolator: 'voltage-sensing isolator', none: 'no charging from the vehicle' })[w];
  protected readonly triggers = ['ignition wire', 'volts', 'always-live wire'] as const;
  protected readonly triggerWords = (t: UsualSupply['trigger']): string => ({ 'ignition wire': 'engine-live wire', volts: 'by volts', 'always-live wire': 'always-live wire' })[t];
  protected readonly inputs = computed(() => this.assessments.openAssessment().chargerInputs);
  /** Several chargers: each row says whose it is. */
  protected readonly many = computed(() => new Set(this.inputs().map((i) => i.unit)).size > 1);

  protected halfable(): boolean {
    return catalogueOf(this.designs.openDesign()).find('dcdc', this.s().dcdc)?.halfPower ?? false;
  }

  protected setIsolation(isolation: UsualSupply['isolation']): void {
    this.set(`to ${this.wayWords(isolation)}`, {
      isolation,
      ...(isolation === 'dcdc' ? { dcdc: this.s().dcdc ?? 'dcdc-25-dual' } : {}),
      ...(isolation === 'isolator' ? { isolator: this.s().isolator ?? 'iso-140' } : {}),
    });
  }
}
