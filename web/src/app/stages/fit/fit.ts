import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { type BuildPlan, figure, type FitStep, sentence } from '@meridex/core';
import { AnalysisService } from '../../data/analysis.service';
import { AssessmentService } from '../../data/assessment.service';
import { Photos } from '../../photos/photos';
import { PhotoService } from '../../data/photo.service';
import { RecordService } from '../../data/record.service';

/** Steps that stand together: a visit to a place, or a kind of work. */
interface Group {
  readonly key: string;
  readonly name: string;
  readonly steps: readonly FitStep[];
  readonly minutes: number;
}

const minutesOf = (steps: readonly FitStep[]): number => steps.reduce((sum, s) => sum + s.minutes, 0);

/** Steps as they are now in the order of a plan; one that the plan does not know yet stands last. */
function inVisits(plan: BuildPlan, now: readonly FitStep[]): readonly Group[] {
  const left = new Map(now.map((s) => [s.id, s]));
  const groups: Group[] = [];
  for (const [i, v] of plan.visits.entries()) {
    const steps = v.steps.flatMap((s) => left.get(s.id) ?? []);
    for (const s of steps) left.delete(s.id);
    if (steps.length) groups.push({ key: `${i} ${v.place}`, name: v.place, steps, minutes: minutesOf(steps) });
  }
  const rest = [...left.values()];
  return rest.length ? [...groups, { key: 'new', name: 'new in the plan', steps: rest, minutes: minutesOf(rest) }] : groups;
}

/** The build step by step, place by place so that nobody climbs in twice; each tick is kept. */
@Component({
  selector: 'mx-fit',
  imports: [Photos],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit.html',
  styleUrl: './fit.less',
})
export class FitStage {
  protected readonly assessments = inject(AssessmentService);
  protected readonly records = inject(RecordService);
  protected readonly photos = inject(PhotoService);
  protected readonly analysis = inject(AnalysisService);
  protected readonly figure = figure;
  protected readonly sentence = sentence;
  protected readonly by = signal<'place' | 'kind'>('place');
  /** The last order that was worked out. While a changed plan's is under way this one stands: nothing jumps under a thumb. */
  protected readonly plan = signal<BuildPlan | null>(null);
  /** A step that was ticked while what it waits for is open: asked about. */
  protected readonly asked = signal<{ readonly step: string; readonly open: readonly string[] } | null>(null);
  protected readonly steps = computed(() => this.assessments.assessment()?.fit ?? []);
  protected readonly groups = computed((): readonly Group[] => {
    const plan = this.plan();
    if (this.by() === 'place') return plan ? inVisits(plan, this.steps()) : [];
    const kinds = [...new Set(this.steps().map((s) => s.section))];
    return kinds.map((kind) => {
      const steps = this.steps().filter((s) => s.section === kind);
      return { key: kind, name: kind, steps, minutes: minutesOf(steps) };
    });
  });
  private readonly inOrder = computed(() => this.groups().flatMap((g) => g.steps));
  protected readonly done = computed(() => this.steps().filter((s) => this.records.ticked().has(s.id)).length);
  protected readonly next = computed(() => this.inOrder().find((s) => !this.records.ticked().has(s.id)) ?? null);
  protected readonly leftMin = computed(() => minutesOf(this.steps().filter((s) => !this.records.ticked().has(s.id))));
  protected readonly ticksIn = (steps: readonly FitStep[]): number => steps.filter((s) => this.records.ticked().has(s.id)).length;

  constructor() {
    effect(() => {
      const steps = this.steps();
      untracked(() => void this.ask(steps));
    });
  }

  private async ask(steps: readonly FitStep[]): Promise<void> {
    const plan = await this.analysis.ask<'build plan'>({ what: 'build plan', steps });
    if (this.steps() !== steps) return;
    if (plan) this.plan.set(plan);
    else this.by.set('kind');
  }

  /** Minutes as one says them: 45 min, 6.5 h. */
  protected readonly time = (minutes: number): string => (minutes < 90 ? `${figure(minutes, 0)} min` : `${figure(minutes / 60, 1)} h`);

  /** A tick, or the question whether what comes before it is really done. */
  protected tick(step: FitStep, box: HTMLInputElement): void {
    const ticked = this.records.ticked().has(step.id);
    const open = ticked ? [] : step.after.filter((id) => !this.records.ticked().has(id));
    if (!open.length) {
      this.asked.set(null);
      return this.records.tick(step.id, !ticked);
    }
    box.checked = false;
    const text = new Map(this.steps().map((s) => [s.id, s.text]));
    this.asked.set({ step: step.id, open: open.map((id) => text.get(id) ?? id) });
  }

  protected allTheSame(step: FitStep): void {
    this.asked.set(null);
    this.records.tick(step.id, true);
  }
}
