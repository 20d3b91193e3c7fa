import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { drivingSpans, figure, mainsSpans, type TripDay } from '@meridex/core';
import { NumberField } from '../ui/number-field';

export type DayChange = { readonly day: number; readonly drivingH?: number; readonly mainsH?: number } | { readonly day: number; readonly reset: true };

const MOST = 42;

/** The days of a trip in a row: hours driven above, hours of mains below; a day can be picked and changed by itself. */
@Component({
  selector: 'mx-trip-days',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row" role="group" aria-label="Days of the trip">
      @for (d of shown(); track d.day) {
        <button
          type="button"
          class="day"
          [class.chosen]="d.day === chosen()"
          [class.edited]="d.edited"
          [attr.aria-pressed]="d.day === chosen()"
          [attr.aria-label]="d.words"
          (click)="chosen.set(d.day === chosen() ? 0 : d.day)"
        >
          <svg viewBox="0 0 24 46" preserveAspectRatio="none" aria-hidden="true">
            <rect class="night" x="0" y="0" width="24" height="46" />
            <rect class="light" x="6" y="0" width="12" height="46" />
            @for (s of d.drive; track $index) {
              <rect class="drive" [attr.x]="s[0]" y="6" [attr.width]="s[1] - s[0]" height="14" />
            }
            @for (s of d.mains; track $index) {
              <rect class="mains" [attr.x]="s[0]" y="26" [attr.width]="s[1] - s[0]" height="14" />
            }
          </svg>
          <span class="n">{{ d.day }}{{ d.edited ? '*' : '' }}</span>
        </button>
      }
      @if (days().length > most) {
        <span class="narrow muted">… {{ days().length }} days</span>
      }
    </div>
    <p class="key narrow muted"><span class="d">■</span> driving <span class="m">■</span> mains · each day from midnight to midnight · pick a day to change it alone</p>
    @if (picked(); as d) {
      <div class="edit">
        <b>Day {{ chosen() }}</b>
        <span class="field"
          ><span class="name">Driven</span
          ><mx-number [label]="'Driven on day ' + chosen()" unit="h" [min]="0" [max]="24" [value]="d.drivingH" (valueChange)="changed.emit({ day: chosen(), drivingH: $event ?? 0 })"
        /></span>
        <span class="field"
          ><span class="name">Mains</span
          ><mx-number [label]="'Mains on day ' + chosen()" unit="h" [min]="0" [max]="24" [value]="d.mainsH" (valueChange)="changed.emit({ day: chosen(), mainsH: $event ?? 0 })"
        /></span>
        @if (d.edited) {
          <button type="button" class="btn plain" (click)="changed.emit({ day: chosen(), reset: true })">as the pattern has it</button>
        }
      </div>
    }
  `,
  styles: `
    .row {
      display: flex;
      gap: 3px;
      align-items: end;
      overflow-x: auto;
    }
    .day {
      flex: 1 1 30px;
      min-width: 20px;
      padding: 0;
      background: none;
      border: 1px solid var(--rule-strong);
      border-radius: 3px;
      cursor: pointer;
      overflow: hidden;
      color: var(--muted);
    }
    .day.chosen {
      border-color: var(--copper);
      box-shadow: 0 0 0 1px var(--copper);
      color: var(--copper-on-wash);
    }
    .day.edited .n {
      font-weight: 700;
      color: var(--ink);
    }
    svg {
      width: 100%;
      height: 46px;
      display: block;
    }
    .night {
      fill: var(--rule);
    }
    .light {
      fill: var(--panel);
    }
    .drive {
      fill: var(--trigger);
    }
    .mains {
      fill: var(--mains);
    }
    .n {
      font: 12px/16px var(--mono);
      display: block;
    }
    .d {
      color: var(--trigger);
    }
    .m {
      color: var(--mains);
    }
    .key {
      margin-top: 3px;
    }
    .edit {
      display: flex;
      gap: 12px;
      align-items: center;
      margin-top: 6px;
    }
    .edit .field {
      margin: 0;
      width: 120px;
    }
  `,
})
export class TripDays {
  readonly days = input.required<readonly TripDay[]>();
  readonly changed = output<DayChange>();
  protected readonly most = MOST;
  protected readonly chosen = signal(0);
  protected readonly picked = computed(() => this.days()[this.chosen() - 1] ?? null);
  protected readonly shown = computed(() =>
    this.days()
      .slice(0, MOST)
      .map((d, i) => ({
        day: i + 1,
        edited: d.edited,
        drive: drivingSpans(d.drivingH),
        mains: mainsSpans(d.mainsH),
        words: `Day ${i + 1}: ${d.drivingH ? `driven ${figure(d.drivingH, 1)} h` : 'parked'}${d.mainsH ? `, mains ${figure(d.mainsH, 1)} h` : ''}${d.edited ? ', changed by hand' : ''}`,
      })),
  );
}
