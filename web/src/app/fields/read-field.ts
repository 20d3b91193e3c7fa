import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import { NzInputModule } from 'ng-zorro-antd/input';

/** How a text becomes a value, or what is said when it cannot. */
export type Reader<T> = (text: string) => { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

let made = 0;

/** A text with a meaning of its own, such as "55 W" or "2 h": read as typed, kept as typed when it cannot be taken. */
@Component({
  selector: 'mx-read',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      nz-input
      autocomplete="off"
      [class.bare]="bare()"
      [class.right]="right()"
      [id]="id"
      [value]="text()"
      [placeholder]="placeholder()"
      [attr.aria-label]="label()"
      [attr.aria-invalid]="says() ? true : null"
      [attr.aria-describedby]="says() ? id + '-says' : null"
      [nzStatus]="says() ? 'error' : ''"
      (input)="typed($event)"
      (focus)="focused = true"
      (blur)="left()"
      (keydown.enter)="left()"
      (keydown.escape)="reset()"
    />
    @if (says(); as message) {
      <span class="says" role="alert" [id]="id + '-says'">{{ message }}</span>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .right {
      text-align: right;
      font-family: var(--mono);
    }
    .bare {
      background: transparent;
      border-color: transparent;
      padding: 2px 6px;
    }
    .bare:hover,
    .bare:focus {
      background: var(--raised);
      border-color: var(--rule-strong);
    }
    .says {
      display: block;
      color: var(--stop);
      font-size: 12px;
      line-height: 16px;
      margin-top: 2px;
    }
  `,
})
export class ReadField<T> {
  readonly label = input.required<string>();
  readonly shown = input.required<string>();
  readonly reader = input.required<Reader<T>>();
  readonly placeholder = input('');
  readonly bare = input(false);
  readonly right = input(false);
  readonly taken = output<T>();

  protected readonly id = `mx-read-${++made}`;
  protected readonly text = signal('');
  protected readonly says = signal<string | null>(null);
  protected focused = false;
  private readonly outside = computed(() => this.shown());

  constructor() {
    effect(() => {
      const shown = this.outside();
      untracked(() => {
        if (!this.focused && !this.says()) this.text.set(shown);
      });
    });
  }

  protected typed(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.text.set(text);
    const read = this.reader()(text);
    this.says.set(read.ok ? null : read.message);
    if (read.ok) this.taken.emit(read.value);
  }

  protected left(): void {
    this.focused = false;
    if (!this.says()) this.text.set(this.shown());
  }

  protected reset(): void {
    this.says.set(null);
    this.text.set(this.shown());
  }
}
