import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure, type TripResult } from '@meridex/core';

const [W, LEFT, TOP, LOW] = [380, 38, 8, 132];
const MOST_BARS = 31;

/** Ah a day by source, stacked, with what the loads took as a line; many days are drawn as weeks. */
@Component({
  selector: 'mx-ah-ledger',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = picture();
    <svg viewBox="0 0 380 152" role="img" [attr.aria-label]="p.words">
      @for (b of p.bars; track $index) {
        <rect [attr.class]="b.source" [attr.x]="b.x" [attr.y]="b.y" [attr.width]="b.w" [attr.height]="b.h">
          <title>{{ b.title }}</title>
        </rect>
      }
      @for (l of p.loads; track $index) {
        <line class="load" [attr.x1]="l.x" [attr.x2]="l.x + l.w" [attr.y1]="l.y" [attr.y2]="l.y" />
      }
      <line class="axis" x1="38" x2="380" y1="132" y2="132" />
      <text x="34" y="18" text-anchor="end">{{ p.top }} Ah</text>
      <text x="34" y="134" text-anchor="end">0</text>
      @for (t of p.ticks; track t.x) {
        <text [attr.x]="t.x" y="147" text-anchor="middle">{{ t.name }}</text>
      }
    </svg>
    <p class="key narrow"><span class="sun">■</span> sun <span class="alternator">■</span> vehicle <span class="mains">■</span> {{ plugged() }} <span class="loads">▬</span> drawn</p>
    <details [open]="p.rows.length <= 10">
      <summary class="narrow">as a table</summary>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th>{{ p.unit }}</th>
              <th>drawn</th>
              <th>sun</th>
              <th>vehicle</th>
              <th>{{ plugged() }}</th>
              <th>sun kept out</th>
              <th>ends at</th>
            </tr>
          </thead>
          <tbody>
            @for (r of p.rows; track r.name) {
              <tr>
                <td>{{ r.name }}</td>
                <td>{{ figure(r.load, 1) }}</td>
                <td>{{ figure(r.sun, 1) }}</td>
                <td>{{ figure(r.alternator, 1) }}</td>
                <td>{{ figure(r.mains, 1) }}</td>
                <td>{{ figure(r.clipped, 1) }}</td>
                <td>{{ figure(100 * r.end, 0) }} %</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    </details>
  `,
  styles: `
    svg {
      width: 100%;
      display: block;
    }
    rect.sun {
      fill: var(--sun);
    }
    rect.alternator {
      fill: var(--trigger);
    }
    rect.mains {
      fill: var(--mains);
    }
    .load {
      stroke: var(--ink);
      stroke-width: 2.4;
    }
    .axis {
      stroke: var(--rule-strong);
    }
    text {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
    .key {
      color: var(--muted);
    }
    span.sun {
      color: var(--sun);
    }
    span.alternator {
      color: var(--trigger);
    }
    span.mains {
      color: var(--mains);
    }
    span.loads {
      color: var(--ink);
    }
    summary {
      cursor: pointer;
      color: var(--copper-on-wash);
    }
    .scroll {
      max-height: 190px;
      overflow: auto;
    }
    table {
      width: 100%;
      font: 12px var(--mono);
      text-align: right;
    }
    th {
      font: 400 12px var(--narrow);
      color: var(--muted);
    }
    th,
    td {
      padding: 1px 4px;
    }
    th:first-child,
    td:first-child {
      text-align: left;
    }
  `,
})
export class AhLedger {
  readonly trip = input.required<TripResult>();
  /** What plugs into the rig, in a word. */
  readonly plugged = input('mains');
  protected readonly figure = figure;

  protected readonly picture = computed(() => {
    const t = this.trip();
    const days = t.loadAh.length;
    const size = days > MOST_BARS ? 7 : 1;
    const groups = Array.from({ length: Math.ceil(days / size) }, (_, g) => {
      const sum = (list: readonly number[]): number => list.slice(g * size, (g + 1) * size).reduce((a, b) => a + b, 0);
      const end = t.endOfDaySoc[Math.min(days, (g + 1) * size) - 1]!;
      return { name: String(g + 1), load: sum(t.loadAh), sun: sum(t.sunAh), alternator: sum(t.alternatorAh), mains: sum(t.mainsAh), clipped: sum(t.clippedAh), end };
    });
    const top = Math.max(1, ...groups.map((g) => Math.max(g.load, g.sun + g.alternator + g.mains)));
    const each = (W - LEFT) / groups.length;
    const y = (ah: number): number => LOW - ((LOW - TOP) * ah) / top;
    const wide = Math.min(46, each * 0.7);
    const at = (g: number): number => LEFT + each * g + (each - wide) / 2;
    const bars = groups.flatMap((g, i) => {
      let base = 0;
      return (['sun', 'alternator', 'mains'] as const).flatMap((source) => {
        const from = base;
        base += g[source];
        return g[source] > 0.05 ? [{ source, x: at(i), w: wide, y: y(base), h: y(from) - y(base), title: `${figure(g[source], 1)} Ah` }] : [];
      });
    });
    const skip = Math.ceil(groups.length / 14);
    return {
      bars,
      loads: groups.map((g, i) => ({ x: at(i) - 3, w: wide + 6, y: y(g.load) })),
      ticks: groups.flatMap((g, i) => (i % skip ? [] : [{ x: at(i) + wide / 2, name: g.name }])),
      rows: groups,
      unit: size === 1 ? 'day' : 'week',
      top: figure(top, 0),
      words: `Ah by source and ${size === 1 ? 'day' : 'week'}: ${figure(
        t.sunAh.reduce((a, b) => a + b, 0),
        0,
      )} from the sun, ${figure(
        t.alternatorAh.reduce((a, b) => a + b, 0),
        0,
      )} from the vehicle, ${figure(
        t.mainsAh.reduce((a, b) => a + b, 0),
        0,
      )} from ${this.plugged()}, ${figure(
        t.loadAh.reduce((a, b) => a + b, 0),
        0,
      )} drawn`,
    };
  });
}
