import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { Choice } from '../ui/choice';
import { NumberField } from '../ui/number-field';
import { figureOf } from './plate-words';

/** What of a data sheet is several figures together: a second input, a charger, a switch on a board. */
export interface Group {
  readonly key: string;
  /** It has it; a board always has its shunt. */
  readonly has: boolean;
  readonly always: boolean;
  readonly value: Readonly<Record<string, unknown>>;
}

/** How the sun stands beside another input. */
const WAYS: Readonly<Record<string, string>> = { 'sun first': 'sun first, topped up', 'vehicle first': 'one at a time, the vehicle first', 'sun alone': 'one at a time, the sun first' };

/** A tick that it has it, and its figures. */
@Component({
  selector: 'mx-plate-group',
  imports: [FormsModule, NzCheckboxModule, Choice, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let g = group();
    @if (g.always) {
      <b class="narrow">{{ words() }}</b>
    } @else {
      <label nz-checkbox [ngModel]="g.has" (ngModelChange)="had.emit($event)">{{ words() }}</label>
    }
    @if (g.has) {
      <div class="figures">
        @for (f of figures(); track f.key) {
          @if (f.way) {
            <mx-choice class="wide" [label]="words() + ' beside the vehicle'" name="Beside the vehicle" [of]="ways" [words]="wayWords" [value]="f.way" (valueChange)="say(f.key, $event)" />
          } @else {
            <div class="field">
              <span class="name">{{ f.of[0] }}</span>
              <mx-number [label]="words() + ': ' + f.of[0]" [unit]="f.of[1]" [min]="0" [max]="f.of[2]" [value]="f.amount" (valueChange)="say(f.key, $event)" />
            </div>
          }
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-top: 8px;
    }
    .figures {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 8px 10px;
      margin: 4px 0 0 24px;
    }
    .wide {
      grid-column: span 2;
    }
  `,
})
export class PlateGroup {
  readonly group = input.required<Group>();
  readonly had = output<boolean>();
  readonly changed = output<Readonly<Record<string, unknown>>>();
  protected readonly ways = Object.keys(WAYS);
  protected readonly wayWords = (w: string): string => WAYS[w] ?? w;
  protected readonly words = (): string => figureOf(this.group().key)[0];
  protected readonly figures = () =>
    Object.entries(this.group().value).map(([key, v]) => ({ key, of: figureOf(key), way: typeof v === 'string' ? v : null, amount: typeof v === 'number' ? v : null }));

  protected say(key: string, value: unknown): void {
    if (value !== null) this.changed.emit({ ...this.group().value, [key]: value });
  }
}
