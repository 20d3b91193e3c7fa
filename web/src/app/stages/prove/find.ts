import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { type FaultBook, type FaultProbe, figure, type Known, probeFigure, readTypedNumber, type Search } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { Mark, type MarkKind } from '../../pictures/mark';
import { AnalysisService } from '../../data/analysis.service';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { keepHere, keptHere } from '../../data/kept-here';
import { RecordService } from '../../data/record.service';
import { SelectionService } from '../../data/selection.service';
import { TestPlanService } from '../../data/test-plan.service';
import { judgedGroups } from './judged';

const NOTHING: Known = { readings: [], complaints: [] };
const isKnown = (kept: unknown): kept is Known =>
  typeof kept === 'object' && kept !== null && 'readings' in kept && Array.isArray(kept.readings) && 'complaints' in kept && Array.isArray(kept.complaints);
/** In tolerances: what agrees, what is near, what is off. */
const markOf = (z: number): MarkKind => (z <= 1 ? 'holds' : z <= 2 ? 'look' : 'stop');

/** Causes that are listed, and the share below which none is. */
const MOST_CAUSES = 7;
const LEAST_SHARE = 0.004;

/** What is wrong: by what the customer says and what is measured, the likeliest causes, and the next thing to measure. */
@Component({
  selector: 'mx-find',
  imports: [FormsModule, RouterLink, NzInputModule, NzSelectModule, NamedSelect, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './find.html',
  styleUrl: './find.less',
})
export class FindSheet {
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly analysis = inject(AnalysisService);
  private readonly selection = inject(SelectionService);
  private readonly records = inject(RecordService);
  private readonly plan = inject(TestPlanService);
  protected readonly figure = figure;
  protected readonly shown = probeFigure;
  protected readonly book = signal<FaultBook | null>(null);
  protected readonly search = signal<Search | null>(null);
  protected readonly ready = signal(false);
  protected readonly known = signal<Known>(NOTHING);
  protected readonly typed = signal('');
  protected readonly says = signal<string | null>(null);
  /** A test that was chosen in place of the best one; and those that cannot be taken now. */
  private readonly picked = signal<string | null>(null);
  protected readonly put = signal<ReadonlySet<string>>(new Set());

  protected readonly best = computed(() => this.search()?.next?.probe ?? null);
  protected readonly others = computed(() => (this.search()?.tests ?? []).filter((t) => !this.put().has(t.probe.id)));
  /** What is to be measured: the one chosen, the best, or the best of those that can be taken. */
  protected readonly test = computed((): FaultProbe | null => {
    const tests = this.others();
    if (this.search()?.settled && this.picked() === null) return null;
    const best = this.best();
    return tests.find((t) => t.probe.id === this.picked())?.probe ?? (best && !this.put().has(best.id) ? best : (tests.find((t) => t.bits > 1e-4)?.probe ?? null));
  });
  protected readonly branches = computed(() => (this.search()?.next?.probe.id === this.test()?.id ? (this.search()?.next?.branches ?? []) : []));
  protected readonly causes = computed(() => (this.search()?.causes ?? []).filter((c) => c.share >= LEAST_SHARE).slice(0, MOST_CAUSES));
  protected readonly taken = computed(() =>
    this.known().readings.flatMap((r, at) => {
      const probe = this.book()?.probes.find((p) => p.id === r.test);
      return probe ? [{ at, probe, value: r.value, mark: markOf(Math.abs(r.value - probe.expected) / probe.tolerance) }] : [];
    }),
  );

  constructor() {
    effect(() => {
      const design = this.designs.design();
      if (!design) return;
      untracked(() => {
        this.known.set(keptHere(this.key, isKnown, NOTHING));
        void this.open();
      });
    });
  }

  private get key(): string {
    return `meridex.find.${this.designs.jobId()}.${this.designs.vehicle()}`;
  }

  private async open(): Promise<void> {
    const design = this.designs.design();
    if (!design) return;
    const book = await this.analysis.ask<'fault book'>({ what: 'fault book', design });
    const there = new Set(book?.probes.map((p) => p.id));
    const said = new Set(book?.complaints.map((c) => c.id));
    // What the rig has no longer is no reading of it.
    this.known.update((k) => ({ readings: k.readings.filter((r) => there.has(r.test)), complaints: k.complaints.filter((c) => said.has(c)) }));
    this.book.set(book);
    await this.again();
    this.ready.set(true);
  }

  /** Readings of the test plan that are not taken in yet; those that the state explains say nothing. What was read before a repair is of the fault: so they are asked for. */
  protected readonly proved = computed((): Known['readings'] => {
    const there = new Set(this.book()?.probes.map((p) => p.id));
    const known = new Set(this.known().readings.map((r) => r.test));
    const explained = new Set(judgedGroups([], this.plan.plan(), this.records.readings()).flatMap((g) => g.rows.filter((r) => r.judged?.verdict === 'not-yet').map((r) => r.row.id)));
    return [...this.records.readings()].filter(([row]) => there.has(row) && !known.has(row) && !explained.has(row)).map(([row, r]) => ({ test: row, value: r.value }));
  });

  protected takeIn(): void {
    this.know({ ...this.known(), readings: [...this.known().readings, ...this.proved()] });
  }

  private async again(): Promise<void> {
    const design = this.designs.design();
    if (design && this.book()) this.search.set(await this.analysis.ask<'fault search'>({ what: 'fault search', design, known: this.known() }));
  }

  private know(known: Known): void {
    this.known.set(known);
    this.picked.set(null);
    this.typed.set('');
    this.says.set(null);
    keepHere(this.key, known);
    void this.again();
  }

  protected complain(complaints: readonly string[]): void {
    this.know({ ...this.known(), complaints });
  }

  protected keep(): void {
    const test = this.test();
    if (!test) return;
    const value = readTypedNumber(this.typed(), { name: test.what, unit: test.unit, min: -1000, max: 1000 });
    if (!value.ok) return this.says.set(value.message);
    // It belongs to the job's record like any other reading.
    this.records.read(test.id, value.value, test.unit);
    this.know({ ...this.known(), readings: [...this.known().readings, { test: test.id, value: value.value }] });
  }

  protected drop(at: number): void {
    this.know({ ...this.known(), readings: this.known().readings.filter((_, i) => i !== at) });
  }

  protected begin(): void {
    this.put.set(new Set());
    this.know(NOTHING);
  }

  protected notNow(): void {
    const test = this.test();
    if (test) this.put.update((p) => new Set([...p, test.id]));
    this.picked.set(null);
  }

  protected choose(id: string): void {
    this.put.update((p) => new Set([...p].filter((x) => x !== id)));
    this.picked.set(id);
    this.typed.set('');
  }

  /** Shows a cause's run among the cables. */
  protected show(about: string): void {
    this.selection.run.set(about);
  }

  protected readonly isRun = (about: string): boolean => this.assessments.assessment()?.runs.some((r) => r.spec.id === about) ?? false;
}
