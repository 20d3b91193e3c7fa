import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { figure, type SupplyDraft } from '@meridex/core';
import { MoneyPipe } from '../../fields/money.pipe';
import { Mark } from '../../pictures/mark';

const NAME = { lean: 'Lean', sound: 'Sound', roomy: 'Roomy' } as const;

/** One drafted supply: what it stands, what it costs, and what gives out first. */
@Component({
  selector: 'mx-draft-card',
  imports: [Mark, MoneyPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let d = draft();
    <h2>
      {{ name() }}
      @if (chosen()) {
        <span class="holds now"><mx-mark kind="holds" /> chosen</span>
      }
    </h2>
    <p class="big">
      <b class="figure">{{ figure(d.daysAlone, 1) }}</b> days alone
    </p>
    <dl class="facts">
      <dt>parts</dt>
      <dd class="figure" [class.look]="d.overBudget">{{ d.price | money }}{{ d.overBudget ? ' △ over' : '' }}</dd>
      <dt>weight</dt>
      <dd class="figure" [class.look]="d.overWeight">{{ figure(d.kg, 0) }} kg{{ d.overWeight ? ' △ over' : '' }}</dd>
      <dt>lowest, mean weather</dt>
      <dd class="figure">{{ figure(100 * d.lowMean, 0) }} %</dd>
      <dt>lowest, every day dull</dt>
      <dd class="figure">{{ figure(100 * d.lowDull, 0) }} %</dd>
    </dl>
    <p class="test" [class]="d.stands ? 'holds' : 'look'"><mx-mark [kind]="d.stands ? 'holds' : 'look'" /> {{ d.stands ? 'Stands' : 'Does not quite stand' }} {{ d.says }}.</p>
    <h3>Gives out first</h3>
    <p>
      {{ d.givesOut[0]?.what }}, <b class="figure">{{ figure(100 * (d.givesOut[0]?.used ?? 0), 0) }} %</b> used
    </p>
    <h3>Parts</h3>
    <ul>
      @for (p of d.parts; track p) {
        <li>{{ p }}</li>
      }
    </ul>
    <h3>Why so</h3>
    <ul class="muted">
      @for (w of d.why; track w) {
        <li>{{ w }}</li>
      }
    </ul>
    <button type="button" class="btn" [class.main]="d.tier === 'sound' && !chosen()" (click)="take.emit()">Take the {{ d.tier }} draft</button>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
    }
    .now {
      font-size: 13px;
      font-weight: 400;
    }
    .big {
      font-size: 15px;
      margin: 0 0 4px;
    }
    .big b {
      font-size: 22px;
    }
    .test {
      margin: 8px 0 4px;
      font-size: 13px;
      line-height: 18px;
    }
    h3 {
      margin-top: 8px;
    }
    ul {
      margin: 0;
      padding-left: 16px;
      font-size: 13px;
      line-height: 18px;
    }
    .btn {
      margin-top: auto;
      justify-content: center;
    }
    ul:last-of-type {
      margin-bottom: 12px;
    }
  `,
})
export class DraftCard {
  readonly draft = input.required<SupplyDraft>();
  readonly chosen = input(false);
  readonly take = output();
  protected readonly figure = figure;
  protected readonly name = computed(() => NAME[this.draft().tier]);
}
