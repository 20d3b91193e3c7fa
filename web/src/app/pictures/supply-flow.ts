import { BreakpointObserver } from '@angular/cdk/layout';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';
import { figure, type Flow, type SupplyFlow } from '@meridex/core';
import { layoutFlow, LEVEL_FROM } from './supply-flow-layout';
import { layoutUpright } from './supply-flow-upright';

/** Below this a picture from left to right is wider than the screen. */
const NARROW = '(max-width: 720px)';
/** Width of a letter of the small words, px. */
const LETTER = 4.9;
/** A line of words, px. */
const WORDS_H = 15;

type Point = readonly [x: number, y: number];

/** What a supply does on its trip: boxes to press, ribbons as wide as the Ah a day that pass, ends that can be hung on another box. */
@Component({
  selector: 'mx-supply-flow',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './supply-flow.html',
  styleUrl: './supply-flow.less',
})
export class SupplyFlowPicture {
  readonly flow = input.required<SupplyFlow>();
  readonly chosen = input<string | null>(null);
  readonly pick = output<string>();
  readonly hang = output<{ readonly thing: string; readonly on: string }>();
  protected readonly figure = figure;
  /** On a phone it stands upright, so that all of it is seen without moving it. */
  protected readonly upright = toSignal(
    inject(BreakpointObserver)
      .observe(NARROW)
      .pipe(map((s) => s.matches)),
    { initialValue: false },
  );
  protected readonly drawing = computed(() => (this.upright() ? layoutUpright : layoutFlow)(this.flow()));
  /** An end that is being carried to another box. */
  protected readonly dragging = signal<{ readonly flow: Flow; readonly from: Point; readonly to: Point } | null>(null);

  /** Words cut to what a box of this width takes. */
  protected short(words: string, boxW: number): string {
    const most = Math.floor((boxW - 14) / LETTER);
    return words.length > most ? `${words.slice(0, most - 1).trimEnd()}…` : words;
  }

  /** Where the lines of the lowest charge and of the reserve stand in a bank’s box, and their words without meeting. */
  protected level(h: number, soc: number, reserve: number): { readonly lowY: number; readonly reserveY: number; readonly lowWordsY: number; readonly reserveWordsY: number } {
    const at = (share: number): number => LEVEL_FROM + (h - LEVEL_FROM) * (1 - Math.min(1, Math.max(0, share)));
    const [lowY, reserveY] = [at(soc), at(reserve)];
    const under = reserveY - lowY >= WORDS_H || lowY > reserveY;
    const lowWordsY = lowY > reserveY ? Math.max(lowY + 12, reserveY + 2 * WORDS_H) : under ? lowY + 12 : lowY - 4;
    return { lowY, reserveY, lowWordsY: Math.min(h - 3, lowWordsY), reserveWordsY: lowY > reserveY ? reserveY - 4 : reserveY + 12 };
  }

  private at(event: PointerEvent): Point {
    const svg = (event.currentTarget as SVGElement).closest('svg')!;
    const m = svg.getScreenCTM()!.inverse();
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(m);
    return [p.x, p.y];
  }

  protected grab(flow: Flow, event: PointerEvent): void {
    if (!flow.hangs) return;
    const at = this.at(event);
    this.dragging.set({ flow, from: at, to: at });
    event.preventDefault();
  }

  protected drag(event: PointerEvent): void {
    const now = this.dragging();
    if (now) this.dragging.set({ ...now, to: this.at(event) });
  }

  protected drop(event: PointerEvent): void {
    const now = this.dragging();
    this.dragging.set(null);
    const [x, y] = this.at(event);
    const on = this.drawing().boxes.find((b) => x >= b.x && x <= b.x + b.w && y >= b.y && y <= b.y + b.h)?.thing.id;
    if (!now || !on || on === now.flow.to || on === now.flow.from) return;
    this.hang.emit({ thing: now.flow.hangs!, on });
  }
}
