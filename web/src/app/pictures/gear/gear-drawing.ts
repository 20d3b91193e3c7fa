import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Gear } from '@meridex/core';
import { gearStrokes, type Seen } from './drawing';

/** A part drawn to scale within another picture's svg, its corner at 0: `<svg:g mxGear …>`. */
@Component({
  selector: '[mxGear]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg:g [attr.transform]="turned()">
    @for (s of strokes(); track $index) {
      <svg:path [attr.d]="s.d" [attr.class]="s.look" />
    }
  </svg:g>`,
  styleUrl: './gear-drawing.less',
})
export class GearDrawing {
  readonly mxGear = input.required<Pick<Gear, 'role' | 'purpose' | 'sort'>>();
  readonly w = input.required<number>();
  readonly h = input.required<number>();
  readonly seen = input<Seen>('front');
  /** Degrees clockwise that the part is turned by on its face. */
  readonly turn = input(0);

  private readonly aside = computed(() => this.turn() % 180 !== 0);
  protected readonly strokes = computed(() => gearStrokes(this.mxGear(), this.seen(), this.aside() ? this.h() : this.w(), this.aside() ? this.w() : this.h()));
  protected readonly turned = computed(() => {
    const [w, h] = [this.w(), this.h()];
    if (this.turn() % 360 === 0) return null;
    return `translate(${w / 2} ${h / 2}) rotate(${this.turn()}) translate(${this.aside() ? `${-h / 2} ${-w / 2}` : `${-w / 2} ${-h / 2}`})`;
  });
}
