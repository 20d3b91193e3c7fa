import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SheetTabs } from '../../ui/sheet-tabs';
import { SHEETS } from '../../frame/stages';
import { AssessmentService } from '../../data/assessment.service';
import { RecordService } from '../../data/record.service';
import { TestPlanService } from '../../data/test-plan.service';
import { judgedGroups } from './judged';

/** Does it do what it should: the readings, the search for what is wrong, and the same search to learn by. */
@Component({
  selector: 'mx-prove',
  imports: [RouterOutlet, SheetTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Prove</h1>
      <span class="sum">{{ read() }} of {{ rows().length }} read{{ wrong() ? ' · ' + wrong() + ' to find' : '' }}{{ records.toSend() ? ' · kept here, ' + records.toSend() + ' to send' : '' }}</span>
    </div>
    <mx-sheet-tabs label="Sheets of the proving" [tabs]="tabs" />
    <router-outlet />
  `,
})
export class ProveStage {
  private readonly assessments = inject(AssessmentService);
  protected readonly records = inject(RecordService);
  private readonly tests = inject(TestPlanService);
  protected readonly tabs = SHEETS.prove;
  protected readonly rows = computed(() => judgedGroups(this.assessments.assessment()?.prove ?? [], this.tests.plan(), this.records.readings()).flatMap((g) => g.rows));
  protected readonly read = computed(() => this.rows().filter((r) => r.reading).length);
  protected readonly wrong = computed(() => this.rows().filter((r) => r.mark === 'stop').length);
}
