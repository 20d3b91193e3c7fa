import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import { NzInputModule } from 'ng-zorro-antd/input';

/** One of several meanings that a text may have. */
export interface Meaning<T> {
  readonly text: string;
  readonly value: T;
}

/** How a text becomes a value, or what is said when it cannot: with the meanings that it may have, one of them to be pressed. */
export type Reader<T> = (text: string) => { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string; readonly meanings?: readonly Meaning<T>[] };

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
      @for (m of meanings(); track m.text) {
        <button type="button" class="btn meaning" (mousedown)="$event.preventDefault()" (click)="mean(m)">{{ m.text }}</button>
      }
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
    .meaning {
      margin: 4px 6px 0 0;
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
  protected readonly meanings = signal<readonly Meaning<T>[]>([]);
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
    this.meanings.set((!read.ok && read.meanings) || []);
    if (read.ok) this.taken.emit(read.value);
  }

  /** Of two meanings the one that was pressed. */
  protected mean({ text, value }: Meaning<T>): void {
    this.says.set(null);
    this.text.set(text);
    this.taken.emit(value);
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
