import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { Design } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NumberField } from '../ui/number-field';

type Terms = Design['settings']['quote'];

/** What a quote asks beside the parts, for how long it stands, and what it says is not in it. */
@Component({
  selector: 'mx-quote-terms',
  imports: [FormsModule, NzInputModule, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let t = terms();
    <div class="three">
      <div class="field">
        <span class="name">An hour of work</span
        ><mx-number label="Money for an hour of work" [unit]="sign()" [min]="0" [max]="10000" [value]="t.hourRate" (valueChange)="$event !== null && set('money for an hour', { hourRate: $event })" />
      </div>
      <div class="field">
        <span class="name">On top of the parts</span
        ><mx-number
          label="On top of the parts’ prices"
          unit="%"
          [min]="0"
          [max]="200"
          [decimals]="1"
          [value]="t.marginPercent"
          (valueChange)="$event !== null && set('what comes on top of the parts', { marginPercent: $event })"
        />
      </div>
      <div class="field">
        <span class="name">It stands for</span
        ><mx-number
          label="Days that a quote stands"
          unit="days"
          [min]="1"
          [max]="365"
          [integer]="true"
          [value]="t.validDays"
          (valueChange)="$event !== null && set('days that a quote stands', { validDays: $event })"
        />
      </div>
    </div>
    <label class="field"
      ><span class="name">What it says is not in it, beside what follows from the job</span
      ><textarea
        nz-input
        rows="2"
        maxlength="1000"
        aria-label="What a quote says is not in it"
        [ngModel]="t.notIncluded"
        (ngModelChange)="set('what is not in a quote', { notIncluded: $event })"
      ></textarea>
    </label>
  `,
  styles: `
    .three {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 10px;
    }
  `,
})
export class QuoteTermsFields {
  readonly terms = input.required<Terms>();
  /** Sign of the money. */
  readonly sign = input.required<string>();
  /** What changed, in words and in data. */
  readonly changed = output<{ readonly words: string; readonly change: Partial<Terms> }>();

  protected set(words: string, change: Partial<Terms>): void {
    this.changed.emit({ words, change });
  }
}
