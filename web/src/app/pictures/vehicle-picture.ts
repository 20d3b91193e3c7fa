import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { type Face, figure, type Gear, type SizedRun, tooNearExhaust, type Vehicle } from '@meridex/core';
import { closeUp } from './close-up';
import { seenAlong } from './gear/drawing';
import { GearDrawing } from './gear/gear-drawing';
import { covered, type Flat, flat, flatBox, inDepth, landingFace, lanesOf, moveOnFace, pointOnFace, routePath, type View, zoneAt } from './vehicle-view';

export interface GearMove {
  readonly id: string;
  readonly face: string;
  readonly u: number;
  readonly v: number;
}

interface Line {
  readonly id: string;
  readonly d: string;
  readonly width: number;
  readonly kind: 'feed' | 'sun' | 'mains';
  readonly chosen: boolean;
  readonly name: string;
}

interface Drag {
  readonly gear: Gear;
  readonly view: View;
  readonly from: Flat;
}

const MARGIN = 90;
/** Room between side view and plan, mm. */
const BETWEEN = 260;
/** Room between cables that share a way, mm. */
const LANE_MM = 30;
const ARROWS: Readonly<Record<string, Flat>> = { ArrowLeft: { x: -1, y: 0 }, ArrowRight: { x: 1, y: 0 }, ArrowUp: { x: 0, y: -1 }, ArrowDown: { x: 0, y: 1 } };

let pictures = 0;

/** Six spokes of a rim of 60, with the gaps between them. */
const SPOKES = Array.from({ length: 6 }, (_, i) => {
  const at = (deg: number, r: number): string => `${(r * Math.cos(((i * 60 + deg) * Math.PI) / 180)).toFixed(1)} ${(r * Math.sin(((i * 60 + deg) * Math.PI) / 180)).toFixed(1)}`;
  return `M${at(-19, 24)} L${at(-19, 50)} L${at(19, 50)} L${at(19, 24)} Z`;
}).join(' ');

/** Side view and plan of the vehicle in millimetres, one above the other, with zones, gear to scale and the runs' ways. */
@Component({
  selector: 'mx-vehicle-picture',
  imports: [GearDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vehicle-picture.html',
  styleUrl: './vehicle-picture.less',
  host: { '(document:pointermove)': 'moved($event)', '(document:pointerup)': 'dropped()', '(document:pointercancel)': 'dropped()' },
})
export class VehiclePicture {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly vehicle = input.required<Vehicle>();
  readonly gear = input.required<readonly Gear[]>();
  readonly runs = input.required<readonly SizedRun[]>();
  readonly show = input<View | 'both'>('side');
  readonly chosen = input<string | null>(null);
  readonly chosenGear = input<string | null>(null);
  /** Faces that gear can be dragged on to; empty: nothing moves. */
  readonly faces = input<readonly Face[]>([]);
  /** Gear with something wrong about its place. */
  readonly troubled = input<ReadonlySet<string>>(new Set());
  /** The ways themselves are drawn too. */
  readonly graph = input(false);
  /** Only what is around the chosen piece of gear. */
  readonly close = input(false);
  readonly runPicked = output<string>();
  readonly gearPicked = output<string>();
  readonly gearMoved = output<GearMove>();
  readonly gearTurned = output<string>();

  /** Layers of the drawing under the zones, and those over them. */
  protected readonly panels = ['under', 'body', 'shade', 'inside'] as const;
  protected readonly fittings = ['dark', 'glass', 'lines', 'lamps'] as const;
  protected readonly SPOKES = SPOKES;
  /** Tells its clip paths from those of another picture on the page. */
  protected readonly nth = pictures++;
  private readonly drag = signal<Drag | null>(null);
  /** Zone that would take what is dragged. */
  protected readonly over = signal<string | null>(null);
  protected readonly dragging = computed(() => this.drag() !== null);
  protected readonly views = computed<readonly View[]>(() => (this.show() === 'both' ? ['side', 'plan'] : [this.show() as View]));
  /** Where the close look is; null: the whole vehicle. */
  protected readonly window = computed(() => {
    const g = this.close() ? this.gear().find((o) => o.id === this.chosenGear()) : undefined;
    return g ? closeUp(this.vehicle(), g) : null;
  });
  /** Millimetres of the drawing for each of a usual vehicle's: lettering and lines keep their size on the screen. */
  protected readonly scale = computed(() => (this.window()?.w ?? Math.max(this.vehicle().lengthMm, 3000)) / 5400);
  /** Lettering keeps its size on the screen when two views share the room. */
  protected readonly letter = computed(() => this.scale() * (this.window() ? 2.9 : this.show() === 'both' ? 1.55 : 1));
  private readonly top = computed(() => (this.views()[0] === 'side' ? Math.min(0, ...this.vehicle().zones.map((z) => this.vehicle().heightMm - z.box.z - z.box.h)) - 130 * this.letter() : -100));
  protected readonly offset = computed(() => {
    const close = this.window();
    if (this.show() !== 'both') return 0;
    return close ? close.side.y + close.side.h + BETWEEN * this.scale() - close.plan.y : this.vehicle().heightMm + BETWEEN;
  });
  protected readonly viewBox = computed(() => {
    const v = this.vehicle();
    const close = this.window();
    if (close) {
      const [first, last] = [close[this.views()[0]!], close[this.views().at(-1)!]];
      return `${close.x} ${first.y} ${close.w} ${last.y + last.h + this.offset() - first.y}`;
    }
    const bottom = this.show() === 'side' ? v.heightMm + 110 : this.offset() + v.widthMm + 110;
    return `${-MARGIN} ${this.top()} ${v.lengthMm + 2 * MARGIN} ${bottom - this.top()}`;
  });
  protected readonly zones = computed(() => this.views().map((view) => this.vehicle().zones.map((z) => ({ ...z, ...flatBox(this.vehicle(), view, z.box) }))));
  /** Which way each face looks; one that is not the vehicle's is its board's. */
  private readonly normals = computed(() => new Map([...this.vehicle().faces, ...this.faces()].map((f) => [f.id, f.normal])));
  protected readonly boxes = computed(() =>
    this.views().map((view) =>
      inDepth(this.gear(), view).map((g) => ({
        ...g,
        ...flatBox(this.vehicle(), view, g.box),
        seen: seenAlong(g, this.normals().get(g.face) ?? '+z', view === 'side' ? 'y' : 'z'),
        wrong: this.troubled().has(g.id),
      })),
    ),
  );
  /** Gear of another rig in the same body, at the back. */
  protected readonly beside = computed(() => this.views().map((view) => this.vehicle().keep.flatMap((k) => (k.gear ? [{ id: k.id, name: k.name, ...flatBox(this.vehicle(), view, k.box) }] : []))));
  /** Names of zones in the side view, each at the end of its box where less lies under it. */
  protected readonly names = computed(() => {
    const [v, letter] = [this.vehicle(), this.letter()];
    const lines = this.runs().map((r) => (r.spec.route?.points ?? []).map((p) => flat(v, 'side', p)));
    const boxes = this.gear().map((g) => flatBox(v, 'side', g.box));
    // A box is known by what is in it.
    const boxed = new Set(v.keep.flatMap((k) => k.round ?? []));
    const named = v.zones.filter((z) => !boxed.has(z.id));
    return named.map((z) => {
      const text = this.show() === 'both' ? z.name : `${z.name} ${z.ambientC} °C`;
      const b = flatBox(v, 'side', z.box);
      const [w, h] = [36 * text.length * letter, 76 * letter];
      const y = z.nameInside ? b.y + 84 * letter : b.y - 16 * letter;
      const ends = [b.x + 12 * letter, b.x + b.w - 12 * letter - w].map((x) => ({ x, under: covered({ x, y: y - h, w, h }, boxes, lines) }));
      const [left, right] = ends as [(typeof ends)[0], (typeof ends)[0]];
      return { id: z.id, text, x: z.nameInside && right.under < left.under ? right.x : left.x, y, size: h };
    });
  });
  /** Sweeps of the zone where something is chosen or dragged, from above: from the side they would hide what they pass. */
  protected readonly sweeps = computed(() => {
    const zone = this.over() ?? this.gear().find((g) => g.id === this.chosenGear())?.zone;
    const open = this.faces().length ? this.vehicle().openings.filter((o) => o.zone === zone) : [];
    return this.views().map((view) => (view === 'side' ? [] : open.map((o) => ({ id: o.id, name: o.name, ...flatBox(this.vehicle(), view, o.sweep) }))));
  });
  protected readonly lines = computed<readonly (readonly Line[])[]>(() => {
    const lanes = lanesOf(this.runs());
    const most = Math.max(0, ...lanes.values());
    return this.views().map((view) => {
      const drawn = this.runs().flatMap((r): Line[] => {
        if (!r.spec.route) return [];
        const area = r.ok ? r.figures.areaMm2 : 1;
        const aside = (lanes.get(r.spec.id)! - most / 2) * LANE_MM;
        return [
          {
            id: r.spec.id,
            d: routePath(this.vehicle(), view, r.spec.route, aside),
            width: 12 + 3.4 * Math.sqrt(area),
            kind: r.spec.group === 'sun' ? 'sun' : r.spec.from.gear === 'mains' ? 'mains' : 'feed',
            chosen: r.spec.id === this.chosen(),
            name: r.spec.name,
          },
        ];
      });
      return [...drawn.filter((l) => !l.chosen), ...drawn.filter((l) => l.chosen)];
    });
  });
  /** Where vehicle and trailer part. */
  protected readonly couplings = computed(() => {
    const v = this.vehicle();
    const at = new Map(v.waypoints.map((w) => [w.id, w.at]));
    const middles = v.ways.filter((w) => w.coupling).map((w) => ({ x: (at.get(w.a)!.x + at.get(w.b)!.x) / 2, y: (at.get(w.a)!.y + at.get(w.b)!.y) / 2, z: (at.get(w.a)!.z + at.get(w.b)!.z) / 2 }));
    return this.views().map((view) => middles.map((m) => flat(v, view, m)));
  });
  protected readonly ways = computed(() => {
    const v = this.vehicle();
    const at = new Map(v.waypoints.map((w) => [w.id, w.at]));
    return this.views().map((view) =>
      v.ways.flatMap((w) => {
        const [a, b] = [at.get(w.a), at.get(w.b)];
        if (!a || !b) return [];
        const [p, q] = [flat(v, view, a), flat(v, view, b)];
        return [{ id: w.id, along: w.along, hot: tooNearExhaust(w), coupling: w.coupling, d: `M${p.x} ${p.y}L${q.x} ${q.y}` }];
      }),
    );
  });
  protected readonly points = computed(() =>
    this.views().map((view) => this.vehicle().waypoints.map((w) => ({ id: w.id, name: w.name, inside: w.zone !== null, ...flat(this.vehicle(), view, w.at) }))),
  );
  protected readonly ends = computed(() => {
    const run = this.runs().find((r) => r.spec.id === this.chosen());
    return run ? [run.spec.from.gear, run.spec.to.gear] : [];
  });
  /** The chosen run's figures, on the drawing where there is room. */
  protected readonly label = computed(() => {
    const run = this.runs().find((r) => r.spec.id === this.chosen());
    if (!run?.spec.route) return null;
    const text = run.ok ? `${run.figures.size} · ${figure(run.spec.outM, 1)} m · ${figure(run.figures.dropV, 2)} V` : 'no size fits';
    const v = this.vehicle();
    const points = run.spec.route.points.map((p) => flat(v, this.views()[0]!, p));
    const [w, h] = [67 * text.length * this.scale(), 148 * this.scale()];
    const low = Math.max(...points.map((p) => p.y));
    const middle = (Math.min(...points.map((p) => p.x)) + Math.max(...points.map((p) => p.x))) / 2;
    return { text, x: Math.max(-60, Math.min(v.lengthMm - w + 60, middle - w / 2)), y: Math.min(low + 50 * this.scale(), v.heightMm - h + 90), w, h };
  });

  /** Millimetres of the drawing under a point of the screen. */
  private drawn(clientX: number, clientY: number): Flat {
    return new DOMPoint(clientX, clientY).matrixTransform(this.host.nativeElement.querySelector('svg')!.getScreenCTM()!.inverse());
  }

  /** Millimetres of a view under the pointer. */
  private at(event: PointerEvent, view: View): Flat {
    const p = this.drawn(event.clientX, event.clientY);
    return { x: p.x, y: view === 'plan' ? p.y - this.offset() : p.y };
  }

  protected lifted(event: PointerEvent, gear: Gear, view: View): void {
    this.gearPicked.emit(gear.id);
    if (!this.faces().length || gear.role === 'starting' || event.button !== 0) return;
    event.preventDefault();
    (event.currentTarget as SVGElement).focus();
    this.drag.set({ gear, view, from: this.at(event, view) });
  }

  protected moved(event: PointerEvent): void {
    const d = this.drag();
    if (!d) return;
    const to = this.at(event, d.view);
    const face = this.faces().find((f) => f.id === d.gear.face)!;
    const zone = zoneAt(this.vehicle(), d.view, to);
    this.over.set(zone ?? d.gear.zone);
    const landing = zone && zone !== d.gear.zone ? landingFace(this.faces(), zone, face, d.view) : face;
    if (!landing) return;
    if (landing === face) {
      const { du, dv } = moveOnFace(face, d.view, { x: to.x - d.from.x, y: to.y - d.from.y });
      this.gearMoved.emit({ id: d.gear.id, face: face.id, u: Math.round(d.gear.u + du), v: Math.round(d.gear.v + dv) });
    } else this.land(d.gear, landing, d.view, to);
  }

  /** Sets gear down on a face with its middle under a point. */
  private land(gear: Gear, face: Face, view: View, at: Flat): void {
    const p = pointOnFace(this.vehicle(), face, view, at);
    this.gearMoved.emit({ id: gear.id, face: face.id, u: Math.round(p.u - gear.outline.w / 2), v: Math.round(p.v - gear.outline.h / 2) });
  }

  /** Something carried here from outside the picture, with the screen's point it is held over; true where a zone takes it. */
  carry(gear: Gear, clientX: number, clientY: number): boolean {
    const p = this.drawn(clientX, clientY);
    const view: View = this.views().length === 1 ? this.views()[0]! : p.y > this.offset() - BETWEEN / 2 ? 'plan' : 'side';
    const at = { x: p.x, y: view === 'plan' ? p.y - this.offset() : p.y };
    const zone = zoneAt(this.vehicle(), view, at);
    this.over.set(zone);
    const before = this.faces().find((f) => f.id === gear.face);
    const face = zone === null ? undefined : zone === gear.zone && before ? before : landingFace(this.faces(), zone, before, view);
    if (face) this.land(gear, face, view, at);
    return face !== undefined;
  }

  carriedOff(): void {
    this.over.set(null);
  }

  protected dropped(): void {
    if (!this.drag()) return;
    this.drag.set(null);
    this.over.set(null);
  }

  /** Arrow keys move by a centimetre, with Shift by a millimetre; R turns. */
  protected key(event: KeyboardEvent, gear: Gear, view: View): void {
    if (event.key === 'Enter' || event.key === ' ') {
      this.gearPicked.emit(gear.id);
      event.preventDefault();
      return;
    }
    if (!this.faces().length || gear.role === 'starting' || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key.toLowerCase() === 'r') {
      this.gearTurned.emit(gear.id);
      event.preventDefault();
      return;
    }
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    const face = this.faces().find((f) => f.id === gear.face)!;
    const step = event.shiftKey ? 1 : 10;
    const { du, dv } = moveOnFace(face, view, { x: way.x * step, y: way.y * step });
    this.gearPicked.emit(gear.id);
    this.gearMoved.emit({ id: gear.id, face: face.id, u: gear.u + du, v: gear.v + dv });
  }
}
