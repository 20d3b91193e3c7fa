import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { figure, routedRuns } from '@meridex/core';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';
import { AssessmentService } from '../../data/assessment.service';

/** Every cable and where it goes: the sum, and the sheets of the stage. */
@Component({
  selector: 'mx-runs',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Runs</h1>
      <span class="sum">{{ sum() }}</span>
    </div>
    <mx-sheet-tabs label="Sheets of the runs" [tabs]="tabs" />
    <router-outlet />
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      height: 100%;
      min-height: 0;
    }
    @media (max-width: 1000px) {
      :host {
        height: auto;
      }
    }
  `,
})
export class RunsStage {
  private readonly assessments = inject(AssessmentService);
  protected readonly tabs = SHEETS.runs;
  protected readonly sum = computed(() => {
    const a = this.assessments.openAssessment();
    const metres = a.runs.reduce((m, r) => m + r.spec.outM + r.spec.backM, 0);
    const kg = a.order.lines.filter((l) => l.group === 'cable').reduce((k, l) => k + l.kg, 0);
    const routed = routedRuns(a.runs);
    return `${a.runs.length} runs, ${figure(metres, 1)} m of cable, ${figure(kg, 1)} kg${routed ? `, ${routed === a.runs.length ? 'no' : a.runs.length - routed} length${a.runs.length - routed === 1 ? '' : 's'} measured` : ''}`;
  });
}
