import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Sheet } from '@meridex/core';

/** One side of a box as it is cut: its size, and every hole with its diameter. */
@Component({
  selector: 'mx-sheet-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let s = sheet();
    <figure [style.width.px]="wide()">
      <svg [attr.viewBox]="'-4 -4 ' + (s.wMm + 8) + ' ' + (s.hMm + 8)" [style.width.px]="s.wMm * scale()" role="img" [attr.aria-label]="said()">
        <rect x="0" y="0" [attr.width]="s.wMm" [attr.height]="s.hMm" />
        @for (h of s.holes; track $index) {
          <circle [attr.cx]="h.x" [attr.cy]="s.hMm - h.y" [attr.r]="h.diameterMm / 2" [class.vent]="h.kind === 'vent'">
            <title>{{ h.name }}, {{ h.diameterMm }} mm, {{ h.x }} across and {{ h.y }} up</title>
          </circle>
        }
      </svg>
      <figcaption class="narrow">
        {{ s.name }}<br /><b class="figure">{{ s.wMm }} × {{ s.hMm }}</b>
      </figcaption>
    </figure>
  `,
  styles: `
    figure {
      margin: 0;
    }
    svg {
      display: block;
      max-width: 100%;
      height: auto;
    }
    rect {
      fill: var(--raised);
      stroke: var(--ink);
      stroke-width: 2;
    }
    circle {
      fill: none;
      stroke: var(--copper);
      stroke-width: 2;
    }
    circle.vent {
      stroke: var(--holds);
    }
    figcaption {
      margin-top: 4px;
    }
  `,
})
export class SheetPicture {
  readonly sheet = input.required<Sheet>();
  /** Pixels of the picture to a millimetre. */
  readonly scale = input.required<number>();
  /** As wide as its picture, and no less than its words want. */
  protected readonly wide = computed(() => Math.max(96, this.sheet().wMm * this.scale()));
  protected readonly said = computed(() => {
    const { name, wMm, hMm, holes } = this.sheet();
    const of = (kind: string): number => holes.filter((h) => h.kind === kind).length;
    return `${name}, ${wMm} by ${hMm} mm: ${of('gland')} glands, ${of('vent')} vents, ${of('screw')} screws`;
  });
}
