import { BreakpointObserver } from '@angular/cdk/layout';
import { CdkDrag, type CdkDragMove, CdkDragPreview, CdkDropList } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, viewChild } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { BOARD_FACE, comesOff, figure, type Finding, type Gear, inWords, type PlaceOffer, SCORE_WORDS, unboxGear, vehicleOf } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { map } from 'rxjs';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { FacePicture } from '../../pictures/face-picture';
import { Mark } from '../../pictures/mark';
import { VehiclePicture } from '../../pictures/vehicle-picture';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';
import { SelectionService } from '../../data/selection.service';
import { BoxForm } from './box-form';
import { PlacingService } from './placing.service';
import { ThereBefore } from './there-before';

/** The vehicle from the side and from above with its gear, the face that the chosen thing is on, and what is wrong there. */
@Component({
  selector: 'mx-where',
  imports: [CdkDrag, CdkDragPreview, CdkDropList, FormsModule, NzSelectModule, NamedSelect, BoxForm, NumberField, FacePicture, Mark, ThereBefore, VehiclePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './where.html',
  styleUrl: './where.less',
})
export class WhereSheet {
  private readonly designs = inject(DesignService);
  private readonly analysis = inject(AnalysisService);
  private readonly picture = viewChild.required(VehiclePicture);
  private readonly facePicture = viewChild(FacePicture);
  protected readonly placing = inject(PlacingService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly scoreWords = SCORE_WORDS;
  protected readonly offers = signal<readonly PlaceOffer[] | null>(null);
  protected readonly seeking = signal(false);
  protected readonly marking = signal(false);
  protected readonly boxing = signal(false);
  private readonly phone = toSignal(
    inject(BreakpointObserver)
      .observe('(max-width: 600px)')
      .pipe(map((s) => s.matches)),
    { initialValue: false },
  );
  /** What a person asked for; null: on a phone the place that matters, at the desk the whole vehicle. */
  protected readonly asked = signal<boolean | null>(null);
  protected readonly close = computed(() => this.asked() ?? this.phone());
  /** The box that the chosen thing stands in. */
  protected readonly box = computed(() => this.a().layout.boxes.find((b) => b.id === this.chosen()?.zone) ?? null);
  protected readonly canBox = computed(() => !['starting', 'there', 'panel'].includes(this.chosen()?.role ?? 'starting') && this.chosen()?.face !== BOARD_FACE);
  /** What was marked as there already, until it stands in the plan. */
  protected readonly marked = signal<string | null>(null);
  protected readonly vehicle = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly a = computed(() => this.assessments.openAssessment());
  protected readonly chosen = computed(() => this.a().gear.find((g) => g.id === this.selection.gear()) ?? null);
  protected readonly face = computed(() => this.a().layout.faces.find((f) => f.id === this.chosen()?.face) ?? null);
  protected readonly facesHere = computed(() => this.vehicle().zones.map((z) => ({ zone: z, faces: this.a().layout.faces.filter((f) => f.zone === z.id) })));
  protected readonly troubled = computed(() => new Set(this.a().layout.troubles.map((t) => t.gear)));
  /** What the rules say of the chosen thing's place. */
  protected readonly says = computed(() => this.a().open.filter((f) => f.at.stage === 'places' && f.at.about === this.chosen()?.id));
  protected readonly off = computed(() => {
    const g = this.chosen();
    return g ? comesOff(this.vehicle(), this.a().layout.faces, this.a().gear, g) : [];
  });
  /** Its own cables as they are now: what moving it changes. */
  protected readonly cables = computed(() => {
    const id = this.chosen()?.id;
    return this.a().runs.filter((r) => r.spec.from.gear === id || r.spec.to.gear === id);
  });
  protected readonly canWait = computed(() => !['starting', 'house', 'bus', 'there'].includes(this.chosen()?.role ?? 'starting'));

  constructor() {
    effect(() => {
      const key = this.marked();
      if (key === null || !this.a().gear.some((g) => g.id === key)) return;
      this.selection.gear.set(key);
      this.marked.set(null);
    });
    effect(() => {
      if (!this.chosen() && this.a().gear.length) this.selection.gear.set(this.a().gear.find((g) => g.role === 'house')?.id ?? this.a().gear[0]!.id);
    });
    effect(() => {
      this.selection.gear();
      this.offers.set(null);
      this.boxing.set(false);
    });
  }

  /** A part from the shelf over the pictures: the face that is shown takes it to the millimetre, a zone on its best face. */
  protected carried(g: Gear, move: CdkDragMove): void {
    const { x, y } = move.pointerPosition;
    // Its own place changes while it is carried.
    const now = this.a().gear.find((o) => o.id === g.id)!;
    if (!this.facePicture()?.carry(now, x, y)) this.picture().carry(now, x, y);
  }

  protected letGo(move: { readonly source: CdkDrag }): void {
    this.picture().carriedOff();
    move.source.reset();
  }

  protected words(f: Finding): string {
    const w = inWords(f);
    return `${w.say} ${w.fix}`;
  }

  protected toFace(g: Gear, faceId: string): void {
    const face = this.a().layout.faces.find((f) => f.id === faceId)!;
    this.placing.move({ id: g.id, face: faceId, u: Math.max(0, Math.round(Math.min(g.u, face.w - g.outline.w))), v: Math.max(0, Math.round(Math.min(g.v, face.h - g.outline.h))) });
  }

  protected async suggest(g: Gear): Promise<void> {
    this.seeking.set(true);
    const design = this.designs.openDesign();
    const offers = await this.analysis.ask({ what: 'places', design, gear: g.id });
    this.seeking.set(false);
    if (this.selection.gear() === g.id) this.offers.set(offers);
  }

  protected unbox(zone: string, name: string): void {
    this.designs.edit(`without the ${name}`, (d) => {
      const { vehicle, places, air, loads } = unboxGear(this.designs.openDesign(), zone);
      Object.assign(d, { vehicle, places, air, loads });
    });
  }

  protected take(g: Gear, o: PlaceOffer): void {
    this.placing.put(g, o.zone, o.on);
  }
}
