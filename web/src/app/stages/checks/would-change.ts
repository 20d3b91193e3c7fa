import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import type { Moved, Press } from '@meridex/core';
import { Mark } from '../../pictures/mark';
import { AnalysisService } from '../../data/analysis.service';
import { DesignService } from '../../data/design.service';

/** Rows of the tell-tales that findings say better. */
const IN_FINDINGS = ['To stop', 'To look at'];

/** What a press would change, before it is made: what it ends, what it brings, figures and cables. */
@Component({
  selector: 'mx-would-change',
  imports: [Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './would-change.html',
  styleUrl: './would-change.less',
})
export class WouldChange {
  readonly press = input.required<Press>();
  /** What the finding says whose fix it is. */
  readonly says = input.required<string>();
  private readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  private readonly asked = resource({
    params: () => ({ job: this.designs.openJob(), vehicle: this.designs.vehicle(), patch: this.press().patch }),
    loader: ({ params }) => this.analysis.ask({ what: 'would change', ...params }),
  });
  private readonly answer = computed(() => (this.asked.hasValue() && !this.asked.isLoading() ? this.asked.value() : null));
  /** Why the edit cannot be made. */
  protected readonly refused = computed(() => {
    const answer = this.answer();
    return typeof answer === 'string' ? answer : null;
  });
  protected readonly would = computed(() => {
    const d = this.answer();
    if (d === null || typeof d === 'string') return null;
    return {
      ends: d.gone.includes(this.says()),
      also: d.gone.filter((g) => g !== this.says()),
      brings: d.came,
      moved: [...d.figures.filter((f) => f.from !== f.to && !IN_FINDINGS.includes(f.what)), ...d.cables],
    };
  });
  protected readonly key = (m: Moved): string => `${m.what} ${m.unit}`;
}
