import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type CircuitState, type Drawing, type DrawnLine, type DrawnText, FRAME_NAME_PX, LABEL, armIn, strokesAt } from '@meridex/core';

/** What a line shows in a state: its words instead of size and length, and how thick it is by its amps. */
export interface LineState {
  readonly words: readonly string[];
  readonly amp: number;
}

/** Widest line of a state view, px, and the amps at which a line is twice its plain width. */
const WIDE = { most: 7, at: 40 } as const;

/** A laid-out line diagram: lines by what they carry, symbols, labels; lit where something is selected. */
@Component({
  selector: 'mx-line-diagram',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './line-diagram.html',
  styleUrl: './line-diagram.less',
})
export class LineDiagram {
  readonly drawing = input.required<Drawing>();
  readonly name = input.required<string>();
  /** Scale against the drawing's own pixels. */
  readonly scale = input(1);
  readonly run = input<string | null>(null);
  readonly gear = input<string | null>(null);
  /** By run; null: sizes and lengths are shown. */
  readonly states = input<ReadonlyMap<string, LineState> | null>(null);
  /** How switches and selectors stand; null: as drawn on paper. */
  readonly state = input<CircuitState | null>(null);
  /** Words beside a symbol in a state, such as its volts. */
  readonly beside = input<ReadonlyMap<string, string>>(new Map());
  readonly runPicked = output<string>();
  readonly gearPicked = output<string>();
  protected readonly lineHeight = LABEL.height;
  protected readonly nameFoot = FRAME_NAME_PX;

  protected readonly texts = computed(() => this.drawing().texts.map((t) => ({ ...t, lines: this.wordsOf(t) })));
  protected readonly nodes = computed(() => {
    const state = this.state();
    return this.drawing().nodes.map((n) => {
      const arm = state && armIn(n.node, state);
      return arm === null ? n : { ...n, strokes: strokesAt(n, arm) };
    });
  });
  /** Runs by the pieces that they are drawn with, so that a touch anywhere on one finds it. */
  protected readonly runs = computed(() => {
    const by = new Map<string, { id: string; d: string }>();
    for (const l of this.drawing().lines) if (l.run) by.set(l.run, { id: l.run, d: (by.get(l.run)?.d ?? '') + l.d });
    return [...by.values()];
  });

  private wordsOf(t: DrawnText): readonly string[] {
    if (t.what === 'title') {
      const more = this.beside().get(t.of);
      return more ? [...t.lines, ...more.split(' · ')] : t.lines;
    }
    const state = t.run === null ? undefined : this.states()?.get(t.run);
    return state?.words ?? t.lines;
  }

  private ampOf(l: DrawnLine): number | undefined {
    return this.states()?.get(l.run ?? l.id)?.amp;
  }

  protected width(l: DrawnLine): number {
    const plain = l.kind === 'feed' ? 1.7 : l.kind === 'return' ? 1.3 : 1.2;
    const amp = this.ampOf(l);
    return amp === undefined ? plain : Math.min(WIDE.most, 0.8 + (plain * Math.abs(amp)) / WIDE.at + (Math.abs(amp) > 0.05 ? 0.5 : 0));
  }

  /** Dark lines of a state are dashed: colour and weight are never alone. */
  protected dark(l: DrawnLine): boolean {
    const amp = this.ampOf(l);
    return amp !== undefined && Math.abs(amp) < 0.005;
  }
}
