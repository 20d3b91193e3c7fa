import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { mainsSketch, type MainsSide } from '@meridex/core';

/** Room round the drawing for its lines, mm of the picture. */
const EDGE = 2;

/** The 230 V side on one line; what is not answered yet stands dashed. */
@Component({
  selector: 'mx-mains-sketch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let s = sketch();
    <svg [attr.viewBox]="view()" [style.max-width.px]="s.w + 4" role="img" [attr.aria-label]="said()">
      @for (w of s.wires; track $index) {
        <polyline [attr.points]="points(w)" />
      }
      @for (b of s.boxes; track b.id) {
        <rect [attr.x]="b.x" [attr.y]="b.y" [attr.width]="b.w" [attr.height]="b.h" [class.open]="b.open" rx="3" />
        @for (line of b.lines; track $index) {
          <text [attr.x]="b.x + b.w / 2" [attr.y]="b.y + b.h / 2 + ($index - (b.lines.length - 1) / 2) * 16 + 4">{{ line }}</text>
        }
      }
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      display: block;
    }
    rect {
      fill: var(--raised);
      stroke: var(--ink);
      stroke-width: 1.3;
    }
    rect.open {
      stroke: var(--look);
      stroke-dasharray: 5 4;
    }
    polyline {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.6;
    }
    text {
      font: 12.5px var(--text);
      fill: var(--ink);
      text-anchor: middle;
    }
  `,
})
export class MainsSketchPicture {
  readonly side = input.required<MainsSide>();
  protected readonly sketch = computed(() => mainsSketch(this.side()));
  protected readonly view = computed(() => `${-EDGE} ${-EDGE} ${this.sketch().w + 2 * EDGE} ${this.sketch().h + 2 * EDGE}`);
  protected readonly said = computed(
    () =>
      `230 V on one line: ${this.sketch()
        .boxes.map((b) => b.lines.join(' '))
        .join('; ')}`,
  );
  protected readonly points = (wire: readonly (readonly [number, number])[]): string => wire.map(([x, y]) => `${x},${y}`).join(' ');
}
