import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { faultCurrent, figure, FUSE_KINDS, rating, type RunFuse, type SizedRun } from '@meridex/core';
import { FuseWindow } from '../pictures/fuse-window';
import { Mark, type MarkKind } from '../pictures/mark';
import { AssessmentService } from '../services/assessment.service';
import { SelectionService } from '../services/selection.service';

const LONG: Readonly<Record<string, string>> = {
  holds: 'It breaks the largest short, opens in time for the smallest, and the cable outlasts it.',
  'guards only': 'The charger’s own current cannot blow it; it guards against a charger that fails and passes the house battery back.',
  'isolates for work': 'Panels limit themselves; the breaker is there to isolate them.',
  'cannot break it': 'The short is more than this kind can break: a kind that breaks more, a high-breaking main fuse nearer the battery, or a longer feed.',
  'cable burns first': 'The cable does not outlast the short until the fuse has opened: a thicker cable or a smaller fuse.',
  'slow at far end': 'A short at the far end may take longer than 5 s to clear: a thicker cable, a shorter run or a smaller fuse.',
};
const ms = (s: number | null | undefined): string => (s === null || s === undefined ? '–' : s < 0.1 ? `${figure(s * 1000, s < 0.01 ? 1 : 0)} ms` : `${figure(s, s < 10 ? 2 : 0)} s`);

interface Row {
  readonly run: Extract<SizedRun, { ok: true }>;
  readonly fuse: RunFuse;
  readonly where: string;
  readonly state: MarkKind;
  readonly say: string;
}

function judged(fuse: RunFuse): { state: MarkKind; say: string } {
  if (fuse.end.source === 'panels') return { state: 'holds', say: 'isolates for work' };
  if (fuse.maxA === 0) return { state: 'holds', say: 'guards only' };
  if (fuse.maxA > fuse.breakingA) return { state: 'stop', say: 'cannot break it' };
  if (fuse.fault && !fuse.fault.cableSurvives) return { state: 'stop', say: 'cable burns first' };
  if (fuse.fault && !fuse.fault.clearsIn5s) return { state: 'look', say: 'slow at far end' };
  return { state: 'holds', say: 'holds' };
}

/** A fuse at every end that can feed, with what a short does at each. */
@Component({
  selector: 'mx-protection',
  imports: [FuseWindow, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './protection.html',
  styles: `
    .two {
      grid-template-columns: minmax(0, 1fr) 232px;
      align-items: start;
    }
    @media (max-width: 1000px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    .facts {
      margin: 8px 0;
      gap: 3px 8px;
      font-size: 13px;
      grid-template-columns: 1fr auto;
    }
    td,
    th {
      padding: 6px 5px !important;
      white-space: nowrap;
    }
    td.num {
      font-size: 13px;
    }
  `,
})
export class ProtectionStage {
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly ms = ms;
  protected readonly long = LONG;
  protected readonly rating = rating;
  protected readonly short = faultCurrent;
  protected readonly kinds = FUSE_KINDS;
  protected readonly rows = computed<readonly Row[]>(() =>
    this.assessments
      .assessment()!
      .runs.flatMap((run) =>
        run.ok ? run.figures.fuses.map((fuse) => ({ run, fuse, where: (fuse.end.at === 'from' ? run.spec.from.name : run.spec.to.name).replace(/ \d+ Ah$/, ''), ...judged(fuse) })) : [],
      ),
  );
  protected readonly wrong = computed(() => this.rows().filter((r) => r.state !== 'holds').length);
  protected readonly chosen = computed(() => this.rows().find((r) => r.run.spec.id === this.selection.run()) ?? this.rows().find((r) => r.state !== 'holds') ?? this.rows()[0] ?? null);
}
