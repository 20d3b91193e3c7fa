import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { type FaultBook, type FaultProbe, figure, isAnswer, LEVELS, type Level, probeFigure, type Riddle, sentence, simulatedReading } from '@meridex/core';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { Mark } from '../../pictures/mark';
import { AnalysisService } from '../../data/analysis.service';
import { DesignService } from '../../data/design.service';
import { keepHere, keptHere } from '../../data/kept-here';
import { SessionService } from '../../data/session.service';

/** A riddle that was solved or given up. */
interface Solved {
  readonly seed: number;
  readonly level: Level;
  readonly right: boolean;
  readonly minutes: number;
  readonly par: number;
  /** Causes that were named wrongly before: parts changed for nothing. */
  readonly wrong: number;
}

/** Minutes that a wrongly changed part costs. */
const CHANGED_FOR_NOTHING_MIN = 20;
const KEPT = 20;
const isHistory = (kept: unknown): kept is readonly Solved[] => Array.isArray(kept);

/** The same search with a fault that is hidden: choose where to measure, the simulated meter answers, name it. */
@Component({
  selector: 'mx-learn',
  imports: [FormsModule, NzSelectModule, NamedSelect, Mark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './learn.html',
  styleUrls: ['./find.less', './learn.less'],
})
export class LearnSheet {
  private readonly designs = inject(DesignService);
  private readonly session = inject(SessionService);
  protected readonly analysis = inject(AnalysisService);
  protected readonly figure = figure;
  protected readonly shown = probeFigure;
  protected readonly levels = LEVELS;
  protected readonly level = signal<Level>('one thing is dead');
  protected readonly book = signal<FaultBook | null>(null);
  protected readonly ready = signal(false);
  protected readonly seed = signal(1);
  protected readonly riddle = signal<Riddle | null>(null);
  protected readonly none = signal(false);
  protected readonly read = signal<readonly { readonly probe: FaultProbe; readonly value: number }[]>([]);
  protected readonly wrong = signal<readonly string[]>([]);
  protected readonly done = signal<Solved | null>(null);
  protected readonly history = signal<readonly Solved[]>([]);

  protected readonly minutes = computed(() => this.read().reduce((sum, r) => sum + r.probe.minutes, 0) + CHANGED_FOR_NOTHING_MIN * this.wrong().length);
  /** What can still be measured, by how things must stand. */
  protected readonly left = computed(() => {
    const probes = (this.book()?.probes ?? []).filter((p) => !this.read().some((r) => r.probe.id === p.id));
    return [...new Set(probes.map((p) => p.stands))].map((stands) => ({ stands, probes: probes.filter((p) => p.stands === stands) }));
  });
  protected readonly sentence = sentence;
  protected readonly causes = computed(() => [...(this.book()?.faults ?? [])].filter((f) => f.id !== 'sound').sort((a, b) => a.name.localeCompare(b.name)));
  protected readonly hidden = computed(() => this.book()?.faults.find((f) => f.id === this.riddle()?.fault) ?? null);
  protected readonly score = computed(() => {
    const all = this.history();
    return { solved: all.filter((h) => h.right).length, all: all.length };
  });

  constructor() {
    effect(() => {
      if (this.designs.design()) untracked(() => void this.open());
    });
  }

  private get key(): string {
    return `meridex.learn.${this.session.person()?.name ?? ''}`;
  }

  private async open(): Promise<void> {
    this.history.set(keptHere(this.key, isHistory, []));
    this.book.set(await this.analysis.ask<'fault book'>({ what: 'fault book', design: this.designs.openDesign() }));
    this.seed.set(1 + this.history().length);
    await this.hide();
    this.ready.set(true);
  }

  protected async hide(): Promise<void> {
    const design = this.designs.design();
    if (!design || !this.book()) return;
    const riddle = await this.analysis.ask<'riddle'>({ what: 'riddle', design, seed: this.seed(), level: this.level() });
    this.read.set([]);
    this.wrong.set([]);
    this.done.set(null);
    this.riddle.set(riddle);
    this.none.set(riddle === null);
  }

  protected another(): void {
    this.seed.update((s) => s + 1);
    void this.hide();
  }

  protected setLevel(level: Level): void {
    this.level.set(level);
    void this.hide();
  }

  protected measure(probe: FaultProbe): void {
    const [book, riddle] = [this.book(), this.riddle()];
    if (!book || !riddle || this.done()) return;
    this.read.update((all) => [...all, { probe, value: simulatedReading(book, riddle.fault, probe.id, this.seed()) }]);
  }

  protected name(fault: string): void {
    const [book, riddle] = [this.book(), this.riddle()];
    if (!book || !riddle || this.done() || !fault) return;
    if (isAnswer(book, riddle.fault, fault)) return this.end(true);
    const named = book.faults.find((f) => f.id === fault)?.name ?? fault;
    this.wrong.update((w) => [...w, named]);
  }

  protected end(right: boolean): void {
    const riddle = this.riddle();
    if (!riddle) return;
    const solved: Solved = { seed: this.seed(), level: this.level(), right, minutes: this.minutes(), par: riddle.par.minutes, wrong: this.wrong().length };
    this.done.set(solved);
    this.history.update((h) => [...h, solved].slice(-KEPT));
    keepHere(this.key, this.history());
  }
}
