import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { amps, figure, rating, type RunFigures } from '@meridex/core';

const WIDTH = 300;
const EDGE = 14;

/** One scale: load now, load over 0.8, the window, the weakest part; the fuse is a pin in it. */
@Component({
  selector: 'mx-fuse-window',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let g = geometry();
    <svg viewBox="0 0 300 78" role="img" [attr.aria-label]="words()">
      <line class="base" x1="6" x2="294" y1="40" y2="40" />
      @if (g.open) {
        <rect class="window" [attr.x]="g.from" y="31" [attr.width]="g.to - g.from" height="18" />
      } @else {
        <rect class="shut" [attr.x]="g.to" y="31" [attr.width]="g.from - g.to" height="18" />
      }
      <line class="load" [attr.x1]="g.load" [attr.x2]="g.load" y1="33" y2="47" />
      <line class="edge" [attr.x1]="g.from" [attr.x2]="g.from" y1="29" y2="51" />
      <line class="edge" [attr.x1]="g.to" [attr.x2]="g.to" y1="29" y2="51" />
      <g [class.bad]="!g.holds" class="pin">
        <line [attr.x1]="g.fuse" [attr.x2]="g.fuse" y1="22" y2="40" />
        <circle [attr.cx]="g.fuse" cy="12" r="11" />
        <text [attr.x]="g.fuse" y="16">{{ g.fuseText }}</text>
      </g>
      @for (l of g.labels; track l.text) {
        <text class="label" [attr.x]="l.x" [attr.y]="l.y" [attr.text-anchor]="l.anchor">{{ l.text }}</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      display: block;
    }
    .base {
      stroke: var(--rule-strong);
      stroke-width: 1.5;
    }
    .window {
      fill: var(--holds);
      fill-opacity: 0.2;
    }
    .shut {
      fill: var(--stop);
      fill-opacity: 0.25;
    }
    .edge {
      stroke: var(--holds);
      stroke-width: 1.8;
    }
    .load {
      stroke: var(--feed);
      stroke-width: 3.5;
    }
    .pin line {
      stroke: var(--copper);
      stroke-width: 1.6;
    }
    .pin circle {
      fill: var(--copper);
    }
    .pin text {
      fill: var(--on-copper);
      font: 500 12px var(--mono);
      text-anchor: middle;
    }
    .pin.bad circle {
      fill: var(--stop);
    }
    .pin.bad line {
      stroke: var(--stop);
    }
    .label {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
  `,
})
export class FuseWindow {
  readonly figures = input.required<RunFigures>();

  protected readonly geometry = computed(() => {
    const { window: w, fuseA } = this.figures();
    const most = Math.max(w.to.ratingA, w.fromA, fuseA);
    const least = Math.max(0.01, Math.min(w.loadA, w.to.ratingA) * 0.8);
    // Logarithmic: a window from 4 to 30 A stays as readable as one from 60 to 120 A.
    const x = (a: number): number => EDGE + ((WIDTH - 2 * EDGE - 14) * Math.log(Math.max(a, least) / least)) / Math.log((most * 1.12) / least);
    const [load, from, to, fuse] = [x(w.loadA), x(w.fromA), x(w.to.ratingA), x(fuseA)];
    const labels = [
      { text: `load ${amps(w.loadA)} A`, x: Math.max(0, Math.min(load, 200)), y: 62, anchor: load < 60 ? 'start' : 'middle' },
      { text: `${w.airC > 25 ? `÷ 0.8, in ${figure(w.airC, 0)} °C` : '÷ 0.8'} = ${amps(w.fromA)} A`, x: from, y: 75, anchor: from < 70 ? 'start' : from > 230 ? 'end' : 'middle' },
      { text: `${w.to.what} ${amps(w.to.ratingA)} A`, x: Math.min(to + 8, WIDTH), y: 62, anchor: 'end' },
    ];
    return { load, from, to, fuse, labels, fuseText: rating(fuseA), open: w.to.ratingA >= w.fromA, holds: fuseA >= w.fromA - 1e-9 && fuseA <= w.to.ratingA + 1e-9 };
  });

  protected readonly words = computed(() => {
    const { window: w, fuseA } = this.figures();
    return `fuse ${rating(fuseA)} A; load ${amps(w.loadA)} A; window from ${amps(w.fromA)} to ${amps(w.to.ratingA)} A, set by the ${w.to.what}`;
  });
}
