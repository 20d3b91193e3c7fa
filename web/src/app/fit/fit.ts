import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { FitStep } from '@meridex/core';
import { AssessmentService } from '../services/assessment.service';
import { RecordService } from '../services/record.service';

/** The build step by step; each tick is kept. */
@Component({
  selector: 'mx-fit',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit.html',
  styleUrl: './fit.less',
})
export class FitStage {
  protected readonly assessments = inject(AssessmentService);
  protected readonly records = inject(RecordService);
  protected readonly steps = computed(() => this.assessments.assessment()!.fit);
  protected readonly sections = computed(() => {
    const out: { name: FitStep['section']; steps: FitStep[] }[] = [];
    for (const step of this.steps()) {
      const last = out.at(-1);
      if (last?.name === step.section) last.steps.push(step);
      else out.push({ name: step.section, steps: [step] });
    }
    return out;
  });
  protected readonly done = computed(() => this.steps().filter((s) => this.records.ticked().has(s.id)).length);
  protected readonly next = computed(() => this.steps().find((s) => !this.records.ticked().has(s.id)) ?? null);
  protected readonly ticksIn = (steps: readonly FitStep[]): number => steps.filter((s) => this.records.ticked().has(s.id)).length;
}
