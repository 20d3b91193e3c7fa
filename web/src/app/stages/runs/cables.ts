import { afterNextRender, ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, Injector, input, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { amps, boundInWords, figure, rating, type RunEdit, type SizedRun, vehicleOf } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NumberField } from '../../ui/number-field';
import { Mark, type MarkKind } from '../../pictures/mark';
import { VehiclePicture } from '../../pictures/vehicle-picture';
import type { View } from '../../pictures/vehicle-view';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { SelectionService } from '../../data/selection.service';
import { KeptEdits } from './kept';
import { RunDetail } from './run-detail';

type Show = 'all' | 'charging' | 'house' | 'loads' | 'sun';

/** Each cable: current, fuse, size, length and what it loses, with the vehicle above and the chosen run beside. */
@Component({
  selector: 'mx-cables',
  imports: [FormsModule, NzSelectModule, NumberField, Mark, VehiclePicture, RunDetail, KeptEdits],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './cables.html',
  styleUrl: './cables.less',
})
export class CablesSheet {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly injector = inject(Injector);
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly rating = rating;
  protected readonly bound = boundInWords;
  protected readonly shows: readonly Show[] = ['all', 'charging', 'house', 'loads', 'sun'];
  protected readonly show = signal<Show>('all');
  protected readonly whyOpen = signal(false);
  protected readonly body = computed(() => vehicleOf(this.designs.openDesign()));
  protected readonly view = signal<View | 'both'>('side');
  protected readonly views = ['side', 'plan', 'both'] as const;
  protected readonly all = computed(() => this.assessments.openAssessment().runs);
  protected readonly runs = computed(() => this.all().filter((r) => this.show() === 'all' || r.spec.group === this.show()));
  protected readonly chosen = computed(() => this.all().find((r) => r.spec.id === this.selection.run()) ?? null);
  /** What the address asks for, as the code on a label does: a run, and the vehicle that it is in. */
  readonly run = input<string>();
  readonly vehicle = input<string>();

  constructor() {
    effect(() => {
      const [run, vehicle] = [this.run(), this.vehicle()];
      untracked(() => {
        if (vehicle) this.designs.lookAt(vehicle);
        if (!run) return;
        this.selection.run.set(run);
        // On a phone what was asked for lies below the table.
        afterNextRender(() => this.host.querySelector('mx-run-detail')?.scrollIntoView({ block: 'nearest' }), { injector: this.injector });
      });
    });
    effect(() => {
      if (!this.chosen() && this.all().length) this.selection.run.set(this.all()[0]!.spec.id);
    });
  }

  protected state(run: SizedRun): MarkKind {
    if (!run.ok) return 'stop';
    const found = this.assessments.openAssessment().findings.filter((f) => f.rule === 'run-fails' && f.at.about === run.spec.id);
    return found.some((f) => f.severity === 'stop') ? 'stop' : found.length ? 'look' : 'holds';
  }

  /** Load and fuse are of one conductor where several share a pole. */
  protected each(run: SizedRun): string {
    return run.ok && run.figures.perPole > 1 ? `${run.figures.perPole} × ` : '';
  }

  protected setLength(run: SizedRun, metres: number | null): void {
    if (metres === null) return;
    this.edit(run, { outM: metres }, `length of run ${run.spec.number} to ${figure(metres, 1)} m`);
  }

  protected edit(run: SizedRun, change: Partial<Record<keyof RunEdit, unknown>>, label: string): void {
    this.designs.edit(label, (d) => {
      const next: Record<string, unknown> = { ...d.runs[run.spec.id], ...change };
      for (const key of Object.keys(next)) if (next[key] === null || next[key] === undefined) delete next[key];
      d.runs[run.spec.id] = next as RunEdit;
    });
  }

  protected key(event: KeyboardEvent): void {
    if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const ids = this.runs().map((r) => r.spec.id);
    const here = ids.indexOf(this.selection.run() ?? '');
    if (event.key === 'j') this.selection.run.set(ids[Math.min(ids.length - 1, here + 1)] ?? null);
    else if (event.key === 'k') this.selection.run.set(ids[Math.max(0, here - 1)] ?? null);
    else if (event.key === 'w') this.whyOpen.set(true);
    else return;
    event.preventDefault();
  }
}
