import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { type BoardCable, type BoardHole, type Exit, type Face, type Gear, mirroredFromFront, onFace, type Vehicle } from '@meridex/core';
import { twin } from './gear/twin';
import { seenAlong } from './gear/drawing';
import { GearDrawing } from './gear/gear-drawing';
import { namesBeside, type Rect } from './gear/names';
import { shortName } from './gear/short-name';
import type { GearMove } from './vehicle-picture';

type Four = readonly [number, number, number, number];

interface Drag {
  readonly gear: Gear;
  readonly u: number;
  readonly v: number;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

/** A wall, floor or board seen straight on, in millimetres: outlines, bend space, air, screws; gear is moved on it. */
@Component({
  selector: 'mx-face-picture',
  imports: [GearDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './face-picture.html',
  styleUrl: './face-picture.less',
  host: { '(document:pointermove)': 'moved($event)', '(document:pointerup)': 'drag.set(null)', '(document:pointercancel)': 'drag.set(null)' },
})
export class FacePicture {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly vehicle = input.required<Vehicle>();
  readonly face = input.required<Face>();
  readonly gear = input.required<readonly Gear[]>();
  readonly bendMm = input<ReadonlyMap<string, number>>(new Map());
  readonly holes = input<readonly BoardHole[]>([]);
  /** Cables as they lie on a board. */
  readonly cables = input<readonly BoardCable[]>([]);
  readonly chosenRun = input<string | null>(null);
  readonly runPicked = output<string>();
  readonly chosenGear = input<string | null>(null);
  readonly troubled = input<ReadonlySet<string>>(new Set());
  readonly gearPicked = output<string>();
  readonly gearMoved = output<GearMove>();
  readonly gearTurned = output<string>();
  protected readonly drag = signal<Drag | null>(null);

  /** Room on the screen that the picture is laid out for, px: lettering keeps its size. */
  readonly room = input({ w: 440, h: 150 });
  protected readonly margin = computed(() => Math.max(26 * this.unit(), 12));
  protected readonly unit = computed(() => Math.max(this.face().w / this.room().w, this.face().h / this.room().h));
  protected readonly mirrored = computed(() => mirroredFromFront(this.face()));
  protected readonly viewBox = computed(() => {
    const [m, f] = [this.margin(), this.face()];
    return `${-m} ${-m * 0.6} ${f.w + 2 * m} ${f.h + 1.7 * m}`;
  });

  /** Drawing coordinates of a rectangle on the face: as one who stands before it sees it. */
  private rect(u: number, v: number, w: number, h: number): Rect {
    const f = this.face();
    return { x: this.mirrored() ? f.w - u - w : u, y: f.h - v - h, w, h };
  }

  protected readonly items = computed(() =>
    this.gear()
      .filter((g) => g.face === this.face().id)
      .map((g) => {
        const { w, h, exit } = g.outline;
        const bend = this.bendMm().get(g.id) ?? 0;
        const reach: Record<Exit, Four> = { down: [g.u, g.v - bend, w, bend], up: [g.u, g.v + h, w, bend], left: [g.u - bend, g.v, bend, h], right: [g.u + w, g.v, bend, h], out: [g.u, g.v, 0, 0] };
        const air = g.heatW > 0 ? g.fixing.airMm : 0;
        const box = this.rect(g.u, g.v, w, h);
        return {
          gear: g,
          turn: this.mirrored() ? g.turn : -g.turn,
          seen: this.face().normal.endsWith('z') ? seenAlong(g, this.face().normal, 'z') : ('front' as const),
          box,
          bend: this.rect(...reach[exit]),
          air: this.rect(g.u - air, g.v - air, w + 2 * air, h + 2 * air),
          wrong: this.troubled().has(g.id),
        };
      }),
  );
  protected readonly names = computed(() =>
    namesBeside(
      this.items().map((i) => ({ id: i.gear.id, text: shortName(i.gear), box: i.box })),
      this.face(),
      this.unit(),
    ),
  );
  protected readonly factory = computed(() =>
    this.face().protrusions.map((p) => ({ name: p.name, named: p.w > p.name.length * 5.4 * this.unit() && p.h > 15 * this.unit(), ...this.rect(p.u, p.v, p.w, p.h) })),
  );
  /** Gear of another rig in the same body. */
  protected readonly beside = computed(() =>
    this.vehicle().keep.flatMap((k) => {
      const on = k.gear ? onFace(this.face(), k.box) : null;
      return on ? [{ id: k.id, name: k.name, fits: on.w > k.name.length * 5.8 * this.unit(), ...this.rect(on.u, on.v, on.w, on.h) }] : [];
    }),
  );
  protected readonly drilled = computed(() => this.holes().map((h) => ({ ...h, ...this.rect(h.u, h.v, 0, 0) })));
  protected readonly laid = computed(() => {
    const drawn = this.cables().map((c) => {
      const points = c.way.map((p) => {
        const { x, y } = this.rect(p.u, p.v, 0, 0);
        return { x, y };
      });
      const width = c.areaMm2 === null ? 2 : 1.5 + Math.sqrt(c.areaMm2) * 0.75;
      const kind = c.run?.spec.group === 'sun' ? 'sun' : 'feed';
      const [left, right] = twin(points, c.poles === 'both' ? width * 0.62 : 0);
      const lines =
        c.poles === 'both'
          ? [
              { d: right, kind: 'back' },
              { d: left, kind },
            ]
          : [{ d: left, kind: c.poles === 'feed' ? kind : 'back' }];
      const id = c.run?.spec.id ?? null;
      return {
        id: c.id,
        run: id,
        number: c.run?.spec.number,
        name: c.name,
        width,
        lines,
        at: points.at(-1)!,
        out: c.ends !== 'gear' && c.poles !== 'return',
        chosen: id !== null && id === this.chosenRun(),
      };
    });
    return [...drawn.filter((d) => !d.chosen), ...drawn.filter((d) => d.chosen)];
  });
  protected readonly ends = computed(() => {
    const words = {
      '+z': ['forward', 'rear'],
      '-z': ['rear', 'forward'],
      '+y': ['rear', 'forward'],
      '-y': ['forward', 'rear'],
      '+x': ['left side', 'right side'],
      '-x': ['right side', 'left side'],
    } as const;
    return words[this.face().normal];
  });

  private at(event: Pick<PointerEvent, 'clientX' | 'clientY'>): { u: number; v: number } {
    const svg = this.host.nativeElement.querySelector('svg')!;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    return { u: this.mirrored() ? this.face().w - p.x : p.x, v: this.face().h - p.y };
  }

  protected lifted(event: PointerEvent, gear: Gear): void {
    this.gearPicked.emit(gear.id);
    if (gear.role === 'starting' || event.button !== 0) return;
    event.preventDefault();
    (event.currentTarget as SVGElement).focus();
    this.drag.set({ gear, ...this.at(event) });
  }

  protected moved(event: PointerEvent): void {
    const d = this.drag();
    if (!d) return;
    const to = this.at(event);
    this.gearMoved.emit({ id: d.gear.id, face: d.gear.face, u: Math.round(d.gear.u + to.u - d.u), v: Math.round(d.gear.v + to.v - d.v) });
  }

  /** Something carried here from outside the picture, with the screen's point it is held over; true where the face takes it. */
  carry(gear: Gear, clientX: number, clientY: number): boolean {
    const [p, f] = [this.at({ clientX, clientY }), this.face()];
    if (p.u < 0 || p.v < 0 || p.u > f.w || p.v > f.h) return false;
    this.gearMoved.emit({ id: gear.id, face: f.id, u: Math.round(p.u - gear.outline.w / 2), v: Math.round(p.v - gear.outline.h / 2) });
    return true;
  }

  /** Arrow keys move by a centimetre, with Shift by a millimetre; R turns. */
  protected key(event: KeyboardEvent, gear: Gear): void {
    if (gear.role === 'starting' || event.ctrlKey || event.metaKey || event.altKey) return;
    const way = ARROWS[event.key];
    if (event.key.toLowerCase() === 'r') this.gearTurned.emit(gear.id);
    else if (way) {
      const step = event.shiftKey ? 1 : 10;
      this.gearPicked.emit(gear.id);
      this.gearMoved.emit({ id: gear.id, face: gear.face, u: gear.u + way[0] * step * (this.mirrored() ? -1 : 1), v: gear.v + way[1] * step });
    } else if (event.key === 'Enter' || event.key === ' ') this.gearPicked.emit(gear.id);
    else return;
    event.preventDefault();
  }
}
