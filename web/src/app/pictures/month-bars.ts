import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const LETTERS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];

/** Twelve shares as bars, the trip's month marked. */
@Component({
  selector: 'mx-month-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 300 54" role="img" [attr.aria-label]="words()">
      @for (b of bars(); track b.month) {
        <rect [class.here]="b.month === here()" [attr.x]="b.x" [attr.y]="40 - b.h" width="17" [attr.height]="b.h + 0.6">
          <title>{{ b.percent }} %</title>
        </rect>
        <text [attr.x]="b.x + 8.5" y="52" text-anchor="middle" [class.strong]="b.month === here()">{{ b.letter }}</text>
        <text class="n" [attr.x]="b.x + 8.5" [attr.y]="37 - b.h" text-anchor="middle">{{ b.percent }}</text>
      }
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      display: block;
    }
    rect {
      fill: var(--sun);
      opacity: 0.55;
    }
    rect.here {
      fill: var(--copper);
      opacity: 1;
    }
    text {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
    .strong {
      fill: var(--ink);
      font-weight: 600;
    }
  `,
})
export class MonthBars {
  /** January to December, 0–1. */
  readonly shares = input.required<readonly number[]>();
  readonly here = input.required<number>();
  readonly words = input.required<string>();
  protected readonly bars = computed(() => {
    const top = Math.max(0.1, ...this.shares());
    return this.shares().map((s, m) => ({ month: m + 1, letter: LETTERS[m]!, x: 4 + m * 25, h: (s / top) * 24, percent: Math.round(100 * s) }));
  });
}
