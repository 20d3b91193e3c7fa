import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type DayFigures, drivingSpans, figure } from '@meridex/core';

const [W, LEFT, LOW] = [760, 40, 186];

/** 24 hours with the loads stacked as mean watts, sun and driving behind. */
@Component({
  selector: 'mx-day-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = picture();
    <svg [attr.viewBox]="'0 0 760 210'" role="img" [attr.aria-label]="p.words">
      @for (s of p.sun; track $index) {
        <rect class="sun" [attr.x]="s.x" y="10" [attr.width]="s.w" height="176" [attr.opacity]="s.o" />
      }
      @for (s of p.drive; track $index) {
        <rect class="drive" [attr.x]="s.x" y="10" [attr.width]="s.w" height="7" />
        <text [attr.x]="s.x + s.w / 2" y="8" text-anchor="middle">driving</text>
      }
      @for (b of p.bars; track $index) {
        <rect class="bar" [class.chosen]="b.id === chosen()" [attr.x]="b.x" [attr.y]="b.y" [attr.width]="b.w" [attr.height]="b.h" [attr.fill-opacity]="b.tone">
          <title>{{ b.name }}</title>
        </rect>
      }
      <line class="axis" x1="40" x2="760" y1="186" y2="186" />
      @for (t of p.ticks; track t.h) {
        <text [attr.x]="t.x" y="202" text-anchor="middle">{{ t.h }}</text>
      }
      <text x="34" y="20" text-anchor="end">{{ p.top }} W</text>
      <text x="34" y="188" text-anchor="end">0</text>
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
    .sun {
      fill: var(--sun);
    }
    .drive {
      fill: var(--trigger);
      opacity: 0.7;
    }
    .bar {
      fill: var(--feed);
      stroke: var(--panel);
      stroke-width: 0.8;
    }
    .bar.chosen {
      fill: var(--copper);
      fill-opacity: 1;
    }
    .axis {
      stroke: var(--rule-strong);
    }
    text {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
  `,
})
export class DayStrip {
  readonly day = input.required<DayFigures>();
  readonly sunW = input<readonly number[]>([]);
  readonly drivingH = input(0);
  readonly chosen = input<string | null>(null);

  protected readonly picture = computed(() => {
    const day = this.day();
    const sums = Array.from({ length: 24 }, (_, h) => day.hourlyW.reduce((s, row) => s + row[h]!, 0));
    const top = Math.max(10, ...sums);
    const each = (W - LEFT) / 24;
    const x = (h: number): number => LEFT + h * each;
    const base = Array<number>(24).fill(LOW);
    const bars = day.hourlyW.flatMap((row, i) =>
      row.flatMap((w, h) => {
        const height = (w / top) * (LOW - 22);
        if (height < 0.2) return [];
        base[h]! -= height;
        const load = day.loads[i]!;
        return [{ id: load.id, name: `${load.name}: ${figure(w, 0)} W mean`, x: x(h) + 1, y: base[h]!, w: each - 2, h: height, tone: 0.95 - 0.6 * (i / Math.max(1, day.loads.length)) }];
      }),
    );
    const brightest = Math.max(1, ...this.sunW());
    return {
      bars,
      top: figure(top, 0),
      sun: this.sunW().map((w, h) => ({ x: x(h), w: each, o: 0.32 * (w / brightest) })),
      drive: drivingSpans(this.drivingH()).map(([a, b]) => ({ x: x(a), w: (b - a) * each })),
      ticks: [0, 3, 6, 9, 12, 15, 18, 21, 24].map((h) => ({ h, x: Math.min(W - 8, Math.max(LEFT + 4, x(h))) })),
      words: `mean watts through the day, at most ${figure(top, 0)} W; ${figure(day.ahDay, 1)} Ah a day`,
    };
  });
}
