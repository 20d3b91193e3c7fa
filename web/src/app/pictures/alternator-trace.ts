import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure, type TraceFigures } from '@meridex/core';

const [W, LEFT, TOP, LOW] = [380, 34, 8, 84];

/** The alternator's volts through a half-hour drive, and below it when a sensing isolator would be closed. */
@Component({
  selector: 'mx-alternator-trace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = picture();
    <svg viewBox="0 0 380 124" role="img" [attr.aria-label]="p.words">
      @for (t of p.ticks; track t.v) {
        <line class="grid" x1="34" x2="380" [attr.y1]="t.y" [attr.y2]="t.y" />
        <text x="30" [attr.y]="t.y + 4" text-anchor="end">{{ t.v }}</text>
      }
      <path class="volts" [attr.d]="p.path" />
      <rect class="slot" x="34" y="92" width="346" height="11" />
      @for (c of p.closed; track c.x) {
        <rect class="closed" [attr.x]="c.x" y="92" [attr.width]="c.w" height="11" />
      }
      @if (!p.closed.length) {
        <text class="never" x="207" y="101.5" text-anchor="middle">never closed</text>
      }
      <text x="30" y="101" text-anchor="end">isol.</text>
      <text x="34" y="118">{{ p.says }}</text>
      <text x="380" y="118" text-anchor="end">{{ p.share }}</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      margin: 4px 0 8px;
    }
    svg {
      width: 100%;
      display: block;
    }
    .grid {
      stroke: var(--rule);
    }
    .volts {
      fill: none;
      stroke: var(--feed);
      stroke-width: 1.8;
    }
    .slot {
      fill: none;
      stroke: var(--rule-strong);
    }
    .closed {
      fill: var(--holds);
    }
    text {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
    .never {
      fill: var(--stop);
      font-weight: 600;
    }
  `,
})
export class AlternatorTrace {
  readonly trace = input.required<TraceFigures>();
  readonly isolator = input(false);

  protected readonly picture = computed(() => {
    const { pieces, closed, closedShare, measured } = this.trace();
    const volts = pieces.map((p) => p.volts);
    const [low, high] = [Math.floor(Math.min(...volts)) - 0.5, Math.ceil(Math.max(...volts))];
    const end = pieces.at(-1)?.toS ?? 1;
    const x = (s: number): number => LEFT + ((W - LEFT) * s) / end;
    const y = (v: number): number => LOW - ((LOW - TOP) * (v - low)) / (high - low);
    const words = closed.length ? `a sensing isolator is closed for ${figure(100 * closedShare, 0)} % of the drive` : 'a sensing isolator is never closed on this drive';
    return {
      path: pieces.map((p, i) => `${i ? 'L' : 'M'}${x(p.fromS).toFixed(1)} ${y(p.volts).toFixed(1)}H${x(p.toS).toFixed(1)}`).join(''),
      ticks: Array.from({ length: high - Math.ceil(low) + 1 }, (_, i) => Math.ceil(low) + i)
        .filter((v, _i, all) => all.length < 6 || v % 2 === 0)
        .map((v) => ({ v: `${v} V`, y: y(v) })),
      closed: closed.map(([a, b]) => ({ x: x(a), w: x(b) - x(a) })),
      words: `Alternator volts from ${figure(Math.min(...volts), 1)} to ${figure(Math.max(...volts), 1)} V; ${words}`,
      says: `${Math.round(end / 60)} min drive, ${measured ? 'as measured' : 'default for its kind'}`,
      share: `isolator closed ${figure(100 * closedShare, 0)} % of it`,
    };
  });
}
