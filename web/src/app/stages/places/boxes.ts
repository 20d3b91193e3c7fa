import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Enclosure, type EnclosurePoint, pointStep } from '@meridex/core';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { RecordService } from '../../data/record.service';
import { SheetPicture } from './sheet-picture';

/** Room for three sides of a box beside one another, px. */
const ROW_PX = 690;
const MOST_SCALE = 0.45;

/** Boxes round gear: what each is cut from, what goes through its walls, and what is checked of it, point by point. */
@Component({
  selector: 'mx-boxes',
  imports: [RouterLink, Mark, SheetPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './boxes.html',
  styleUrl: './boxes.less',
})
export class BoxesSheet {
  protected readonly designs = inject(DesignService);
  private readonly records = inject(RecordService);
  private readonly assessments = inject(AssessmentService);
  protected readonly boxes = computed(() => this.assessments.openAssessment().enclosures);
  protected readonly papers = ['A4', 'A3', 'A2', 'A1'] as const;

  protected readonly scaleOf = ({ sheets }: Enclosure): number => Math.min(MOST_SCALE, ROW_PX / 3 / Math.max(...sheets.map((s) => s.wMm)));
  /** A gland's thread and how many of it. */
  protected readonly glandsOf = ({ entries }: Enclosure): readonly { readonly thread: string; readonly holeMm: number; readonly names: readonly string[] }[] =>
    [...new Map(entries.map((e) => [e.gland.thread, e.gland])).values()].map((g) => ({
      thread: g.thread,
      holeMm: g.holeMm,
      names: entries.filter((e) => e.gland.thread === g.thread).map((e) => e.name),
    }));

  protected readonly stateOf = (e: Enclosure, p: EnclosurePoint): 'look' | 'holds' | 'waits' => {
    if (p.against !== null) return 'look';
    const step = pointStep(e.zone, p.id);
    return step === null || this.records.ticked().has(step) ? 'holds' : 'waits';
  };
  protected readonly stepOf = (e: Enclosure, p: EnclosurePoint): string | null => pointStep(e.zone, p.id);

  protected address(e: Enclosure, kind: 'pdf' | 'dxf', paper: string | null = null): string {
    const query = [this.designs.ofVehicle().slice(1), paper ? `paper=${paper}` : ''].filter(Boolean).join('&');
    return `/api/jobs/${this.designs.jobId()}/boxes/${e.zone}/sheets.${kind}${query ? `?${query}` : ''}`;
  }
}
