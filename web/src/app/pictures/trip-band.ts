import { ChangeDetectionStrategy, Component, effect, type ElementRef, input, viewChild, DestroyRef, inject } from '@angular/core';
import { Chart, type ChartDataset, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { afterThePage, colour } from './chart';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

/** The middle of many trips with the band that eight of ten keep to. */
export interface Band {
  readonly p10: readonly number[];
  readonly p50: readonly number[];
  readonly p90: readonly number[];
}

type Line = ChartDataset<'line', { x: number; y: number }[]>;
const points = (soc: readonly number[]): { x: number; y: number }[] => soc.map((s, h) => ({ x: h, y: 100 * s }));

/** Charge of the bank through the trip, hour by hour, with the reserve line, and where something goes off. */
@Component({
  selector: 'mx-trip-band',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="box" [style.height.px]="height()"><canvas #canvas role="img" [attr.aria-label]="words()"></canvas></div>`,
  styles: `
    :host {
      display: block;
    }
    .box {
      position: relative;
    }
  `,
})
export class TripBand {
  /** One trip: drawn alone where there is no band, a thin line over one. */
  readonly hourlySoc = input.required<readonly number[]>();
  readonly band = input<Band | null>(null);
  readonly reserve = input.required<number>();
  /** Hours at which something switches off. */
  readonly offAtH = input<readonly number[]>([]);
  readonly words = input.required<string>();
  readonly height = input(170);
  readonly night = input(false);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart | null = null;

  constructor() {
    effect((onCleanup) => {
      this.night();
      const [soc, band, reserve, offAtH] = [this.hourlySoc(), this.band(), this.reserve(), this.offAtH()];
      onCleanup(afterThePage(() => this.draw(soc, band, reserve, offAtH)));
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private lines(soc: readonly number[], band: Band | null): Line[] {
    const plain = { pointRadius: 0, tension: 0 } as const;
    const [holds, ink] = [colour('--holds'), colour('--ink')];
    if (!band) return [{ ...plain, data: points(soc), borderColor: holds, backgroundColor: `${holds}22`, fill: 'origin', borderWidth: 2 }];
    return [
      { ...plain, data: points(band.p90), borderColor: 'transparent', borderWidth: 0, fill: false },
      { ...plain, data: points(band.p10), borderColor: 'transparent', borderWidth: 0, fill: '-1', backgroundColor: `${holds}38` },
      { ...plain, data: points(band.p50), borderColor: holds, borderWidth: 2, fill: false },
      // Over the others, which it follows closely on most trips.
      { ...plain, data: points(soc), borderColor: ink, borderWidth: 1, fill: false, order: -1 },
    ];
  }

  private draw(soc: readonly number[], band: Band | null, reserve: number, offAtH: readonly number[]): void {
    const hours = Math.max(soc.length, band?.p50.length ?? 0) - 1;
    const stop = colour('--stop');
    const line: Line = {
      data: [
        { x: 0, y: 100 * reserve },
        { x: hours, y: 100 * reserve },
      ],
      borderColor: stop,
      borderDash: [5, 4],
      borderWidth: 1.4,
      pointRadius: 0,
    };
    const offs: Line = { data: offAtH.map((h) => ({ x: h, y: 4 })), borderColor: stop, showLine: false, pointStyle: 'crossRot', pointRadius: 6, pointBorderWidth: 2 };
    const datasets = [...this.lines(soc, band), line, offs];
    const each = hours > 24 * 16 ? 24 * Math.ceil(hours / 24 / 12) : 24;
    const font = { family: 'Archivo Narrow', size: 12 };
    this.chart?.destroy();
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'line',
      data: { datasets },
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
            ticks: { stepSize: each, color: colour('--muted'), font, callback: (v) => (Number(v) % 24 === 0 && Number(v) < hours ? `day ${Number(v) / 24 + 1}` : '') },
            grid: { color: colour('--rule') },
          },
          y: { min: 0, max: 100, ticks: { stepSize: 25, color: colour('--muted'), font, callback: (v) => `${v} %` }, grid: { color: colour('--rule') } },
        },
      },
    });
  }
}
