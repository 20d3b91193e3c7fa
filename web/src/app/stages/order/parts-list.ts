import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { cutsCsv, figure, isJoined, type Order, orderCsv, type OrderLine, pricedInWords, routedRuns } from '@meridex/core';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';
import { CableCuts } from './cable-cuts';
import { MoneyPipe } from '../../fields/money.pipe';
import { fileName, saveFile } from '../../data/save-file';

const GROUPS: readonly OrderLine['group'][] = ['devices', 'protection', 'cable', 'joints', 'sundries'];

/** One complete parts list and the cut list, with prices and as CSV. */
@Component({
  selector: 'mx-parts-list',
  imports: [CableCuts, MoneyPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './parts-list.html',
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      margin-bottom: 12px;
    }
    .bar .end {
      margin-left: auto;
      display: flex;
      gap: 10px;
      align-items: center;
    }
    .two {
      grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
      align-items: start;
    }
    @media (max-width: 1000px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    .group td {
      font-family: var(--narrow);
      color: var(--muted);
      padding-top: 12px;
      background: var(--panel);
    }
    th:first-child {
      width: 46%;
    }
    td {
      padding: 4px 8px !important;
    }
    .dot {
      display: inline-block;
      width: 9px;
      height: 9px;
      border-radius: 50%;
      margin-right: 6px;
      background: var(--return);
    }
    .dot.red {
      background: var(--feed);
    }
    .dot.sheath {
      background: none;
      border: 2px solid var(--muted);
    }
    .inset {
      margin: 2px 14px 8px;
    }
    h2 {
      padding: 10px 14px 4px;
    }
    tfoot td {
      font-weight: 600;
      border-top: 1px solid var(--rule-strong);
    }
  `,
})
export class PartsSheet {
  private readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  private readonly analysis = inject(AnalysisService);
  /** Of several vehicles: the list of all of them, or of the one that is looked at. */
  protected readonly several = computed(() => isJoined(this.designs.openJob()));
  protected readonly whole = signal(false);
  private readonly wholeOrder = signal<Order | null>(null);
  protected readonly order = computed(() => (this.whole() && this.several() ? this.wholeOrder() : null) ?? this.assessments.openAssessment().order);
  protected readonly asked = computed(() => pricedInWords(this.order().lines));
  protected readonly prices = computed(() => this.designs.openDesign().prices);
  /** Runs of the vehicle that is looked at whose length nobody measured. */
  protected readonly routed = computed(() => routedRuns(this.assessments.openAssessment().runs));
  protected readonly groups = computed(() => GROUPS.map((name) => ({ name, lines: this.order().lines.filter((l) => l.group === name) })).filter((g) => g.lines.length));
  /** What comes on top, where the workshop says so. */
  protected readonly tax = computed(() => {
    const { tax, taxPercent } = this.designs.openDesign().settings.money;
    return taxPercent > 0 ? { name: tax || 'tax', percent: taxPercent, total: this.order().total * (1 + taxPercent / 100) } : null;
  });
  protected readonly saved = signal<string | null>(null);

  constructor() {
    effect(() => {
      const job = this.designs.job();
      if (!job || !this.whole()) return;
      void this.analysis.ask({ what: 'whole order', design: job }).then((order) => this.designs.job() === job && this.wholeOrder.set(order));
    });
  }

  protected save(what: 'parts' | 'cuts'): void {
    const text = what === 'parts' ? orderCsv(this.order()) : cutsCsv(this.order());
    const name = fileName(this.designs.openDesign().brief.customer, `${what}.csv`);
    // The mark at the start tells spreadsheets that the text is UTF-8.
    saveFile(name, ['\ufeff', text], 'text/csv');
    this.saved.set(name);
  }
}
