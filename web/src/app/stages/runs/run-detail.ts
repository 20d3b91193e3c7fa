import { ChangeDetectionStrategy, Component, computed, inject, input, model, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { amps, boundInWords, explainRun, figure, FUSE_KINDS, inWords, nameOfArea, type Press, rating, type RunEdit, type SizedRun } from '@meridex/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { Comments } from '../../comments/comments';
import { Choice } from '../../ui/choice';
import { NamedSelect } from '../../ui/named-select';
import { NumberField } from '../../ui/number-field';
import { cableSize } from '../../ui/cable-size';
import { ReadField } from '../../ui/read-field';
import { FuseWindow } from '../../pictures/fuse-window';
import { PathLadder } from '../../pictures/path-ladder';
import { WhyDrawer } from '../../frame/why-drawer';
import type { RunChange } from './run-change';
import { RunWay } from './run-way';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';

const ERROR_WORDS = {
  'window-closed': 'The window is closed: no standard fuse between load and weakest part.',
  'too-hot': 'Too hot there: no size that its terminals take carries its fuse.',
} as const;

/** Where each input of a figure is typed. */
const FIELD_OF: Readonly<Partial<Record<keyof RunEdit, string>>> = { backM: 'Length back', areaMm2: 'Size', laid: 'Laid', grouped: 'Circuits bunched', ambientC: 'Air on the way' };

/** The chosen run: what decided it, its fuse window and volts, what a person may fix, and every figure opened. */
@Component({
  selector: 'mx-run-detail',
  imports: [FormsModule, NzSelectModule, NamedSelect, Choice, NzCheckboxModule, NumberField, ReadField, FuseWindow, PathLadder, WhyDrawer, RunWay, Comments],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-detail.html',
  styleUrl: './run-detail.less',
})
export class RunDetail {
  readonly run = input.required<SizedRun>();
  readonly whyOpen = model(false);
  readonly edited = output<RunChange>();
  private readonly designs = inject(DesignService);
  private readonly assessments = inject(AssessmentService);
  protected readonly tabs = [
    { id: 'size', name: 'size and fuse' },
    { id: 'way', name: 'way' },
  ] as const;
  protected readonly tab = signal<'size' | 'way'>('size');
  protected readonly figure = figure;
  protected readonly amps = amps;
  protected readonly rating = rating;
  protected readonly kinds = FUSE_KINDS;
  protected readonly bound = computed(() => boundInWords(this.run()));
  protected readonly why = computed(() => (this.whyOpen() ? explainRun(this.designs.openDesign(), this.run(), this.runs()) : []));
  protected readonly runs = computed(() => this.assessments.assessment()?.runs ?? [this.run()]);
  /** What is wrong with a run without a size, and what the program can do about it. */
  protected readonly blocked = computed(() => {
    const run = this.run();
    if (run.ok) return null;
    const finding = this.assessments.assessment()?.findings.find((f) => f.rule === 'run-unsized' && f.at.about === run.spec.id) ?? null;
    return { say: finding ? inWords(finding).say : ERROR_WORDS[run.error], fix: finding ? inWords(finding).fix : '', presses: finding?.presses ?? [], tried: run.tried, window: run.window };
  });
  protected readonly protections = [null, 'fuse', 'breaker, manual reset', 'breaker, self-resetting'] as const;
  protected readonly protectionWords = computed(() => (p: RunEdit['protect'] | null) => p ?? `as usual here: ${this.run().spec.reset ? 'breaker' : 'fuse'}`);
  /** The fuse that protects a run without one of its own. */
  protected readonly guard = computed(() => {
    const { protectedBy } = this.run().spec;
    const feed = protectedBy && this.assessments.assessment()?.runs.find((r) => r.spec.id === protectedBy);
    return feed ? { number: feed.spec.number, fuse: feed.ok ? `${rating(feed.figures.fuseA)} A` : 'fuse' } : null;
  });
  protected readonly readSize = cableSize(300);
  protected readonly nameOfArea = nameOfArea;

  protected take(p: Press): void {
    this.designs.apply(p.label, p.patch);
  }

  /** SheetTabs "why?" for the field that changes the input. */
  protected goTo(field: keyof RunEdit): void {
    this.whyOpen.set(false);
    this.tab.set('size');
    const label = field === 'outM' ? `Length of run ${this.run().spec.number}` : FIELD_OF[field];
    setTimeout(() => document.querySelector<HTMLElement>(`input[aria-label="${label}"]`)?.focus());
  }

  protected change(key: keyof RunEdit, value: unknown, what: string): void {
    this.edited.emit({ change: { [key]: value }, label: `${what} of run ${this.run().spec.number}` });
  }
}
