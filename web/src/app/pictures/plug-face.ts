import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PlugKind } from '@meridex/core';

/** Housing colours as they are drawn; all take the dark and the light mark. */
const PAINT: Readonly<Record<string, string>> = { grey: '#8d9294', red: '#b8403a', black: '#3a3f42', blue: '#3f6d9c', yellow: '#d2a52a', green: '#4d8a55', orange: '#c9702f' };

/** The mating face of a plug, its poles marked as one who looks at it sees them. */
@Component({
  selector: 'mx-plug-face',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 150 90" role="img" [attr.aria-label]="words()">
      @if (kind() === 'trailer socket') {
        <rect x="14" y="20" width="122" height="50" rx="6" class="shell" />
        @for (p of pins; track $index) {
          <rect [attr.x]="p.x" [attr.y]="p.y" [attr.width]="p.w" height="14" rx="1.5" class="pin" [class.live]="$index === 1" />
        }
        <text x="75" y="86" class="small">12 pins, the fridge’s is 2</text>
      } @else {
        <path class="house" [style.fill]="paint()" d="M14 14 h122 v20 l-7 6 v10 l7 6 v20 h-122 v-20 l7 -6 v-10 l-7 -6 z" />
        <rect x="28" y="24" width="42" height="42" rx="4" class="pole" />
        <rect x="80" y="24" width="42" height="42" rx="4" class="pole" />
        <text x="49" y="54">{{ swapped() ? '−' : '+' }}</text>
        <text x="101" y="54">{{ swapped() ? '+' : '−' }}</text>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 160px;
    }
    .shell {
      fill: var(--metal);
      stroke: var(--ink);
      stroke-width: 2;
    }
    .pin {
      fill: var(--panel);
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .pin.live {
      fill: var(--feed);
    }
    .house {
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linejoin: round;
    }
    .pole {
      fill: var(--panel);
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    text {
      font-family: var(--mono);
      font-size: 30px;
      font-weight: 600;
      text-anchor: middle;
      fill: var(--ink);
    }
    .small {
      font-size: 12px;
      font-weight: 400;
    }
  `,
})
export class PlugFace {
  readonly kind = input.required<PlugKind>();
  readonly colour = input.required<string>();
  readonly swapped = input(false);
  protected readonly paint = computed(() => PAINT[this.colour()] ?? PAINT['grey']!);
  /** Flat contacts: seven narrow ones above, five wide ones below. */
  protected readonly pins: readonly { readonly x: number; readonly y: number; readonly w: number }[] = [
    ...Array.from({ length: 7 }, (_, i) => ({ x: 21 + 16 * i, y: 26, w: 9 })),
    ...Array.from({ length: 5 }, (_, i) => ({ x: 21 + 23 * i, y: 49, w: 16 })),
  ];
  protected readonly words = computed(() =>
    this.kind() === 'trailer socket'
      ? 'trailer socket, the fridge’s pin marked'
      : `${this.colour()} plug ${this.kind()}, mating face: ${this.swapped() ? 'minus left, plus right: swapped' : 'plus left, minus right'}`,
  );
}
