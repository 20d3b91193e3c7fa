import { DatePipe, formatDate } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { figure, type PlannedJob } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { Choice } from '../../ui/choice';
import { isoDay } from '../../ui/iso-day';
import { NumberField } from '../../ui/number-field';
import type { JobLine } from '../../data/jobs.service';

/** What is said of one job's place in the week. */
@Component({
  selector: 'mx-week-job',
  imports: [DatePipe, FormsModule, NzCheckboxModule, NzDatePickerModule, RouterLink, Choice, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let s = said();
    <h2>{{ job().customer }}</h2>
    <p class="muted">
      {{ job().state }}{{ job().promisedOn ? ', promised by ' : ', no day promised' }}{{ job().promisedOn | date: 'EEE d MMM' }} · <a [routerLink]="['/jobs', job().id, job().next.stage]">open it</a>
    </p>
    <p class="narrow">{{ stands() }}</p>
    <div class="fields">
      <div class="field">
        <span class="name">Hours of work left; its steps say {{ steps() }}</span>
        <mx-number label="Hours of work left" unit="h" [min]="0.5" [max]="200" [decimals]="1" [value]="s.hours" [placeholder]="steps()" (valueChange)="changed.emit({ hours: $event })" />
      </div>
      <div class="field">
        <span class="name">Its parts are there on</span>
        <nz-date-picker
          aria-label="Its parts are there on"
          [nzPlaceHolder]="ordered()"
          nzFormat="EEE d MMM yyyy"
          [nzDisabled]="!may()"
          [ngModel]="s.partsOn"
          (ngModelChange)="changed.emit({ partsOn: $event ? iso($event) : null })"
        />
      </div>
      <mx-choice label="Who may do it" name="Who may do it" [of]="needs" [words]="needWords" [value]="s.needs" (valueChange)="changed.emit({ needs: $event })" />
      <mx-choice label="When something must be late" name="How much it weighs" [of]="weights" [words]="weightWords" [value]="s.weight" (valueChange)="changed.emit({ weight: $event })" />
      @if (s.fixed; as f) {
        <div class="field">
          <span class="name">Promised to begin</span>
          <p>
            {{ f.on | date: 'EEE d MMM' }}, {{ f.half ? 'afternoon' : 'morning' }}, {{ f.bay }}
            <button type="button" class="btn" [disabled]="!may()" (click)="changed.emit({ fixed: null })">Let the plan choose</button>
          </p>
        </div>
      } @else if (place(); as p) {
        <div class="field">
          <span class="name">Begins, as planned</span>
          <p>
            {{ p.on | date: 'EEE d MMM' }}, {{ p.half ? 'afternoon' : 'morning' }}, {{ p.bay }}
            <button type="button" class="btn" [disabled]="!may()" (click)="changed.emit({ fixed: p })">Promise that</button>
          </p>
        </div>
      }
    </div>
    <label nz-checkbox [nzDisabled]="!may()" [ngModel]="true" (ngModelChange)="changed.emit({ planned: false })">in the plan</label>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
      gap: 4px 14px;
      margin: 8px 0;
    }
    nz-date-picker {
      width: 100%;
    }
  `,
})
export class WeekJobFields {
  readonly job = input.required<JobLine>();
  /** What stands in the field while nobody said a day: the day that its order gives. */
  protected readonly ordered = computed(() => {
    const by = this.job().partsBy;
    return by === null ? 'they are there' : `as ordered: ${formatDate(`${by}T12:00:00`, 'EEE d MMM', 'en-US')}`;
  });
  readonly said = input.required<PlannedJob>();
  /** Where the plan has it; null: nowhere. */
  readonly place = input.required<PlannedJob['fixed']>();
  /** How it stands, in words. */
  readonly stands = input.required<string>();
  readonly may = input(true);
  readonly changed = output<Partial<PlannedJob>>();
  protected readonly steps = computed(() => `${figure(this.job().minutes / 60, 1)} h`);
  protected readonly needs = ['any', 'senior'] as const;
  protected readonly needWords = (n: PlannedJob['needs']): string => (n === 'any' ? 'anybody' : 'a senior');
  protected readonly weights = [1, 3] as const;
  protected readonly weightWords = (w: PlannedJob['weight']): string => (w === 1 ? 'as others' : 'last of all');
  protected readonly iso = isoDay;
}
