import { CdkDrag, type CdkDragEnd } from '@angular/cdk/drag-drop';
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output } from '@angular/core';
import type { Block, CalendarPlan } from '@meridex/core';

/** Where a block was put down. */
export interface PutDown {
  readonly job: string;
  readonly bay: string;
  readonly on: string;
  readonly half: 0 | 1;
}

/** Bays down, half-days across: each job a block that is dragged to where it is promised. */
@Component({
  selector: 'mx-week-board',
  imports: [CdkDrag, DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="board" [style.grid-template-columns]="columns()">
      <span class="corner"></span>
      @for (d of plan().days; track d) {
        <span class="day" [class.today]="d === today()" [style.grid-column]="span(2 * $index, 2)"
          >{{ d | date: 'EEE' }} <b>{{ d | date: 'd MMM' }}</b></span
        >
      }
      @for (bay of bays(); track bay; let row = $index) {
        <span class="bay" [style.grid-row]="row + 2">{{ bay }}</span>
        @for (d of plan().days; track d) {
          <i class="cell" [style.grid-row]="row + 2" [style.grid-column]="span(2 * $index, 2)"></i>
        }
      }
      @for (b of plan().blocks; track b.job) {
        <button
          type="button"
          class="block"
          cdkDrag
          [cdkDragDisabled]="!movable()"
          (cdkDragEnded)="dropped(b, $event)"
          [class.late]="b.late > 0"
          [class.chosen]="b.job === chosen()"
          [attr.aria-pressed]="b.job === chosen()"
          [style.grid-row]="rowOf(b) + 2"
          [style.grid-column]="span(b.start, b.halfDays)"
          [title]="names().get(b.job) + ', ' + people().get(b.person)"
          (click)="pick.emit(b.job)"
        >
          <b>{{ names().get(b.job) }}</b>
          <span
            >{{ people().get(b.person) }}{{ promised().get(b.job) ? ', by ' : '' }}{{ promised().get(b.job) | date: 'd MMM' }}{{ b.fixed ? ' · promised there' : ''
            }}{{ b.late ? ' · ' + lateWords(b.late) : '' }}</span
          >
        </button>
      }
    </div>
  `,
  styleUrl: './week-board.less',
})
export class WeekBoard {
  readonly plan = input.required<CalendarPlan>();
  readonly bays = input.required<readonly string[]>();
  readonly names = input.required<ReadonlyMap<string, string>>();
  readonly people = input.required<ReadonlyMap<string, string>>();
  /** Promised days, of the jobs that have one. */
  readonly promised = input.required<ReadonlyMap<string, string | null>>();
  readonly today = input.required<string>();
  readonly chosen = input<string | null>(null);
  readonly movable = input(true);
  readonly pick = output<string>();
  readonly put = output<PutDown>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly columns = computed(() => `minmax(64px, max-content) repeat(${2 * this.plan().days.length}, minmax(34px, 1fr))`);

  protected readonly span = (start: number, halfDays: number): string => `${start + 2} / span ${halfDays}`;
  protected readonly rowOf = (b: Block): number => Math.max(0, this.bays().indexOf(b.bay));
  protected readonly lateWords = (halfDays: number): string => (halfDays === 1 ? 'half a day late' : halfDays === 2 ? 'a day late' : `${halfDays / 2} days late`);

  /** Put down on the nearest half-day of the nearest bay. */
  protected dropped(b: Block, { source, distance }: CdkDragEnd): void {
    source.reset();
    const cell = this.host.nativeElement.querySelector('.cell')!.getBoundingClientRect();
    const halves = 2 * this.plan().days.length;
    const start = Math.min(halves - 1, Math.max(0, b.start + Math.round((2 * distance.x) / cell.width)));
    const row = Math.min(this.bays().length - 1, Math.max(0, this.rowOf(b) + Math.round(distance.y / cell.height)));
    this.put.emit({ job: b.job, bay: this.bays()[row]!, on: this.plan().days[Math.floor(start / 2)]!, half: (start % 2) as 0 | 1 });
  }
}
