import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, signal, viewChild } from '@angular/core';
import { type DayFigures, drivingSpans, figure, type HourSpan } from '@meridex/core';
import { handleMoved, joinSpans, moveSpan, snapHour, withoutSpan } from './span-edit';

const [W, LEFT, LOW] = [760, 40, 138];
const EACH = (W - LEFT) / 24;
const x = (h: number): number => LEFT + h * EACH;

/** What the pointer holds: a span being drawn, one moved whole, or one of its ends. */
type Held =
  { readonly how: 'draw'; readonly from: number } | { readonly how: 'move'; readonly index: number; readonly grabbed: number } | { readonly how: 'end'; readonly index: number; readonly end: 0 | 1 };

/**
 * 24 hours with the loads stacked as mean watts, sun and driving behind. Below them the hours of the chosen load, drawn,
 * moved and stretched by dragging; or by arrow keys at their ends, Delete to take them off.
 */
@Component({
  selector: 'mx-day-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = picture();
    <svg #svg viewBox="0 0 760 180" [attr.role]="spans() ? 'group' : 'img'" [attr.aria-label]="p.words" (pointermove)="dragged($event)" (pointerup)="dropped()" (pointercancel)="letGo()">
      @for (s of p.sun; track $index) {
        <rect class="sun" [attr.x]="s.x" y="10" [attr.width]="s.w" height="128" [attr.opacity]="s.o" />
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
      <line class="axis" x1="40" x2="760" y1="138" y2="138" />
      @for (t of p.ticks; track t.h) {
        <text [attr.x]="t.x" y="175" text-anchor="middle">{{ t.h }}</text>
      }
      <text x="34" y="20" text-anchor="end">{{ p.top }} W</text>
      <text x="34" y="140" text-anchor="end">0</text>
      @if (spans()) {
        <rect class="track" x="40" y="143" width="720" height="17" (pointerdown)="grabTrack($event)"><title>drag to draw the hours of this load</title></rect>
        @for (s of shownSpans(); track $index; let i = $index) {
          <rect class="span" [attr.x]="s.x" y="144" [attr.width]="s.w" height="15" (pointerdown)="grabSpan($event, i)" (dblclick)="off(i)" />
          @for (e of ends; track e) {
            <rect
              class="end"
              tabindex="0"
              role="slider"
              [attr.aria-label]="(e ? 'End' : 'Start') + ' of the hours of ' + name()"
              aria-valuemin="0"
              aria-valuemax="24"
              [attr.aria-valuenow]="s.span[e]"
              [attr.aria-valuetext]="clock(s.span[e])"
              [attr.x]="(e ? s.x + s.w : s.x) - 4"
              y="142"
              width="8"
              height="19"
              rx="2"
              (pointerdown)="grabEnd($event, i, e)"
              (keydown)="endKey($event, i, e)"
            />
          }
        }
        <text x="34" y="156" text-anchor="end">hours</text>
      }
    </svg>
    <p class="key narrow muted">bars: watts from the battery, mean of each hour · <span class="light">■</span> sun on the panels · <span class="driven">■</span> driving</p>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      display: block;
      touch-action: pan-y;
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
    .key {
      margin: 0;
    }
    .light {
      color: var(--sun);
    }
    .driven {
      color: var(--trigger);
    }
    .bar.chosen {
      fill: var(--copper);
      fill-opacity: 1;
    }
    .axis {
      stroke: var(--rule-strong);
    }
    .track {
      fill: var(--ground);
      stroke: var(--rule);
      cursor: crosshair;
      touch-action: none;
    }
    .span {
      fill: var(--copper);
      opacity: 0.75;
      cursor: grab;
      touch-action: none;
    }
    .end {
      fill: var(--copper);
      cursor: ew-resize;
      touch-action: none;
    }
    .end:focus-visible {
      outline: 2px solid var(--ink);
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
  /** Hours of the chosen load, to be drawn; null: nothing to draw. */
  readonly spans = input<readonly HourSpan[] | null>(null);
  readonly name = input('');
  readonly spansChange = output<readonly HourSpan[]>();
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private readonly held = signal<Held | null>(null);
  private readonly preview = signal<readonly HourSpan[] | null>(null);
  protected readonly ends = [0, 1] as const;
  protected readonly shownSpans = computed(() => (this.preview() ?? this.spans() ?? []).map((span) => ({ span, x: x(span[0]), w: (span[1] - span[0]) * EACH })));

  protected clock(h: number): string {
    return `${Math.floor(h)}:${h % 1 ? '30' : '00'}`;
  }

  private hourAt(event: PointerEvent): number {
    const box = this.svg().nativeElement.getBoundingClientRect();
    return Math.min(24, Math.max(0, (((event.clientX - box.left) / box.width) * W - LEFT) / EACH));
  }

  private hold(event: PointerEvent, held: Held): void {
    event.preventDefault();
    if (event.isTrusted) this.svg().nativeElement.setPointerCapture(event.pointerId);
    this.held.set(held);
  }

  protected grabTrack(event: PointerEvent): void {
    this.hold(event, { how: 'draw', from: snapHour(this.hourAt(event)) });
  }

  protected grabSpan(event: PointerEvent, index: number): void {
    this.hold(event, { how: 'move', index, grabbed: this.hourAt(event) });
  }

  protected grabEnd(event: PointerEvent, index: number, end: 0 | 1): void {
    event.stopPropagation();
    this.hold(event, { how: 'end', index, end });
  }

  protected dragged(event: PointerEvent): void {
    const held = this.held();
    const spans = this.spans();
    if (!held || !spans) return;
    const at = this.hourAt(event);
    if (held.how === 'draw') {
      const to = snapHour(at);
      this.preview.set(to === held.from ? spans : [...spans, [Math.min(held.from, to), Math.max(held.from, to)]]);
    } else if (held.how === 'move') this.preview.set(moveSpan(spans, held.index, snapHour(at - held.grabbed)));
    else this.preview.set(handleMoved(spans, held.index, held.end, snapHour(at)));
  }

  protected dropped(): void {
    const preview = this.preview();
    if (this.held() && preview) this.spansChange.emit(joinSpans(preview));
    this.letGo();
  }

  protected letGo(): void {
    this.held.set(null);
    this.preview.set(null);
  }

  protected off(index: number): void {
    this.spansChange.emit(withoutSpan(this.spans() ?? [], index));
  }

  protected endKey(event: KeyboardEvent, index: number, end: 0 | 1): void {
    const spans = this.spans() ?? [];
    const step = event.key === 'ArrowLeft' || event.key === 'ArrowDown' ? -0.5 : event.key === 'ArrowRight' || event.key === 'ArrowUp' ? 0.5 : 0;
    if (step) this.spansChange.emit(handleMoved(spans, index, end, spans[index]![end] + step));
    else if (event.key === 'Delete' || event.key === 'Backspace') this.off(index);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  protected readonly picture = computed(() => {
    const day = this.day();
    const sums = Array.from({ length: 24 }, (_, h) => day.hourlyW.reduce((s, row) => s + row[h]!, 0));
    const top = Math.max(10, ...sums);
    const base = Array<number>(24).fill(LOW);
    const bars = day.hourlyW.flatMap((row, i) =>
      row.flatMap((w, h) => {
        const height = (w / top) * (LOW - 22);
        if (height < 0.2) return [];
        base[h]! -= height;
        const load = day.loads[i]!;
        return [{ id: load.id, name: `${load.name}: ${figure(w, 0)} W mean`, x: x(h) + 1, y: base[h]!, w: EACH - 2, h: height, tone: 0.95 - 0.6 * (i / Math.max(1, day.loads.length)) }];
      }),
    );
    const brightest = Math.max(1, ...this.sunW());
    return {
      bars,
      top: figure(top, 0),
      sun: this.sunW().map((w, h) => ({ x: x(h), w: EACH, o: 0.32 * (w / brightest) })),
      drive: drivingSpans(this.drivingH()).map(([a, b]) => ({ x: x(a), w: (b - a) * EACH })),
      ticks: [0, 3, 6, 9, 12, 15, 18, 21, 24].map((h) => ({ h, x: Math.min(W - 8, Math.max(LEFT + 4, x(h))) })),
      words: `mean watts through the day, at most ${figure(top, 0)} W; ${figure(day.ahDay, 1)} Ah a day`,
    };
  });
}
