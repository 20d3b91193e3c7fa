import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { catalogueOf, type Finding, type Harm, HARMS, inWords, isThereBefore, loadNamed, mainsGap, mainsSide, type Press, RULES } from '@meridex/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { stageName } from '../../frame/stages';
import { Comments } from '../../comments/comments';
import { Mark } from '../../pictures/mark';
import { AssessmentService } from '../../data/assessment.service';
import { DesignService } from '../../data/design.service';
import { SelectionService } from '../../data/selection.service';
import { SessionService } from '../../data/session.service';
import { WouldChange } from './would-change';

const HARM_WORDS: Readonly<Record<Harm, string>> = {
  fire: 'What can burn',
  people: 'Who can be hurt',
  'flat batteries': 'What runs flat',
  'broken gear': 'What breaks, or does not work',
  'rules in force': 'What the rules in force may ask',
  'the plan': 'What the plan lacks',
};

/** Every rule in one list: what is found, why it matters, what to do, and what was accepted by whom. */
@Component({
  selector: 'mx-findings',
  imports: [FormsModule, RouterLink, NzInputModule, Mark, Comments, WouldChange],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './findings.html',
  styleUrl: './findings.less',
})
export class FindingsSheet {
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  protected readonly selection = inject(SelectionService);
  private readonly session = inject(SessionService);
  private readonly router = inject(Router);
  protected readonly words = inWords;
  protected readonly rules = RULES.length;
  protected readonly stageName = stageName;
  protected readonly reason = signal('');
  protected readonly by = signal(this.session.person()?.name ?? '');
  protected readonly says = signal<string | null>(null);
  protected readonly open = computed(() => this.assessments.openAssessment().open);
  /** What of the 230 V side keeps the vehicle here. */
  protected readonly mains = computed(() => mainsGap(mainsSide(this.designs.openDesign(), catalogueOf(this.designs.openDesign()))));
  protected readonly accepted = computed(() => {
    const accepted = this.designs.openDesign().accepted;
    return this.assessments
      .assessment()!
      .findings.filter((f) => accepted[f.key])
      .map((f) => ({ finding: f, ...accepted[f.key]! }));
  });
  /** What is open by what can go wrong, where there is a stop first. */
  protected readonly groups = computed(() => {
    const all = HARMS.map((harm) => ({ harm, findings: this.open().filter((f) => inWords(f).harm === harm) })).filter((g) => g.findings.length);
    const stops = (g: (typeof all)[number]): boolean => g.findings.some((f) => f.severity === 'stop');
    return [...all.filter(stops), ...all.filter((g) => !stops(g))];
  });
  protected readonly harmWords = HARM_WORDS;
  protected readonly chosen = computed(() => this.open().find((f) => f.key === this.selection.finding()) ?? this.groups()[0]?.findings[0] ?? null);

  constructor() {
    // Another finding is another decision: nothing typed for one may sign for the next.
    effect(() => {
      this.chosen()?.key;
      this.says.set(null);
    });
  }

  /** Makes the fix; undo takes it back. */
  protected take(p: Press): void {
    this.says.set(this.designs.apply(p.label, p.patch));
  }

  protected mend(f: Finding): void {
    const load = loadNamed(f.at.about);
    if (load !== null) this.selection.load.set(load);
    else if (f.at.about) this.selection.run.set(f.at.about);
    const sheet = f.at.stage === 'checks' ? ['mains'] : f.at.stage === 'brief' && isThereBefore(f.at.about) ? ['existing'] : [];
    void this.router.navigate(['/jobs', this.designs.jobId(), f.at.stage, ...sheet]);
  }

  protected accept(f: Finding): void {
    const [by, reason] = [this.by().trim(), this.reason().trim()];
    if (!by || !reason) {
      this.says.set(`${by ? 'Reason' : 'Name'}: nothing typed; accepting needs a name and a reason.`);
      return;
    }
    this.designs.edit('finding accepted', (d) => (d.accepted[f.key] = { by, reason, at: new Date().toISOString().slice(0, 10) }));
    this.reason.set('');
  }

  protected takeBack(key: string): void {
    this.designs.edit('acceptance taken back', (d) => delete d.accepted[key]);
  }
}
