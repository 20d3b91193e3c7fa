import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { AssessmentService } from '../services/assessment.service';

/** What to do at the first service. */
@Component({
  selector: 'mx-care',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel">
      <h2>First service</h2>
      <ul>
        <li>Re-tighten {{ joints() }} joints to their torque, main fuse out first.</li>
        <li>Read the house battery at rest, and each load with its circuit on, against Prove.</li>
        <li>Look at every grommet, clip and plug where stones or heat reach.</li>
        <li>Try each breaker by hand; a self-made change becomes a finding.</li>
      </ul>
      <p class="caution">Disconnect before working: negative first, reconnect last.</p>
    </section>
  `,
  styles: `
    .panel {
      max-width: 720px;
    }
    ul {
      padding-left: 18px;
    }
    li {
      margin-bottom: 6px;
    }
  `,
})
export class CareSheet {
  private readonly assessments = inject(AssessmentService);
  protected readonly joints = computed(() => (this.assessments.assessment()?.runs.length ?? 0) * 4);
}
