import { ChangeDetectionStrategy, Component, effect, type ElementRef, input, viewChild, DestroyRef, inject } from '@angular/core';
import { Chart, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

const colour = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Charge of the bank through the trip, hour by hour, with the reserve line. */
@Component({
  selector: 'mx-trip-band',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="box"><canvas #canvas role="img" [attr.aria-label]="words()"></canvas></div>`,
  styles: `
    :host {
      display: block;
    }
    .box {
      position: relative;
      height: 170px;
    }
  `,
})
export class TripBand {
  readonly hourlySoc = input.required<readonly number[]>();
  readonly reserve = input.required<number>();
  readonly words = input.required<string>();
  readonly night = input(false);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart | null = null;

  constructor() {
    effect(() => this.draw(this.hourlySoc(), this.reserve(), this.night()));
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(soc: readonly number[], reserve: number, _night: boolean): void {
    this.chart?.destroy();
    const line = colour('--holds');
    const hours = soc.length - 1;
    const font = { family: 'Archivo Narrow', size: 12 };
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'line',
      data: {
        datasets: [
          { data: soc.map((s, h) => ({ x: h, y: 100 * s })), borderColor: line, backgroundColor: `${line}22`, fill: 'origin', borderWidth: 2, pointRadius: 0, tension: 0 },
          {
            data: [
              { x: 0, y: 100 * reserve },
              { x: hours, y: 100 * reserve },
            ],
            borderColor: colour('--stop'),
            borderDash: [5, 4],
            borderWidth: 1.4,
            pointRadius: 0,
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: {
            type: 'linear',
            min: 0,
            max: hours,
            ticks: { stepSize: 24, color: colour('--muted'), font, callback: (v) => (Number(v) % 24 === 0 ? `day ${Number(v) / 24 + 1}` : '') },
            grid: { color: colour('--rule') },
          },
          y: { min: 0, max: 100, ticks: { stepSize: 25, color: colour('--muted'), font, callback: (v) => `${v} %` }, grid: { color: colour('--rule') } },
        },
      },
    });
  }
}
