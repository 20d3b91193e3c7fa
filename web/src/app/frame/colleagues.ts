import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Stage } from '@meridex/core';
import { AssessmentService } from '../data/assessment.service';
import { type Colleague, LiveService } from '../data/live.service';
import { stageName, STAGE_LIST } from './stages';

/** Who else is in the job, and where. */
@Component({
  selector: 'mx-colleagues',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status', 'aria-label': 'Who else is in the job' },
  template: `
    @for (o of others(); track o.tab) {
      <span class="one" [attr.data-tab]="o.tab"
        ><b>{{ o.name }}</b> is at {{ o.where }}</span
      >
    }
  `,
  styles: `
    .one {
      display: block;
      color: var(--trigger);
    }
  `,
})
export class Colleagues {
  private readonly live = inject(LiveService);
  private readonly assessments = inject(AssessmentService);
  protected readonly others = computed(() => this.live.others().map((o) => ({ ...o, where: [this.stage(o), this.row(o)].filter(Boolean).join(', ') })));

  private stage({ stage }: Colleague): string {
    const known = STAGE_LIST.find((s) => s.id === stage);
    return known ? stageName(known.id as Stage) : 'the job';
  }

  private row({ row }: Colleague): string {
    const a = this.assessments.assessment();
    if (!a || row === null) return '';
    const run = a.runs.find((r) => r.spec.id === row);
    if (run) return `run ${run.spec.number}`;
    return a.day.loads.find((l) => l.id === row)?.name ?? a.gear.find((g) => g.id === row)?.name ?? '';
  }
}
