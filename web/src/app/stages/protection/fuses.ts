import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { carriesA, faultCurrent, figure, FUSE_KINDS, rating, type CircuitState } from '@meridex/core';
import { FusePlot } from '../../pictures/fuse-plot';
import { FuseWindow } from '../../pictures/fuse-window';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';
import { SelectionService } from '../../data/selection.service';
import { ThemeService } from '../../data/theme.service';
import type { ProtectionAnswer } from '../../data/workers/answers';
import { fuseRows, type FuseRow } from './fuse-rows';

const LONG: Readonly<Record<string, string>> = {
  holds: 'It breaks the largest short, opens in time for the smallest, and the cable outlasts it.',
  'guards only': 'The charger’s own current cannot blow it; it guards against a charger that fails and passes the house battery back.',
  isolates: 'Panels limit themselves; the breaker is there to isolate them.',
  'backed up': 'A short is more than this kind breaks alone; the fuse before it breaks the whole of it. A longer or thinner feed, or a block that breaks more, ends that.',
  'cannot break it': 'The short is more than this kind can break: a kind that breaks more, a high-breaking main fuse nearer the battery, or a longer feed.',
  'cable burns first': 'The cable does not outlast the short until the fuse has opened: a thicker cable or a smaller fuse.',
  'slow at far end': 'A short at the far end may take longer than 5 s to clear: a thicker cable, a shorter run or a smaller fuse.',
};
const ms = (s: number | null | undefined): string => (s === null || s === undefined ? '–' : s < 0.1 ? `${figure(s * 1000, s < 0.01 ? 1 : 0)} ms` : `${figure(s, s < 10 ? 2 : 0)} s`);

/** A fuse at every end that can feed, with what a short does at each. */
@Component({
  selector: 'mx-fuses',
  imports: [FusePlot, FuseWindow, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fuses.html',
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
    h2.inset {
      padding: 14px 10px 6px;
    }
    .legend {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 2px 6px;
      margin: 2px 0 8px;
      font-size: 12px;
      span {
        display: inline-flex;
        align-items: center;
        gap: 4px;
        white-space: nowrap;
      }
    }
    .swatch {
      width: 14px;
      height: 3px;
      &.copper {
        background: var(--copper);
      }
      &.grey {
        background: repeating-linear-gradient(90deg, var(--muted) 0 4px, transparent 4px 7px);
      }
      &.green {
        background: var(--holds);
      }
      &.red {
        background: repeating-linear-gradient(90deg, var(--stop) 0 3px, transparent 3px 6px);
      }
    }
  `,
})
export class FusesSheet {
  private readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly ms = ms;
  protected readonly long = LONG;
  protected readonly rating = rating;
  protected readonly short = faultCurrent;
  protected readonly kinds = FUSE_KINDS;
  protected readonly rows = computed(() => fuseRows(this.assessments.openAssessment(), this.designs.openDesign().settings));
  protected readonly chosen = computed(() => this.rows().find((r) => r.run.spec.id === this.selection.run()) ?? this.rows().find((r) => r.state !== 'holds') ?? this.rows()[0] ?? null);

  private readonly analysis = inject(AnalysisService);
  protected readonly theme = inject(ThemeService);
  protected readonly known = signal<ProtectionAnswer | null>(null);
  /** Which opens first along the way to the chosen fuse; and the same for all, those that do not wait first. */
  protected readonly pair = computed(() => this.known()?.pairs.find((p) => p.far.run === this.chosen()?.run.spec.id && p.far.fuse.end.at === this.chosen()?.fuse.end.at) ?? null);
  protected readonly pairs = computed(() => [...(this.known()?.pairs ?? [])].sort((a, b) => Number(a.result.holds) - Number(b.result.holds)));
  protected readonly worst = computed(() => this.known()?.sweep.runs.find((w) => w.id === this.chosen()?.run.spec.id) ?? null);

  constructor() {
    effect(() => {
      const design = this.designs.design();
      untracked(() => void this.ask(design));
    });
  }

  private async ask(design: ReturnType<DesignService['design']>): Promise<void> {
    const answer = design ? await this.analysis.ask({ what: 'protection', design }) : null;
    if (design === this.designs.design()) this.known.set(answer);
  }

  /** What a fuse carries all day in the air it stands in. */
  protected rerated(row: FuseRow): string {
    const { fuseAirC } = row.run.spec;
    return `${figure(carriesA(row.fuse.type, row.fuse.ratingA, fuseAirC), 1)} A in ${figure(fuseAirC, 0)} °C`;
  }

  protected stateWords(state: CircuitState): string {
    const on = typeof state.loads === 'string' ? `loads ${state.loads}` : state.loads.only.length ? 'its loads on' : 'loads off';
    return [state.engine === 'off' ? 'parked' : state.engine === 'idle' ? 'at idle' : 'driving', on, ...(state.sun === 'none' ? [] : ['in the sun']), ...(state.mains ? ['plugged in'] : [])].join(
      ', ',
    );
  }
}
