import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure, HAZARD_WORDS, type Stretch } from '@meridex/core';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { SelectionService } from '../../data/selection.service';

/** Stretch by stretch what lies in it: bundle, tube, clips, and the holes to cut. */
@Component({
  selector: 'mx-ways',
  imports: [Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ways.html',
  styleUrl: './ways.less',
})
export class WaysSheet {
  private readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly ceil = Math.ceil;
  protected readonly a = computed(() => this.assessments.openAssessment());
  protected readonly stretches = computed(() => this.a().layout.stretches);
  protected readonly holes = computed(() => this.stretches().filter((s) => s.hole));
  protected readonly clips = computed(() => this.stretches().reduce((n, s) => n + s.clips, 0));
  /** Metres of split tube by size, with the share for cutting. */
  protected readonly tubes = computed(() => {
    const by = new Map<number, number>();
    for (const s of this.stretches()) if (s.tubes) by.set(s.tubes.mm, (by.get(s.tubes.mm) ?? 0) + s.tubes.count * s.lengthMm);
    return [...by].sort(([a], [b]) => a - b).map(([mm, length]) => ({ mm, m: Math.ceil(length / 100) / 10 }));
  });
  protected names(s: Stretch): string {
    return s.runs.join(', ');
  }

  protected hazards(s: Stretch): string {
    return s.way.hazards.map((h) => (h.nearMm ? `${HAZARD_WORDS[h.kind]} at ${h.nearMm} mm` : HAZARD_WORDS[h.kind])).join(', ');
  }
}
