import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Core } from '@meridex/core';

interface Drawn {
  readonly core: number;
  readonly kind: 'feed' | 'return' | 'spare';
  readonly x: number;
  readonly y: number;
}

/** Radius of a core as it is drawn, and of the ring around so many. */
const CORE = 11;
const ROUND = { gap: 1.5, sheath: 4 } as const;

/** Cores by ring from the middle out: up to six in one, then round one or three in the middle, then ring round ring. */
function ringsOf(count: number): readonly number[] {
  if (count <= 5) return [count];
  if (count <= 9) return [1, count - 1];
  if (count <= 14) return [3, count - 3];
  const rings = [1];
  for (let left = count - 1, most = 6; left > 0; left -= most, most += 6) rings.push(Math.min(left, most));
  return rings;
}

/** The least radius at which so many cores stand side by side, outside of the ring within; null: there is none within. */
const ringRadius = (count: number, within: number | null): number => Math.max(count > 1 ? (CORE + ROUND.gap) / Math.sin(Math.PI / count) : 0, within === null ? 0 : within + 2 * CORE + ROUND.gap);

/** A cable of several cores, cut across: each by its number, what is fed full, what goes back ringed, what is spare empty. */
@Component({
  selector: 'mx-core-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="box()" role="img" [attr.aria-label]="words()">
      <circle class="sheath" [attr.r]="outer()" />
      @for (c of drawn(); track c.core) {
        <g [class]="c.kind" [attr.transform]="'translate(' + c.x + ' ' + c.y + ')'">
          <circle [attr.r]="c.kind === 'return' ? radius - 2 : radius" />
          <text text-anchor="middle" dominant-baseline="central">{{ c.core }}</text>
        </g>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
    }
    svg {
      width: 100%;
      max-height: 190px;
    }
    text {
      font: 500 11px var(--narrow);
    }
    .sheath {
      fill: var(--panel);
      stroke: var(--muted);
      stroke-width: 3;
    }
    .feed circle {
      fill: var(--feed);
    }
    .feed text {
      fill: var(--panel);
    }
    .return circle {
      fill: var(--panel);
      stroke: var(--return);
      stroke-width: 4;
    }
    .return text {
      fill: var(--ink);
    }
    .spare circle {
      fill: none;
      stroke: var(--muted);
      stroke-dasharray: 3 3;
    }
    .spare text {
      fill: var(--muted);
    }
  `,
})
export class CoreSection {
  readonly plan = input.required<readonly Core[]>();
  protected readonly radius = CORE;
  protected readonly drawn = computed(() => {
    const out: Drawn[] = [];
    let within: number | null = null;
    let next = 0;
    for (const count of ringsOf(this.plan().length)) {
      const r: number = ringRadius(count, within);
      for (let i = 0; i < count; i++) {
        const { core, lead } = this.plan()[next++]!;
        const turn = (2 * Math.PI * i) / count - Math.PI / 2;
        out.push({ core, kind: lead === 'common return' ? 'return' : lead, x: r * Math.cos(turn), y: r * Math.sin(turn) });
      }
      within = r;
    }
    return out;
  });
  protected readonly outer = computed(() => Math.max(...this.drawn().map((c) => Math.hypot(c.x, c.y))) + CORE + ROUND.sheath);
  protected readonly box = computed(() => {
    const r = this.outer() + 3;
    return `${-r} ${-r} ${2 * r} ${2 * r}`;
  });
  protected readonly words = computed(() => {
    const count = (kind: Drawn['kind']): number => this.drawn().filter((c) => c.kind === kind).length;
    return `${this.plan().length} cores: ${count('feed')} feeds, ${count('return')} returns, ${count('spare')} spare`;
  });
}
