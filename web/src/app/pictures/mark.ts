import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

export type MarkKind = 'holds' | 'look' | 'stop' | 'waits';

const PATH: Readonly<Record<MarkKind, string>> = {
  holds: 'M2.5 8.5 6.2 12.2 13.5 3.8',
  look: 'M8 2.2 14.4 13.4H1.6Z M8 6.4v3.4 M8 11.4v.3',
  stop: 'M3 3 13 13 M13 3 3 13',
  waits: 'M3 8h10',
};
const WORD: Readonly<Record<MarkKind, string>> = { holds: 'holds', look: 'look', stop: 'stop', waits: 'waits' };

/** The sign of a state: a shape and a word beside its colour. */
@Component({
  selector: 'mx-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 16 16" role="img" [attr.aria-label]="word()" [attr.class]="kind()"><path [attr.d]="path()" /></svg>`,
  styles: `
    :host {
      display: inline-block;
      line-height: 0;
      vertical-align: -2px;
    }
    svg {
      width: 14px;
      height: 14px;
      fill: none;
      stroke: currentColor;
      stroke-width: 1.9;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .holds {
      color: var(--holds);
    }
    .look {
      color: var(--look);
    }
    .stop {
      color: var(--stop);
    }
    .waits {
      color: var(--muted);
    }
  `,
})
export class Mark {
  readonly kind = input.required<MarkKind>();
  protected readonly path = computed(() => PATH[this.kind()]);
  protected readonly word = computed(() => WORD[this.kind()]);
}
