import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure, handOverPack, vehicleOf } from '@meridex/core';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { Comments } from '../../comments/comments';
import { Photos } from '../../photos/photos';
import { CommentService } from '../../data/comment.service';
import { PhotoService } from '../../data/photo.service';
import { ReviewService } from '../../data/review.service';
import { RecordService } from '../../data/record.service';
import { TestPlanService } from '../../data/test-plan.service';
import { Reviewed } from './reviewed';
import { SyncService } from '../../data/sync/sync.service';

/** What goes with the vehicle: circuit list, fuse map, readings and cautions, on paper. */
@Component({
  selector: 'mx-hand-over',
  imports: [Comments, Photos, Reviewed],
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
    mx-photos {
      --photos-room: none;
      justify-content: flex-start;
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
  protected readonly photos = inject(PhotoService);
  private readonly comments = inject(CommentService);
  /** Comments that nobody has settled, of things in the job. */
  protected readonly openElsewhere = computed(() => [...this.comments.byAbout()].reduce((n, [about, all]) => n + (about === '' ? 0 : all.filter((c) => c.settledBy === null).length), 0));
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  private readonly reviews = inject(ReviewService);
  private readonly records = inject(RecordService);
  private readonly sync = inject(SyncService);
  private readonly tests = inject(TestPlanService);
  protected readonly pack = computed(() => {
    const design = this.designs.openDesign();
    const taken = Object.fromEntries([...this.records.readings()].map(([row, r]) => [row, { value: r.value, at: r.at ?? '', by: r.author ?? '' }]));
    return handOverPack(design, this.assessments.openAssessment(), vehicleOf(design).name, {
      readings: taken,
      plan: this.tests.plan(),
      ticked: this.records.ticked(),
      reviewed: this.reviews.given()[0] ?? null,
    });
  });
  constructor() {
    this.reviews.open();
  }

  protected readonly missing = computed(() => this.pack().gaps);
  protected readonly figure = figure;
  protected readonly waiting = computed(() => this.sync.ofJob(this.designs.jobId() ?? '').length);
}
