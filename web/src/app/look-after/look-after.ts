import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';
import { type HistoryEntry, JobsService } from '../services/jobs.service';

const WORD: Readonly<Record<string, string>> = { brief: 'brief', loads: 'loads', supply: 'supply', places: 'places', runs: 'runs', accepted: 'checks', settings: 'settings' };

/** What to care for, and what was changed since. */
@Component({
  selector: 'mx-look-after',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench-head">
      <h1>Look after</h1>
      <span class="sum">care to come, and every change that was kept</span>
    </div>
    <div class="grid two">
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
      <section class="panel flush scroll">
        <table class="sheet">
          <thead>
            <tr>
              <th class="num">revision</th>
              <th>when</th>
              <th>who</th>
              <th>what</th>
            </tr>
          </thead>
          <tbody>
            @for (h of history(); track h.number) {
              <tr>
                <td class="num">{{ h.number }}</td>
                <td class="figure">{{ h.at | date: 'd MMM HH:mm' }}</td>
                <td>{{ h.author }}</td>
                <td>{{ what(h) }}</td>
              </tr>
            } @empty {
              <tr>
                <td colspan="4" class="empty">{{ says() ?? 'Reading …' }}</td>
              </tr>
            }
          </tbody>
        </table>
      </section>
    </div>
  `,
  styles: `
    .two {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
      align-items: start;
    }
    ul {
      padding-left: 18px;
    }
    li {
      margin-bottom: 6px;
    }
    @media (max-width: 900px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class LookAfterStage {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  private readonly jobs = inject(JobsService);
  protected readonly history = signal<readonly HistoryEntry[]>([]);
  protected readonly says = signal<string | null>(null);
  protected readonly joints = computed(() => this.assessments.assessment()!.runs.length * 4);

  constructor() {
    effect(() => {
      const jobId = this.designs.jobId();
      if (!jobId || !this.designs.revision()) return;
      this.jobs.history(jobId).subscribe({ next: (h) => this.history.set(h), error: () => this.says.set('The history could not be read: the server does not answer.') });
    });
  }

  protected what(h: HistoryEntry): string {
    if (h.number === 1) return 'job opened';
    const words = new Set(h.paths.map((p) => WORD[p.split('/')[1] ?? ''] ?? p));
    return `${[...words].join(', ')}: ${h.paths.length} ${h.paths.length === 1 ? 'change' : 'changes'}`;
  }
}
