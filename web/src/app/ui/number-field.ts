import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import { readTypedNumber } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';

let made = 0;

/**
 * A number with its unit. Takes "3,5 m" as it is typed and says each valid value at once; what cannot be taken stays in
 * the field with a message that says what is accepted.
 */
@Component({
  selector: 'mx-number',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="wrap" [class.bare]="bare()" [class.free]="!unit()">
      <input
        nz-input
        inputmode="decimal"
        autocomplete="off"
        [id]="id"
        [value]="text()"
        [attr.aria-label]="label()"
        [attr.aria-invalid]="says() ? true : null"
        [attr.aria-describedby]="says() ? id + '-says' : null"
        [placeholder]="placeholder()"
        [nzStatus]="says() ? 'error' : ''"
        (input)="typed($event)"
        (focus)="focused = true"
        (blur)="left()"
        (keydown.enter)="left()"
        (keydown.escape)="reset()"
      />
      @if (unit() && !bare()) {
        <span class="unit" aria-hidden="true">{{ unit() }}</span>
      }
    </span>
    @if (says(); as message) {
      <span class="says" role="alert" [id]="id + '-says'">{{ message }}</span>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .wrap {
      position: relative;
      display: block;
    }
    input {
      font-family: var(--mono);
      text-align: right;
      padding-right: calc(12px + var(--unit-room, 22px));
    }
    .unit {
      position: absolute;
      right: 8px;
      top: 0;
      bottom: 0;
      display: flex;
      align-items: center;
      color: var(--muted);
      font-family: var(--narrow);
      font-size: 12px;
      pointer-events: none;
    }
    .free input {
      padding-right: 11px;
    }
    .bare input {
      padding: 1px 6px;
      background: transparent;
      border-color: transparent;
    }
    .bare input:hover,
    .bare input:focus {
      background: var(--raised);
      border-color: var(--rule-strong);
    }
    .says {
      display: block;
      color: var(--stop);
      font-size: 12px;
      line-height: 16px;
      margin-top: 2px;
      white-space: normal;
      min-width: 120px;
    }
  `,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly value = input.required<number | null>();
  readonly unit = input('');
  readonly min = input<number | undefined>(undefined);
  readonly max = input<number | undefined>(undefined);
  readonly integer = input(false);
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly decimals = input(2);
  readonly bare = input(false);
  readonly valueChange = output<number | null>();

  protected readonly id = `mx-number-${++made}`;
  protected readonly text = signal('');
  protected readonly says = signal<string | null>(null);
  protected focused = false;
  private readonly shown = computed(() => {
    const v = this.value();
    return v === null ? '' : String(Math.round(v * 10 ** this.decimals()) / 10 ** this.decimals());
  });

  constructor() {
    // A value from elsewhere (undo, another field) shows at once, but never under someone's typing.
    effect(() => {
      const shown = this.shown();
      untracked(() => {
        if (!this.focused && !this.says()) this.text.set(shown);
      });
    });
  }

  protected typed(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.text.set(text);
    this.read(text);
  }

  protected left(): void {
    this.focused = false;
    if (!this.says()) this.text.set(this.shown());
  }

  protected reset(): void {
    this.says.set(null);
    this.text.set(this.shown());
  }

  private read(text: string): void {
    if (this.optional() && text.trim() === '') {
      this.says.set(null);
      this.valueChange.emit(null);
      return;
    }
    const read = readTypedNumber(text, { name: this.label(), unit: this.unit(), ...this.bounds() });
    this.says.set(read.ok ? null : read.message);
    if (read.ok && read.value !== this.value()) this.valueChange.emit(read.value);
  }

  private bounds(): { min?: number; max?: number; integer?: boolean } {
    const [min, max] = [this.min(), this.max()];
    return { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }), ...(this.integer() ? { integer: true } : {}) };
  }
}
