import { ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, viewChild } from '@angular/core';
import { outlastsS, PLOT_S, timeCurrentBand, type RunFuse } from '@meridex/core';
import { Chart, type ChartDataset, Filler, LineController, LineElement, LogarithmicScale, PointElement } from 'chart.js';
import { afterThePage, colour } from './chart';

Chart.register(LineController, LineElement, PointElement, LogarithmicScale, Filler);

type Point = { x: number; y: number };
type Line = ChartDataset<'line', Point[]>;

/** Room for the longest time in words, px. */
const LABELS_PX = 48;
const plain = { pointRadius: 0, tension: 0 } as const;

/** When a fuse opens: its band over the current, what its cable outlasts, the short at both ends, and the fuse before it. */
@Component({
  selector: 'mx-fuse-plot',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="box"><canvas #canvas role="img" [attr.aria-label]="words()"></canvas></div>`,
  styles: `
    :host {
      display: block;
    }
    .box {
      position: relative;
      height: 230px;
    }
  `,
})
export class FusePlot {
  readonly fuse = input.required<RunFuse>();
  /** The fuse nearer to the battery, which should wait; null: none. */
  readonly near = input<{ readonly type: RunFuse['type']; readonly ratingA: number } | null>(null);
  readonly words = input.required<string>();
  readonly night = input(false);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart | null = null;

  constructor() {
    effect((onCleanup) => {
      this.night();
      const [fuse, near] = [this.fuse(), this.near()];
      onCleanup(afterThePage(() => this.draw(fuse, near)));
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private band(type: RunFuse['type'], ratingA: number, toA: number, tone: string, dash: number[]): Line[] {
    const points = timeCurrentBand(type, ratingA, toA);
    const edge = (of: 'fastS' | 'slowS'): Point[] => points.map((p) => ({ x: p.amp, y: p[of] ?? PLOT_S.to }));
    const common = { ...plain, borderColor: tone, borderWidth: 1.3, borderDash: dash };
    return [
      { ...common, data: edge('slowS'), fill: false },
      { ...common, data: edge('fastS'), fill: '-1', backgroundColor: `${tone}2e` },
    ];
  }

  private draw(fuse: RunFuse, near: { readonly type: RunFuse['type']; readonly ratingA: number } | null): void {
    const most = Math.max(fuse.maxA, fuse.ratingA * 12) * 1.3;
    const upright = (amp: number): Line => ({
      ...plain,
      data: [
        { x: amp, y: PLOT_S.from },
        { x: amp, y: PLOT_S.to },
      ],
      borderColor: colour('--stop'),
      borderWidth: 1.2,
      borderDash: [3, 3],
      fill: false,
    });
    const withstand = fuse.fault?.withstandA2s;
    const lines: Line[] = [
      ...this.band(fuse.type, fuse.ratingA, most, colour('--copper'), []),
      ...(near ? this.band(near.type, near.ratingA, most, colour('--muted'), [4, 3]) : []),
      ...(withstand ? [{ ...plain, data: [fuse.ratingA, most].map((x) => ({ x, y: outlastsS(withstand, x) })), borderColor: colour('--holds'), borderWidth: 2, fill: false } satisfies Line] : []),
      ...[fuse.minA, fuse.maxA].filter((a) => a > 0).map(upright),
    ];
    this.chart?.destroy();
    // Only what is labelled has a line of its own: a decade's every tenth would be a net.
    const rule = colour('--rule');
    const grid = { color: (c: { tick?: { label?: string | string[] } }): string => (c.tick?.label ? rule : 'transparent'), drawTicks: false };
    const ticks = { color: colour('--muted'), font: { family: 'Archivo Narrow', size: 11 }, maxTicksLimit: 40, autoSkip: false, maxRotation: 0 };
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'line',
      data: { datasets: lines },
      options: {
        animation: false,
        layout: { padding: { right: 18, top: 8 } },
        responsive: true,
        maintainAspectRatio: false,
        plugins: { legend: { display: false }, tooltip: { enabled: false } },
        scales: {
          x: {
            type: 'logarithmic',
            min: fuse.ratingA * 0.9,
            max: most,
            grid,
            ticks: { ...ticks, callback: (v) => amps(Number(v)) },
            title: { display: true, text: 'current', color: colour('--muted') },
          },
          y: { type: 'logarithmic', min: PLOT_S.from, max: PLOT_S.to, grid, afterFit: (scale) => (scale.width = LABELS_PX), ticks: { ...ticks, callback: (v) => times(Number(v)) } },
        },
      },
    });
  }
}

/** Decades and their thirds only: more would crowd. */
function amps(v: number): string {
  const lead = v / 10 ** Math.floor(Math.log10(v) + 1e-9);
  if (![1, 3].some((m) => Math.abs(lead - m) < 1e-6)) return '';
  return v >= 1000 ? `${v / 1000} kA` : `${v} A`;
}

function times(v: number): string {
  if (Math.abs(Math.log10(v) - Math.round(Math.log10(v))) > 1e-6) return '';
  if (v < 0.9) return `${Math.round(v * 1000)} ms`;
  return v < 100 ? `${v} s` : v < 10000 ? `${Math.round(v / 60)} min` : `${Math.round(v / 3600)} h`;
}
