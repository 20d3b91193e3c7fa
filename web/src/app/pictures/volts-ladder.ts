import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure, fuseOhm, lugOhm, type SizedRun } from '@meridex/core';

interface Rung {
  readonly name: string;
  readonly dropV: number;
}

const [LEFT, RIGHT, TOP, LOW] = [8, 292, 22, 92];

/** Steps along a run from its start to its end, each with what it loses. */
function rungs(run: Extract<SizedRun, { ok: true }>): Rung[] {
  const { spec, figures: f } = run;
  const lug = f.currentA * lugOhm(f.areaMm2);
  const fuse = f.currentA * fuseOhm(f.fuseType, f.fuseA);
  const plug = f.currentA * spec.plugOhm;
  const ends = spec.ends.map((e) => e.at);
  const contacts = 4 * lug + ends.length * fuse + plug;
  const cable = Math.max(0, f.dropV - contacts);
  const out = (cable * spec.outM) / Math.max(0.001, spec.outM + spec.backM);
  return [
    ...(ends.includes('from') ? [{ name: 'fuse', dropV: fuse }] : []),
    { name: 'lugs', dropV: 2 * lug },
    { name: 'feed', dropV: out },
    ...(plug > 0 ? [{ name: 'plug', dropV: plug }] : []),
    ...(ends.includes('to') ? [{ name: 'fuse', dropV: fuse }] : []),
    { name: 'return', dropV: cable - out + 2 * lug },
  ];
}

/** Volts at each joint along a run, as steps down; the biggest step is named. */
@Component({
  selector: 'mx-volts-ladder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (picture(); as p) {
      <svg viewBox="0 0 300 112" role="img" [attr.aria-label]="p.words">
        <path [attr.d]="p.d" class="line" />
        @for (s of p.steps; track $index) {
          <circle [attr.cx]="s.x" [attr.cy]="s.y" r="3" />
          <text class="name" [attr.x]="s.mid" y="106" text-anchor="middle">{{ s.name }}</text>
        }
        <circle [attr.cx]="p.startX" [attr.cy]="p.startY" r="3" />
        <text class="volts" [attr.x]="p.startX" [attr.y]="p.startY - 7">{{ p.startV }} V</text>
        <text class="volts" x="292" [attr.y]="p.endY" text-anchor="end">{{ p.endV }} V</text>
        <text class="big" x="292" y="14" text-anchor="end">−{{ p.bigV }} V in the {{ p.bigName }}</text>
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      display: block;
    }
    .line {
      fill: none;
      stroke: var(--feed);
      stroke-width: 2.2;
      stroke-linejoin: round;
    }
    circle {
      fill: var(--feed);
    }
    .name {
      font: 11.5px var(--narrow);
      fill: var(--muted);
    }
    .volts {
      font: 12px var(--mono);
      fill: var(--ink);
    }
    .big {
      font: 600 12px var(--narrow);
      fill: var(--copper);
    }
  `,
})
export class VoltsLadder {
  readonly run = input.required<SizedRun>();

  protected readonly picture = computed(() => {
    const run = this.run();
    if (!run.ok) return null;
    const list = rungs(run);
    const total = list.reduce((sum, r) => sum + r.dropV, 0) || 1;
    const startV = run.figures.arrivesV + run.figures.dropV;
    const width = (RIGHT - LEFT - 58) / list.length;
    let [v, d] = [0, `M${LEFT} ${TOP}`];
    const yAt = (drop: number): number => TOP + ((LOW - TOP) * drop) / total;
    const steps = list.map((r, i) => {
      const x = LEFT + width * (i + 0.5);
      const before = yAt(v);
      v += r.dropV;
      d += `L${x.toFixed(1)} ${before.toFixed(1)}L${x.toFixed(1)} ${yAt(v).toFixed(1)}`;
      return { x, y: yAt(v), mid: x, name: r.name };
    });
    d += `L${RIGHT} ${LOW}`;
    const big = list.reduce((most, r) => (r.dropV > most.dropV ? r : most));
    return {
      d,
      steps,
      startX: LEFT,
      startY: TOP,
      endY: LOW - 6,
      startV: figure(startV, 2),
      endV: figure(run.figures.arrivesV, 2),
      bigV: figure(big.dropV, 2),
      bigName: big.name,
      words: `${figure(startV, 2)} V at the start, ${figure(run.figures.arrivesV, 2)} V arrive; most is lost in the ${big.name}`,
    };
  });
}
