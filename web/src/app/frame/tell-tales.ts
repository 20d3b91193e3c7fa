import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { amps, figure, rating, type Stage, type TellTales as Figures } from '@meridex/core';
import { AssessmentService } from '../data/assessment.service';
import { SelectionService } from '../data/selection.service';

interface Tale {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly note: string;
  readonly was: string | null;
  readonly state: 'holds' | 'look' | 'stop' | 'plain';
  /** Filled part of the bar, 0–1; a window is drawn where `from` is above 0. */
  readonly from: number;
  readonly to: number;
  readonly stage: Stage;
  readonly run: string | null;
}

const clip = (v: number): number => Math.max(0, Math.min(1, v));
const moved = (now: string, was: string | undefined): string | null => (was !== undefined && was !== now ? was : null);

function tales(t: Figures, b: Figures | undefined): Tale[] {
  const days = (x: Figures): string => (Number.isFinite(x.daysAlone) ? figure(x.daysAlone, 1) : '–');
  const drop = (x: Figures): string => figure(x.worstDrop?.percent, 1);
  const dropShare = t.worstDrop ? t.worstDrop.percent / t.worstDrop.limit : 0;
  const fuse = (x: Figures): string => (x.tightestFuse ? rating(x.tightestFuse.fuseA) : '–');
  const tight = t.tightestFuse;
  const span = tight ? Math.max(tight.toA, tight.fuseA) * 1.15 : 1;
  const payload = t.payloadLeftKg;
  const open = t.stops + t.looks;
  const kg = (x: Figures): string => figure(x.payloadLeftKg ?? x.addedKg, 0);
  return [
    {
      name: 'Draws',
      value: figure(t.ahDay, 1),
      unit: 'Ah a day',
      note: `peak ${amps(t.peakA)} A`,
      was: moved(figure(t.ahDay, 1), b && figure(b.ahDay, 1)),
      state: 'plain',
      from: 0,
      to: clip(t.ahDay / 250),
      stage: 'loads',
      run: null,
    },
    {
      name: 'Lasts without sun or driving',
      value: days(t),
      unit: 'days',
      note: Number.isFinite(t.daysAlone) ? 'from full to the reserve' : 'no loads yet',
      was: moved(days(t), b && days(b)),
      state: t.daysAlone < 1 ? 'look' : 'holds',
      from: 0,
      to: clip(t.daysAlone / 5),
      stage: 'supply',
      run: null,
    },
    {
      name: 'Worst drop',
      value: drop(t),
      unit: t.worstDrop ? `% · run ${t.worstDrop.number}` : '%',
      note: t.worstDrop ? `limit ${figure(t.worstDrop.limit, 1)}` : 'no runs yet',
      was: moved(drop(t), b && drop(b)),
      state: dropShare > 1 + 1e-9 ? 'look' : 'holds',
      from: 0,
      to: clip(dropShare),
      stage: 'runs',
      run: t.worstDrop?.run ?? null,
    },
    {
      name: 'Tightest fuse',
      value: fuse(t),
      unit: tight ? `A · run ${tight.number}` : 'A',
      note: tight ? `window ${amps(tight.fromA)} – ${amps(tight.toA)}, ${tight.what}` : 'no runs yet',
      was: moved(fuse(t), b && fuse(b)),
      state: tight && tight.toA < tight.fuseA ? 'stop' : 'holds',
      from: tight ? clip(tight.fromA / span) : 0,
      to: tight ? clip(tight.toA / span) : 0,
      stage: 'protection',
      run: tight?.run ?? null,
    },
    payload === null
      ? {
          name: 'Added weight',
          value: kg(t),
          unit: 'kg',
          note: 'type the payload under Brief',
          was: moved(kg(t), b && kg(b)),
          state: 'plain',
          from: 0,
          to: clip(t.addedKg / 300),
          stage: 'brief',
          run: null,
        }
      : {
          name: 'Payload left',
          value: kg(t),
          unit: 'kg',
          note: `${figure(t.addedKg, 0)} kg added`,
          was: moved(kg(t), b && kg(b)),
          state: payload < 0 ? 'stop' : 'holds',
          from: 0,
          to: clip(payload / (payload + t.addedKg || 1)),
          stage: 'brief',
          run: null,
        },
    {
      name: 'Findings open',
      value: String(open),
      unit: '',
      note: open ? `${t.stops} to stop, ${t.looks} to look at` : 'nothing open',
      was: moved(String(open), b && String(b.stops + b.looks)),
      state: t.stops ? 'stop' : open ? 'look' : 'holds',
      from: 0,
      to: clip(open / 8),
      stage: 'checks',
      run: null,
    },
  ];
}

/** The six figures of the design that are always in sight, each a way to its cause. */
@Component({
  selector: 'mx-tell-tales',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'complementary', 'aria-label': 'Figures of the whole job' },
  template: `
    @for (t of list(); track t.name) {
      <a [routerLink]="['/jobs', jobId(), t.stage]" (click)="choose(t.run)">
        <span class="name">{{ t.name }}</span>
        <span class="value"
          ><b class="figure">{{ t.value }}</b> {{ t.unit }}</span
        >
        <span class="note" [class]="'note ' + t.state"
          >{{ t.note }}
          @if (t.was; as was) {
            <span class="was"> · was {{ was }}</span>
          }
        </span>
        <span class="bar" aria-hidden="true"><i [class]="t.state" [style.left.%]="t.from * 100" [style.width.%]="(t.to - t.from) * 100"></i></span>
      </a>
    }
  `,
  styleUrl: './tell-tales.less',
})
export class TellTales {
  readonly jobId = input.required<string>();
  private readonly assessments = inject(AssessmentService);
  private readonly selection = inject(SelectionService);
  protected readonly list = computed(() => {
    const now = this.assessments.assessment();
    return now ? tales(now.tellTales, this.assessments.before()?.tellTales) : [];
  });

  protected choose(run: string | null): void {
    if (run) this.selection.run.set(run);
  }
}
