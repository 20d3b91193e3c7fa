import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { figure, type Gear, layOut, runPath, type SizedRun, type VehicleKind, VEHICLE_TEMPLATES } from '@meridex/core';
import { gearMark } from './gear-marks';

interface Line {
  readonly id: string;
  readonly d: string;
  readonly width: number;
  readonly kind: 'feed' | 'sun' | 'mains';
  readonly chosen: boolean;
  readonly name: string;
}

const MARGIN = 90;
/** Room between cables that share a way along the chassis, mm. */
const LANE_MM = 34;

/** Side view of the vehicle in millimetres, with its zones, gear to scale and the runs between. */
@Component({
  selector: 'mx-vehicle-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle-picture.html',
  styleUrl: './vehicle-picture.less',
})
export class VehiclePicture {
  readonly kind = input.required<VehicleKind>();
  readonly gear = input.required<readonly Gear[]>();
  readonly runs = input.required<readonly SizedRun[]>();
  readonly chosen = input<string | null>(null);
  readonly chosenGear = input<string | null>(null);
  readonly runPicked = output<string>();
  readonly gearPicked = output<string>();

  protected readonly template = computed(() => VEHICLE_TEMPLATES[this.kind()]);
  protected readonly viewBox = computed(() => {
    const t = this.template();
    const top = Math.min(...t.zones.map((z) => z.y)) - 130;
    return `${-MARGIN} ${top} ${t.w + 2 * MARGIN} ${t.h + 110 - top}`;
  });
  protected readonly boxes = computed(() => {
    const laid = new Map(layOut(this.template(), this.gear()).map((b) => [b.id, b]));
    return this.gear().map((g) => ({ ...g, ...laid.get(g.id)!, name: g.name, mark: gearMark(g.role, g.name), short: g.name.replace(/ \d.*$/, '') }));
  });
  protected readonly lines = computed<readonly Line[]>(() => {
    const at = new Map(this.boxes().map((b) => [b.id, b]));
    let lane = 0;
    const drawn = this.runs().flatMap((r): Line[] => {
      const [from, to] = [at.get(r.spec.from.gear), at.get(r.spec.to.gear)];
      if (!from || !to) return [];
      const path = runPath(this.template(), from, to, from.zone === to.zone ? 0 : LANE_MM * lane++);
      const area = r.ok ? r.figures.areaMm2 : 1;
      return [
        {
          id: r.spec.id,
          d: path.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(0)} ${p.y.toFixed(0)}`).join(' '),
          width: 14 + 4.2 * Math.sqrt(area),
          kind: r.spec.group === 'sun' ? 'sun' : r.spec.from.gear === 'mains' ? 'mains' : 'feed',
          chosen: r.spec.id === this.chosen(),
          name: r.spec.name,
        },
      ];
    });
    return [...drawn.filter((l) => !l.chosen), ...drawn.filter((l) => l.chosen)];
  });
  protected readonly ends = computed(() => {
    const run = this.runs().find((r) => r.spec.id === this.chosen());
    return run ? [run.spec.from.gear, run.spec.to.gear] : [];
  });
  /** The chosen run's figures, on the drawing where there is room. */
  protected readonly label = computed(() => {
    const run = this.runs().find((r) => r.spec.id === this.chosen());
    if (!run) return null;
    const at = new Map(this.boxes().map((b) => [b.id, b]));
    const [from, to] = [at.get(run.spec.from.gear), at.get(run.spec.to.gear)];
    if (!from || !to) return null;
    const text = run.ok ? `${run.figures.size} · ${figure(run.spec.outM, 1)} m · ${figure(run.figures.dropV, 2)} V` : 'no size fits';
    const t = this.template();
    const w = 62 * text.length * (t.w / 5400) * 0.86;
    const h = 118 * (t.w / 5400);
    const middle = (from.x + from.w / 2 + to.x + to.w / 2) / 2;
    const sameZone = from.zone === to.zone;
    const x = Math.max(-60, Math.min(t.w - w + 60, middle - w / 2));
    const below = Math.max(t.chassisY, ...[from, to].filter((b) => b.y + b.h > t.chassisY - 60).map((b) => b.y + b.h));
    const y = sameZone ? Math.min(from.y, to.y) - h - 30 : below + 40;
    return { text, x, y, w, h };
  });
  protected readonly scale = computed(() => this.template().w / 5400);
}
