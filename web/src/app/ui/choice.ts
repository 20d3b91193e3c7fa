import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from './named-select';

/** One of a few words, or of values with words for them. */
@Component({
  selector: 'mx-choice',
  imports: [FormsModule, NzSelectModule, NamedSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span class="name">{{ name() || label() }}</span>
      <nz-select [attr.aria-label]="label()" [ngModel]="at()" (ngModelChange)="valueChange.emit(of()[$event]!)">
        @for (words of shown(); track $index) {
          <nz-option [nzValue]="$index" [nzLabel]="words" />
        }
      </nz-select>
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    nz-select {
      width: 100%;
    }
  `,
})
export class Choice<T> {
  readonly label = input.required<string>();
  readonly name = input('');
  readonly of = input.required<readonly T[]>();
  /** Words for values that are not words themselves, or want others. */
  readonly words = input<(value: T) => string>((v) => String(v));
  readonly value = input.required<T>();
  readonly valueChange = output<T>();
  /** By their place in the list, since a select takes a value of null for none chosen. */
  protected readonly at = computed(() => this.of().indexOf(this.value()));
  protected readonly shown = computed(() => this.of().map((value) => this.words()(value)));
}
