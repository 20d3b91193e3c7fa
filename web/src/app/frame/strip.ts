import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, type ElementRef, inject, input, viewChild } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzAutocompleteModule } from 'ng-zorro-antd/auto-complete';
import { NzDropdownModule } from 'ng-zorro-antd/dropdown';
import { NzInputModule } from 'ng-zorro-antd/input';
import { signal } from '@angular/core';
import { inWords, isJoined, quickAnswer, rigRows, shelfFor, vehicleIds, vehicleName } from '@meridex/core';
import { AssessmentService } from '../data/assessment.service';
import { DesignService } from '../data/design.service';
import { type JobLine, JobsService } from '../data/jobs.service';
import { SelectionService } from '../data/selection.service';
import { SessionService } from '../data/session.service';
import { ThemeService } from '../data/theme.service';
import { KeptAnswers } from '../data/sync/kept-answers';
import { SyncService } from '../data/sync/sync.service';
import { isoDay } from '../ui/iso-day';
import { QuickAnswerCard } from './quick-answer';
import { SHEET_LIST, STAGE_LIST, stageName } from './stages';

interface StripCommand {
  readonly label: string;
  readonly kind: string;
  readonly go: () => void;
}

/** The strip along the top: workshop, find or do, undo and redo, and what is kept, in words. */
@Component({
  selector: 'mx-strip',
  imports: [RouterLink, NzAutocompleteModule, NzDropdownModule, NzInputModule, DatePipe, QuickAnswerCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'banner' },
  templateUrl: './strip.html',
  styleUrl: './strip.less',
})
export class Strip {
  /** The open job; null on the bay sheet. */
  readonly jobId = input<string | null>(null);
  protected readonly designs = inject(DesignService);
  protected readonly sync = inject(SyncService);
  protected readonly kept = inject(KeptAnswers);
  protected readonly session = inject(SessionService);
  protected readonly theme = inject(ThemeService);
  private readonly assessments = inject(AssessmentService);
  private readonly selection = inject(SelectionService);
  private readonly allJobs = inject(JobsService);
  private readonly router = inject(Router);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  protected readonly wanted = signal('');
  /** Pages of the workshop beside its jobs. */
  protected readonly pages = ['week', 'customers', 'parts', 'stores', 'people', 'workshop'] as const;
  /** The question whose answer is shown. */
  protected readonly question = signal<string | null>(null);

  protected readonly waiting = computed(() => this.sync.unsent().length);
  /** When the last of this job was kept: of its design, or what was ticked and read since; with the day where it was not today. */
  protected readonly keptAt = computed(() => {
    const [design, other] = [this.designs.keptAt(), this.sync.lastKept()];
    const sent = other?.jobId === this.jobId() ? other!.at : null;
    return design && sent ? (sent > design ? sent : design) : (sent ?? design);
  });
  protected readonly keptForm = computed(() => (this.keptAt() && isoDay(this.keptAt()!) !== isoDay(new Date()) ? 'd MMM' : 'HH:mm'));
  protected readonly commands = computed(() => {
    const words = this.wanted().toLowerCase().split(/\s+/).filter(Boolean);
    const all = [...this.jobCommands(), ...this.everywhere()];
    const found = all.filter((d) => words.every((w) => d.label.toLowerCase().includes(w)));
    return [...this.answers(), ...found].slice(0, 9);
  });

  /** Jobs by customer and plate, read when something is first looked for. */
  private readonly jobs = signal<readonly JobLine[]>([]);
  private asked = false;

  protected look(): void {
    if (this.asked) return;
    this.asked = true;
    this.allJobs.all().subscribe({ next: (bay) => this.jobs.set(bay.lines), error: () => (this.asked = false) });
  }

  focus(): void {
    this.box().nativeElement.focus();
  }

  /** Enter on a question answers it, whether or not the list is open yet. */
  protected ask(): void {
    // What was typed, not what stands in the box: by now the list may have written its choice there.
    const typed = this.wanted();
    if (quickAnswer(typed)) this.question.set(typed);
  }

  protected choose(label: string): void {
    const command = this.commands().find((d) => d.label === label);
    // The list may offer what it had before the last letters: a question is answered all the same.
    if (!command) this.ask();
    this.wanted.set('');
    const box = this.box().nativeElement;
    // The list writes its choice into the box and takes the focus back; afterwards the keys belong to the bench again.
    setTimeout(() => {
      box.value = '';
      box.blur();
      command?.go();
    });
  }

  protected signOut(): void {
    this.session.signOut().subscribe(() => void this.router.navigateByUrl('/sign-in'));
  }

  /** What was typed, answered, where it is a question. */
  private answers(): StripCommand[] {
    const asked = this.wanted();
    const answer = quickAnswer(asked);
    return answer ? [{ label: answer.says, kind: 'answer', go: () => this.question.set(asked) }] : [];
  }

  private everywhere(): StripCommand[] {
    const jobs = this.jobs().map((j): StripCommand => ({
      label: [`Job: ${j.customer}`, j.vehicle, j.plate].filter(Boolean).join(' · '),
      kind: 'job',
      go: () => void this.router.navigate(['/jobs', j.id, j.next.stage]),
    }));
    return [
      ...(this.wanted().trim() ? jobs : []),
      { label: 'Bay sheet: all jobs', kind: 'go', go: () => void this.router.navigateByUrl('/') },
      { label: 'The bay’s week: who stands where, what will be late', kind: 'go', go: () => void this.router.navigateByUrl('/week') },
      { label: 'Customers: how each is reached, their vehicles', kind: 'go', go: () => void this.router.navigateByUrl('/customers') },
      { label: 'Parts: the catalogue, and the workshop’s own', kind: 'go', go: () => void this.router.navigateByUrl('/parts') },
      { label: 'Stores: what lies on the shelf, what suppliers ask', kind: 'go', go: () => void this.router.navigateByUrl('/stores') },
      { label: 'People: invite, roles, passwords', kind: 'go', go: () => void this.router.navigateByUrl('/people') },
      { label: 'Workshop: its papers, its ways, its meters', kind: 'go', go: () => void this.router.navigateByUrl('/workshop') },
      { label: this.theme.night() ? 'Day view' : 'Night view', kind: 'do', go: () => this.theme.toggle() },
      { label: 'Sign out', kind: 'do', go: () => this.signOut() },
    ];
  }

  private jobCommands(): StripCommand[] {
    const jobId = this.jobId();
    const a = this.assessments.assessment();
    if (!jobId || !a) return [];
    const go = (...way: string[]) => void this.router.navigate(['/jobs', jobId, ...way]);
    const sheets = SHEET_LIST.map(({ stage, path, name }): StripCommand => ({ label: `${stageName(stage)}: ${name}`, kind: 'sheet', go: () => go(stage, path) }));
    const runs = a.runs.map((r): StripCommand => ({ label: `Run ${r.spec.number}: ${r.spec.name}`, kind: 'run', go: () => (this.selection.run.set(r.spec.id), go('runs')) }));
    const loads = a.day.loads.map((l): StripCommand => ({ label: `Load: ${l.name}`, kind: 'load', go: () => (this.selection.load.set(l.id), go('loads')) }));
    const findings = a.open.map((f): StripCommand => ({ label: `Finding: ${inWords(f).say}`, kind: 'check', go: () => (this.selection.finding.set(f.key), go('checks')) }));
    const design = this.designs.openDesign();
    const drawn = (wish: { readonly show: string } | { readonly add: string }): void => (this.selection.supply.set(wish), go('supply', 'flow'));
    const boxOf = (thing: string): string => Object.keys(design.banks).find((b) => thing in design.banks[b]!.batteries) ?? thing;
    const things = rigRows(design, a).map((r): StripCommand => ({ label: `Supply: ${r.name}`, kind: 'thing', go: () => drawn({ show: boxOf(r.id) }) }));
    const shelf = shelfFor(design).map(({ words }): StripCommand => ({ label: `Add ${words}`, kind: 'do', go: () => drawn({ add: words }) }));
    const job = this.designs.job();
    const vehicles = job && isJoined(job) ? vehicleIds(job).map((id): StripCommand => ({ label: `Vehicle: ${vehicleName(job, id)}`, kind: 'show', go: () => this.designs.lookAt(id) })) : [];
    return [...vehicles, ...STAGE_LIST.map((s): StripCommand => ({ label: s.name, kind: 'stage', go: () => go(s.id) })), ...sheets, ...shelf, ...things, ...runs, ...loads, ...findings];
  }
}
