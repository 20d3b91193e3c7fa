import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { mayNot } from '@meridex/contract';
import { careCalendar, careTasks, careTick, type CareTurn, catalogueOf, monthsSince, storageOf } from '@meridex/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { isoDay } from '../../ui/iso-day';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { RecordService } from '../../data/record.service';
import { fileName, saveFile } from '../../data/save-file';
import { SessionService } from '../../data/session.service';
import { careFile } from './care-file';

/** Months from today that are shown. */
const MONTHS = 24;

/** What the rig wants done in the years after, turn by turn from the day that it left. */
@Component({
  selector: 'mx-care',
  imports: [DatePipe, FormsModule, NzDatePickerModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './care.html',
  styleUrl: './care.less',
})
export class CareSheet {
  private readonly assessments = inject(AssessmentService);
  private readonly designs = inject(DesignService);
  protected readonly records = inject(RecordService);
  private readonly session = inject(SessionService);
  protected readonly says = signal<string | null>(null);
  protected readonly today = isoDay(new Date());
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'plan'));
  protected readonly from = computed(() => this.designs.openDesign().brief.careFrom);
  /** Noon, so that no clock makes it the day before. */
  protected readonly day = computed(() => (this.from() === null ? null : new Date(`${this.from()}T12:00:00`)));
  private readonly tasks = computed(() => careTasks(this.designs.openDesign(), catalogueOf(this.designs.openDesign()), this.assessments.openAssessment()));
  protected readonly storage = computed(() => storageOf(this.designs.openDesign(), catalogueOf(this.designs.openDesign())));
  protected readonly turns = computed(() => careCalendar(this.tasks(), this.from() ?? this.today, MONTHS + monthsSince(this.from() ?? this.today, this.today)));
  protected readonly id = (t: CareTurn): string => careTick(t.task.id, t.turn);
  protected readonly next = computed(() => this.turns().find((t) => !this.records.ticked().has(this.id(t))) ?? null);
  protected readonly over = (t: CareTurn): boolean => t.on < this.today && !this.records.ticked().has(this.id(t));

  protected left(day: Date | null): void {
    this.says.set(this.designs.edit('day that it left the workshop', (d) => void (d.brief.careFrom = day ? isoDay(day) : null)));
  }

  protected done(t: CareTurn): void {
    const tick = this.id(t);
    this.records.tick(tick, !this.records.ticked().has(tick));
  }

  protected save(): void {
    const { customer } = this.designs.openDesign().brief;
    saveFile(fileName(customer, 'care.ics'), [careFile(this.tasks(), this.from() ?? this.today, { id: this.designs.jobId() ?? '', customer })], 'text/calendar');
  }
}
