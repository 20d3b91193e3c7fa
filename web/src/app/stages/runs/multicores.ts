import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { amps, type Asked, canLieInMulticore, figure, MOST_CORE_MM2, type Multicore, multicoreOffers, type MulticoreOffer, multicoresOf, type SizedRun, vehicleOf } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { Choice } from '../../ui/choice';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { CoreSection } from '../../pictures/core-section';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

/** A multi-core as it stands in the job, with the cable that it comes to; null: too few of its runs are there. */
interface Row {
  readonly id: string;
  readonly called: string;
  readonly runs: readonly string[];
  readonly back: 'own' | 'common';
  readonly cores: number | null;
  readonly colours: readonly string[];
  readonly cable: Multicore | null;
}

/** Runs that go the same way in one sheathed cable: which, with what return, and what each core is for. */
@Component({
  selector: 'mx-multicores',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, NzSelectModule, Choice, CoreSection, Mark, NamedSelect, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './multicores.html',
  styleUrl: './multicores.less',
})
export class MulticoresSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly backs = ['own', 'common'] as const;
  protected readonly backWords = (b: 'own' | 'common'): string => (b === 'own' ? 'a core for each run' : 'in common');
  /** What a command has against it, in words. */
  protected readonly refused = signal<string | null>(null);
  /** Runs chosen for another cable. */
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  private readonly a = computed(() => this.assessments.openAssessment());
  protected readonly rows = computed(() => {
    const cables = new Map(multicoresOf(this.a().runs).map((m) => [m.id, m]));
    return Object.entries(this.designs.openDesign().multicores)
      .sort(([, x], [, y]) => x.order - y.order)
      .map(([id, m]): Row => ({ id, called: m.name, runs: m.runs, back: m.back, cores: m.cores, colours: m.colours, cable: cables.get(id) ?? null }));
  });
  protected readonly able = computed(() => this.a().runs.filter((r) => canLieInMulticore(r.spec) && (r.spec.multicore || !r.ok || r.figures.areaMm2 <= MOST_CORE_MM2)));
  /** Runs that lie in none, by where they go. */
  protected readonly free = computed(() =>
    this.able()
      .filter((r) => !this.rows().some((m) => m.runs.includes(r.spec.id)))
      .sort((a, b) => a.spec.stands.to.zone.localeCompare(b.spec.stands.to.zone) || a.spec.number - b.spec.number),
  );
  protected readonly offers = computed(() => multicoreOffers(this.a().runs).slice(0, 2));

  protected runWords = (r: SizedRun): string => `${r.spec.number} ${r.spec.to.name}`;
  protected numbers = (o: MulticoreOffer): string => o.runs.map((r) => r.spec.number).join(', ');
  protected nameOf = (m: Row): string => m.called || 'multi-core';
  protected zoneName = (zone: string): string => vehicleOf(this.designs.openDesign()).zones.find((z) => z.id === zone)?.name ?? zone;

  /** Colours as they were typed, between commas; a cable has no more than forty cores. */
  protected listed(words: string): string[] {
    const typed = words.split(/[,;]/).map((w) => w.trim().slice(0, 24));
    return typed.filter(Boolean).slice(0, 40);
  }

  protected tick(run: string, on: boolean): void {
    const next = new Set(this.chosen());
    if (on) next.add(run);
    else next.delete(run);
    this.chosen.set(next);
  }

  protected offered({ runs, zone, back }: MulticoreOffer): void {
    this.add(
      runs.map((r) => r.spec.id),
      `${this.zoneName(zone)} cable`.slice(0, 60),
      back,
    );
  }

  protected addChosen(): void {
    this.add([...this.chosen()], '', 'own');
    if (!this.refused()) this.chosen.set(new Set());
  }

  private add(runs: readonly string[], name: string, back: 'own' | 'common'): void {
    this.command(`${runs.length} runs in one multi-core`, { do: 'addMulticore', with: { runs, name, back } });
  }

  protected change(
    m: Row,
    set: { readonly name?: string; readonly runs?: readonly string[]; readonly back?: 'own' | 'common'; readonly cores?: number | null; readonly colours?: readonly string[] },
  ): void {
    if (set.runs?.length === 0) return this.takeOut(m);
    this.command(`${Object.keys(set).join(', ')} of the ${this.nameOf(m)}`, { do: 'setMulticore', with: { multicore: m.id, set } });
  }

  protected takeOut(m: Row): void {
    this.command(`cables of their own instead of the ${this.nameOf(m)}`, { do: 'removeMulticore', with: { multicore: m.id } });
  }

  private command(words: string, asked: Asked): void {
    this.refused.set(this.designs.command(words, asked));
  }
}
