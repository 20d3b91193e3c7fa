import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure, handOverPack, vehicleOf } from '@meridex/core';
import { AssessmentService } from '../services/assessment.service';
import { DesignService } from '../services/design.service';
import { RecordService } from '../services/record.service';
import { SyncService } from '../sync/sync.service';

/** What goes with the vehicle: circuit list, fuse map, readings and cautions, on paper. */
@Component({
  selector: 'mx-hand-over',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './hand-over.html',
  styles: `
    .two {
      grid-template-columns: minmax(0, 1fr) 250px;
      align-items: start;
    }
    @media (max-width: 1000px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    .paper {
      background: var(--raised);
      padding: 22px 24px;
    }
    .paper h2 {
      margin-top: 18px;
    }
    .paper td,
    .paper th {
      padding: 3px 6px;
      font-size: 13px;
      background: transparent;
    }
    .facts {
      grid-template-columns: 190px 1fr;
      margin-top: 10px;
    }
    .facts dd {
      text-align: left;
    }
    li {
      margin-bottom: 4px;
    }
    ul {
      padding-left: 18px;
      margin: 0;
    }
    .side {
      display: grid;
      gap: 12px;
    }
    .btn.main {
      justify-content: center;
      min-height: 42px;
    }
  `,
})
export class HandOverStage {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  private readonly records = inject(RecordService);
  private readonly sync = inject(SyncService);
  protected readonly pack = computed(() => {
    const design = this.designs.design()!;
    const taken = Object.fromEntries([...this.records.readings()].map(([row, r]) => [row, { value: r.value, at: r.at ?? '', by: r.author ?? '' }]));
    return handOverPack(design, this.assessments.assessment()!, vehicleOf(design).name, taken);
  });
  protected readonly missing = computed(() => {
    const a = this.assessments.assessment()!;
    const steps = a.fit.filter((s) => !this.records.ticked().has(s.id)).length;
    const readings = a.prove.filter((r) => !this.records.readings().has(r.id)).length;
    return [
      ...(a.open.length ? [`${a.open.length} ${a.open.length === 1 ? 'finding is' : 'findings are'} open: ${a.tellTales.stops} to stop, ${a.tellTales.looks} to look at`] : []),
      ...(steps ? [`${steps} of ${a.fit.length} fitting steps are not ticked`] : []),
      ...(readings ? [`${readings} of ${a.prove.length} readings are not taken`] : []),
    ];
  });
  protected readonly figure = figure;
  protected readonly waiting = computed(() => this.sync.ofJob(this.designs.jobId() ?? '').length);
}
