import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { vehicleOf } from '@meridex/core';
import { AssessmentService } from '../data/assessment.service';
import { DesignService } from '../data/design.service';
import { RecordService } from '../data/record.service';
import { TestPlanService } from '../data/test-plan.service';
import { Colleagues } from './colleagues';
import { lugsOf } from './progress';
import { STAGE_LIST } from './stages';

/** The job as one cable trunk: a breakout with a ring lug for each stage. */
@Component({
  selector: 'mx-trunk',
  imports: [RouterLink, RouterLinkActive, Colleagues],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'region', 'aria-label': 'The job and its stages' },
  templateUrl: './trunk.html',
  styleUrl: './trunk.less',
})
export class Trunk {
  readonly jobId = input.required<string>();
  protected readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private readonly records = inject(RecordService);
  private readonly tests = inject(TestPlanService);
  protected readonly stages = STAGE_LIST;
  protected readonly vehicle = computed(() => {
    const design = this.designs.design();
    return design ? [vehicleOf(design).name, design.brief.plate].filter(Boolean).join(' · ') : '';
  });
  protected readonly lugs = computed(() => {
    const [design, a] = [this.designs.design(), this.assessments.assessment()];
    return design && a ? lugsOf(design, a, { ticked: this.records.ticked(), read: this.records.readings(), plan: this.tests.rows().map((r) => r.id) }) : null;
  });
}
