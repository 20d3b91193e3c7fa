import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ActivatedRoute, Router } from '@angular/router';
import {
  ahDayOf,
  applyIntake,
  type Design,
  figure,
  type LibraryItem,
  LOAD_LIBRARY,
  REGIONS,
  SHELVES,
  catalogueOf,
  type SupplyDraft,
  type Intake,
  intakeOf,
  USES,
  type Use,
  USUAL_WISHES,
  VEHICLE_KINDS,
  VEHICLE_TEMPLATES,
  type VehicleKind,
  supplyOf,
  takeDraft,
} from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { Choice } from '../../ui/choice';
import { MoneyPipe } from '../../fields/money.pipe';
import { NumberField } from '../../ui/number-field';
import { DesignService } from '../../data/design.service';
import { AnalysisService } from '../../data/analysis.service';
import { MAINS_NIGHTS, MONTH_NAMES } from './words';

/** A pause in the answers before the drafts are worked out, ms. */
const PAUSE_MS = 250;

/** A short intake: ten answers, with the three drafts they lead to worked out as they are given. */
@Component({
  selector: 'mx-intake',
  imports: [FormsModule, NzCheckboxModule, Choice, MoneyPipe, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './intake.html',
  styleUrl: './intake.less',
})
export class IntakeSheet {
  private readonly designs = inject(DesignService);
  protected readonly analysis = inject(AnalysisService);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  protected readonly intake = signal<Intake>(intakeOf(this.designs.openDesign()));
  protected readonly drafts = signal<readonly SupplyDraft[]>([]);
  /** The answers that the shown drafts belong to. */
  private draftsOf: Intake | null = null;
  protected readonly figure = figure;
  protected readonly supplyOf = supplyOf;
  protected readonly kinds = VEHICLE_KINDS;
  protected readonly kindWords = (k: VehicleKind): string => VEHICLE_TEMPLATES[k].name;
  protected readonly varies = ['variable', 'fixed'] as const;
  protected readonly uses = USES;
  protected readonly months = MONTH_NAMES.map((_, i) => i + 1);
  protected readonly monthWords = (m: number): string => MONTH_NAMES[m - 1]!;
  protected readonly regions = REGIONS.map((r) => r.id);
  protected readonly regionWords = (id: string): string => (REGIONS.find((r) => r.id === id)?.name ?? id).split(',')[0]!;
  protected readonly nights = MAINS_NIGHTS;
  protected readonly outlets = [0, 1000, 1600, 2000, 3000] as const;
  protected readonly outletWords = (w: number): string => (w === 0 ? 'nothing more' : `up to ${figure(w / 1000, 1)} kW`);
  protected readonly houseVolts = [12, 24] as const;
  protected readonly inVolts = (v: number): string => `${v} V`;
  protected readonly shelves = SHELVES.map((shelf) => ({ shelf, items: LOAD_LIBRARY.filter((i) => i.shelf === shelf) }));
  protected readonly wished = computed(() => new Map(this.intake().wishes.map((w) => [w.id, w])));
  protected readonly wishedItems = computed(() => LOAD_LIBRARY.filter((i) => this.wished().has(i.id)));
  protected readonly hasLoads = computed(() => Object.keys(this.designs.openDesign().loads).length > 0);
  protected readonly ahDay = computed(() => ahDayOf(this.intake()));

  protected batteryName(d: SupplyDraft): string {
    const part = catalogueOf(d.design).find('battery', supplyOf(d.design).battery.part);
    return part ? `${part.capacityAh} Ah` : '–';
  }

  constructor() {
    effect((onCleanup) => {
      const [design, intake] = [this.designs.design(), this.intake()];
      if (!design || !intake.wishes.length) return this.drafts.set([]);
      const timer = setTimeout(() => void this.work(design, intake), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  private async work(design: Design, intake: Intake): Promise<void> {
    const drafts = await this.analysis.ask({ what: 'intake', design, intake });
    if (!drafts || this.intake() !== intake) return;
    this.draftsOf = intake;
    this.drafts.set(drafts);
  }

  protected set(change: Partial<Intake>): void {
    this.intake.update((t) => ({ ...t, ...change }));
  }

  protected setUse(use: Use): void {
    const wishes = USUAL_WISHES[use].map((id) => ({ id, size: LOAD_LIBRARY.find((i) => i.id === id)?.size?.usual ?? null }));
    this.set({ use, wishes, never: this.intake().never.filter((id) => USUAL_WISHES[use].includes(id)) });
  }

  protected wish(item: LibraryItem, wanted: boolean): void {
    const { wishes, never } = this.intake();
    this.set(wanted ? { wishes: [...wishes, { id: item.id, size: item.size?.usual ?? null }] } : { wishes: wishes.filter((w) => w.id !== item.id), never: never.filter((id) => id !== item.id) });
  }

  protected resize(id: string, size: number | null): void {
    if (size !== null) this.set({ wishes: this.intake().wishes.map((w) => (w.id === id ? { ...w, size } : w)) });
  }

  protected mustStay(id: string, must: boolean): void {
    this.set({ never: must ? [...this.intake().never, id] : this.intake().never.filter((n) => n !== id) });
  }

  /** Puts brief, loads and the sound draft's supply into the job, and goes to the three drafts or to the circuit that stands. */
  protected async take(next: string): Promise<void> {
    const [design, intake] = [this.designs.openDesign(), this.intake()];
    // What was typed a moment ago is not in the drafts that are shown: then they are worked out first.
    const drafts = this.draftsOf === intake ? this.drafts() : await this.analysis.ask({ what: 'intake', design, intake });
    const sound = drafts?.find((d) => d.tier === 'sound');
    this.designs.edit('ten answers', (d) => {
      const job = applyIntake(d, intake);
      Object.assign(d, sound ? takeDraft(job, sound.design) : job);
    });
    void this.router.navigate([next], { relativeTo: this.route });
  }
}
