import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { CHEMISTRY, figure } from '@meridex/core';
import { type Leaf, Leaves } from '../frame/leaves';
import { AssessmentService } from '../services/assessment.service';

/** What feeds the loads: its answer, and its sheets. */
@Component({
  selector: 'mx-supply',
  imports: [RouterOutlet, Leaves],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let f = assessments.assessment()!.supply;
    <div class="bench-head">
      <h1>Supply</h1>
      <span class="sum">
        @if (f.bank; as b) {
          <b class="figure">{{ figure(b.capacityAh, 0) }}</b> Ah at {{ b.nominalV }} V, <b class="figure">{{ figure(b.usableAh, 0) }}</b> usable ({{ figure(100 * b.usableShare, 0) }} %,
          {{ b.usableFrom === 'setting' ? 'your setting' : 'default for ' + chemistryName() }}) ·
          @if (f.daysAlone === Infinity) {
            no loads yet
          } @else {
            <b class="figure">{{ figure(f.daysAlone, 1) }}</b> days alone
          }
        } @else {
          no house battery yet
        }
      </span>
    </div>
    <mx-leaves label="Sheets of the supply" [leaves]="leaves" />
    <router-outlet />
  `,
})
export class SupplyStage {
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly Infinity = Infinity;
  protected readonly leaves: readonly Leaf[] = [
    { path: 'drafts', name: 'Three drafts' },
    { path: 'feeds', name: 'What feeds it' },
    { path: 'trip', name: 'The trip' },
    { path: 'sheets', name: 'Settings and watching' },
  ];
  protected readonly chemistryName = computed(() => {
    const bank = this.assessments.assessment()!.supply.bank;
    return bank ? CHEMISTRY[bank.part.chemistry].name : '';
  });
}
