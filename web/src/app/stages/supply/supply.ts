import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { CHEMISTRY, explainSupply, figure } from '@meridex/core';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';
import { WhyDrawer } from '../../frame/why-drawer';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

/** What feeds the loads: its answer, and its sheets. */
@Component({
  selector: 'mx-supply',
  imports: [RouterOutlet, SheetTabs, WhyDrawer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  template: `
    @let f = assessments.openAssessment().supply;
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
      <span class="end"
        ><button type="button" class="btn" (click)="whyOpen.set(true)">why? <kbd>W</kbd></button></span
      >
    </div>
    <mx-sheet-tabs label="Sheets of the supply" [tabs]="tabs" />
    <router-outlet />
    <mx-why-drawer [(shown)]="whyOpen" name="Why: the supply" [whys]="whys()" />
  `,
})
export class SupplyStage {
  private readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly Infinity = Infinity;
  protected readonly tabs = SHEETS.supply;
  protected readonly chemistryName = computed(() => {
    const bank = this.assessments.openAssessment().supply.bank;
    return bank ? CHEMISTRY[bank.part.chemistry].name : '';
  });
  protected readonly whyOpen = signal(false);
  protected readonly whys = computed(() => {
    const [design, a] = [this.designs.design(), this.assessments.assessment()];
    return this.whyOpen() && design && a ? explainSupply({ design, parkedDay: a.parkedDay, supply: a.supply, trip: a.trip }) : [];
  });

  protected key(event: KeyboardEvent): void {
    if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
    if (event.key !== 'w' || event.ctrlKey || event.metaKey || event.altKey) return;
    this.whyOpen.set(true);
    event.preventDefault();
  }
}
