import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { arrangeBoard, type Board, BOARD_FACE, boardable, boardCables, boardFace, boardHoles, cablesToUndo, type Face, figure, type Gear, glandSaws, inWords, vehicleOf } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { FacePicture } from '../../pictures/face-picture';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { SelectionService } from '../../data/selection.service';
import { PlacingService } from './placing.service';

/** The mounting board at scale: what rides on it, its checks, and the template to drill it by. */
@Component({
  selector: 'mx-board',
  imports: [FormsModule, NzSelectModule, NamedSelect, NumberField, FacePicture, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './board.html',
  styleUrl: './board.less',
})
export class BoardSheet {
  private readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly placing = inject(PlacingService);
  protected readonly figure = figure;
  protected readonly room = { w: 560, h: 400 };
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly a = computed(() => this.assessments.openAssessment());
  protected readonly board = computed(() => this.designs.openDesign().board);
  protected readonly jobId = computed(() => this.designs.jobId());
  protected readonly ofVehicle = computed(() => this.designs.ofVehicle());
  protected readonly face = computed(() => this.a().layout.faces.find((f) => f.id === BOARD_FACE) ?? null);
  /** A board takes many sheets of A4; a copy shop prints it on one or two. */
  protected readonly largerPapers = ['A3', 'A2', 'A1'] as const;
  protected readonly aboard = computed(() => this.a().gear.filter((g) => g.face === BOARD_FACE));
  protected readonly could = computed(() => this.a().gear.filter((g) => g.face !== BOARD_FACE && boardable(g)));
  protected readonly kg = computed(() => this.aboard().reduce((s, g) => s + g.kg, 0));
  protected readonly heatW = computed(() => this.aboard().reduce((s, g) => s + g.heatW, 0));
  protected readonly troubled = computed(() => new Set(this.a().layout.troubles.map((t) => t.gear)));
  protected readonly holes = computed(() => {
    const board = this.board();
    return board ? boardHoles(board, this.a().gear, glandSaws(board, this.a().gear, this.a().runs)) : [];
  });
  protected readonly cables = computed(() => {
    const board = this.board();
    return board ? boardCables(board, this.a()) : [];
  });
  /** Numbers of the runs with an end on the board that find no lane between its things. */
  protected readonly unlaid = computed(() => {
    const [on, laid] = [new Set(this.aboard().map((g) => g.id)), new Set(this.cables().map((c) => c.run))];
    const missing = this.a().runs.filter((r) => on.has(r.spec.from.gear) !== on.has(r.spec.to.gear) && !laid.has(r));
    return missing.map((r) => r.spec.number).join(', ');
  });
  /** Holes of one kind and size together. */
  protected readonly drills = computed(() => {
    const words = { screw: 'screws', board: 'board fixings', gland: 'glands' } as const;
    const by = new Map<string, { what: string; mm: number; count: number }>();
    for (const h of this.holes()) {
      const key = `${h.kind} ${h.diameterMm}`;
      by.set(key, { what: words[h.kind], mm: h.diameterMm, count: (by.get(key)?.count ?? 0) + 1 });
    }
    return [...by.values()];
  });
  protected readonly undo = computed(() =>
    cablesToUndo(
      this.a().gear,
      this.a().runs.map((r) => ({ from: r.spec.from.gear, to: r.spec.to.gear, back: r.spec.back })),
    ),
  );
  protected readonly says = computed(() => {
    const on = new Set(this.aboard().map((g) => g.id));
    return this.a()
      .open.filter((f) => f.at.stage === 'places' && (on.has(f.at.about ?? '') || f.at.about === this.board()?.face))
      .map((f) => ({ key: f.key, severity: f.severity, ...inWords(f) }));
  });
  /** Walls that a board can go on. */
  protected readonly walls = computed(() => this.vehicle().faces.filter((f) => f.w >= 250 && f.h >= 200 && f.normal[1] !== 'z'));

  /** A board of a usual size on the wall where most of the gear is already, with everything arranged on it. */
  protected begin(): void {
    const counts = new Map<string, number>();
    for (const g of this.could()) counts.set(g.face, (counts.get(g.face) ?? 0) + 1);
    const wall = [...this.walls()].sort((x, y) => (counts.get(y.id) ?? 0) - (counts.get(x.id) ?? 0))[0];
    if (!wall) return;
    const [w, h] = [Math.min(900, wall.w), Math.min(560, wall.h)];
    const board: Board = { face: wall.id, u: Math.round((wall.w - w) / 2), v: 0, w, h, thickMm: 12, entry: 'bottom' };
    this.designs.edit('a mounting board', (d) => {
      d.board = board;
      this.arranged(board, wall, this.could()).forEach(([id, p]) => (d.places[id] = p));
    });
  }

  private arranged(board: Board, wall: Face, gear: readonly Gear[]): (readonly [string, { zone: string; on: { face: string; u: number; v: number; turn: 0 | 90 | 180 | 270 }; when: Gear['when'] }])[] {
    const done = arrangeBoard(boardFace(this.vehicle(), board)!, board.entry, gear, this.a().layout.bendMm);
    return Object.entries(done.placements).map(([id, on]) => [id, { zone: wall.zone, on: { ...on }, when: gear.find((g) => g.id === id)!.when }] as const);
  }

  protected arrange(): void {
    const [board, wall] = [this.board()!, this.vehicle().faces.find((f) => f.id === this.board()!.face)!];
    this.designs.edit('board arranged', (d) => this.arranged(board, wall, [...this.aboard(), ...this.could()]).forEach(([id, p]) => (d.places[id] = p)));
  }

  protected change(change: Partial<Board>, label: string): void {
    this.designs.edit(label, (d) => {
      if (d.board) Object.assign(d.board, change);
    });
  }

  protected put(g: Gear): void {
    const wall = this.vehicle().faces.find((f) => f.id === this.board()!.face)!;
    this.placing.put(g, wall.zone, { face: BOARD_FACE, u: 25, v: 110, turn: 0 });
    this.selection.gear.set(g.id);
  }

  protected takeOff(): void {
    this.designs.edit('no mounting board', (d) => {
      for (const g of this.aboard()) delete d.places[g.id];
      d.board = null;
    });
  }
}
