import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { isoDay } from '../../ui/iso-day';

/** Some days: each taken out by a press, one more put in by the calendar. */
@Component({
  selector: 'mx-day-list',
  imports: [DatePipe, FormsModule, NzDatePickerModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (d of days(); track d) {
      <button type="button" class="btn" [disabled]="!may()" [attr.aria-label]="label() + ': take ' + (d | date: 'EEE d MMM') + ' out'" (click)="without(d)">
        {{ d | date: 'EEE d MMM' }} <span aria-hidden="true">×</span>
      </button>
    }
    @if (may()) {
      <nz-date-picker
        [attr.aria-label]="label() + ': one more day'"
        nzPlaceHolder="one more day"
        nzFormat="EEE d MMM yyyy"
        [nzAllowClear]="false"
        [nzDisabledDate]="not()"
        [ngModel]="null"
        (ngModelChange)="add($event)"
      />
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
    }
    nz-date-picker {
      width: 170px;
    }
  `,
})
export class DayList {
  readonly label = input.required<string>();
  readonly days = input.required<readonly string[]>();
  readonly may = input(true);
  /** Days that make no sense here. */
  readonly not = input<(day: Date) => boolean>(() => false);
  readonly changed = output<string[]>();

  protected without(day: string): void {
    this.changed.emit(this.days().filter((d) => d !== day));
  }

  protected add(day: Date | null): void {
    if (day) this.changed.emit([...new Set([...this.days(), isoDay(day)])].sort());
  }
}
