import { DatePipe, formatDate } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { mayNot } from '@meridex/contract';
import { type Block, type CalendarPlan, type PlannedJob, type Saving, type ShopWeek, USUAL_JOB } from '@meridex/core';
import { isoDay } from '../../ui/iso-day';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { AnalysisService } from '../../data/analysis.service';
import { DesignService } from '../../data/design.service';
import { type JobLine, JobsService } from '../../data/jobs.service';
import { NOW } from '../../data/now';
import { saveFile } from '../../data/save-file';
import { SessionService } from '../../data/session.service';
import { WeekService } from '../../data/week.service';
import { WeekJobFields } from './job-fields';
import { ShopFields } from './shop-fields';
import { calendarFile } from './calendar-file';
import { type PutDown, WeekBoard } from './week-board';
import { isPlanned, mayStand, planFrom, shopJobOf } from './week-jobs';

/** What is still being worked out is asked for again, ms. */
const ASK_AGAIN_MS = 300;

/** The bay's week: which job stands where on which day and with whom, what will be late, and what would save it. */
@Component({
  selector: 'mx-week',
  imports: [DatePipe, RouterLink, Strip, SyncBars, ShopFields, WeekBoard, WeekJobFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './week.html',
  styleUrl: './week.less',
})
export class WeekPage {
  private readonly jobs = inject(JobsService);
  private readonly analysis = inject(AnalysisService);
  private readonly session = inject(SessionService);
  protected readonly weeks = inject(WeekService);
  private readonly now = inject(NOW)();
  protected readonly today = isoDay(this.now);
  private readonly from = planFrom(this.now);
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'settle jobs'));
  private readonly lines = signal<readonly JobLine[]>([]);
  protected readonly says = signal<string | null>(null);
  protected readonly chosen = signal<string | null>(null);
  protected readonly plan = signal<CalendarPlan | null>(null);
  protected readonly savings = signal<readonly Saving[]>([]);
  protected readonly busy = signal(true);
  private readonly standing = computed(() => mayStand(this.lines()));
  private readonly planned = computed(() => {
    const week = this.weeks.week();
    return week ? this.standing().filter((l) => isPlanned(l, week)) : [];
  });
  protected readonly beside = computed(() => this.standing().filter((l) => !this.planned().includes(l)));
  protected readonly names = computed(() => new Map(this.lines().map((l) => [l.id, l.customer])));
  protected readonly promised = computed(() => new Map(this.lines().map((l) => [l.id, l.promisedOn])));
  protected readonly people = computed(() => new Map((this.weeks.week()?.people ?? []).map((p) => [p.id, p.name])));
  protected readonly job = computed(() => this.planned().find((l) => l.id === this.chosen()) ?? null);
  protected readonly said = computed((): PlannedJob => this.weeks.week()?.jobs[this.chosen() ?? ''] ?? USUAL_JOB);
  protected readonly left = computed(() => this.planned().filter((l) => this.plan()?.left.includes(l.id)));
  /** A licensed electrician is wanted, and no day of his is known. */
  protected readonly unlicensed = computed(() => this.planned().some((l) => l.licensed) && !this.weeks.week()?.licensedOn.some((d) => d >= this.today));
  /** The answer, in words. */
  protected readonly sum = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    if (plan.clash?.error === 'fixed-clash') return 'What is promised cannot all be kept: let the plan choose for one of them';
    const [late, left] = [plan.blocks.filter((b) => b.late > 0).length, plan.left.length];
    if (!plan.blocks.length && !left) return 'no job is in the plan yet';
    const bad = [...(late ? [`${late} late`] : []), ...(left ? [`${left} without a place`] : [])];
    return `${plan.blocks.length} ${plan.blocks.length === 1 ? 'job' : 'jobs'} · ${bad.length ? bad.join(', ') : 'every promised day is kept'}${plan.proved ? '' : ' · a better plan may exist'}`;
  });

  constructor() {
    inject(DesignService).close();
    void this.weeks.read();
    this.read();
    effect(() => {
      const [week, lines] = [this.weeks.week(), this.planned()];
      if (!week) return;
      this.busy.set(true);
      void this.analysis.ask({ what: 'week', week, jobs: lines.map(shopJobOf), from: this.from }).then((answer) => {
        if (this.weeks.week() !== week || this.planned() !== lines) return;
        this.busy.set(false);
        this.says.set(answer ? null : this.analysis.trouble());
        if (!answer) return;
        this.plan.set(answer.plan);
        this.savings.set(answer.savings);
      });
    });
  }

  private read(): void {
    this.jobs.all().subscribe({
      next: (bay) => {
        this.lines.set(bay.lines);
        if (bay.pending) setTimeout(() => this.read(), ASK_AGAIN_MS);
      },
      error: () => this.says.set('The jobs could not be read: the server does not answer.'),
    });
  }

  protected shop(change: Partial<ShopWeek>): void {
    const week = this.weeks.week();
    if (week) this.weeks.change({ ...week, ...change });
  }

  protected say(id: string, change: Partial<PlannedJob>): void {
    const jobs = this.weeks.week()?.jobs ?? {};
    this.shop({ jobs: { ...jobs, [id]: { ...(jobs[id] ?? USUAL_JOB), ...change } } });
  }

  protected put({ job, bay, on, half }: PutDown): void {
    this.chosen.set(job);
    this.say(job, { fixed: { bay, on, half } });
  }

  protected take(saving: Saving): void {
    this.weeks.change(saving.week);
  }

  /** The plan for the calendars that people carry. */
  protected calendar(): void {
    const plan = this.plan();
    if (!plan) return;
    const words = { customer: (id: string) => this.names().get(id) ?? '', person: (id: string) => this.people().get(id) ?? '' };
    saveFile(`bay-week-${plan.days[0] ?? this.today}.ics`, [calendarFile(plan, words)], 'text/calendar');
  }

  private blockOf(id: string): Block | undefined {
    return this.plan()?.blocks.find((b) => b.job === id);
  }

  /** Where the plan has a job. */
  protected placeOf(id: string): PlannedJob['fixed'] {
    const [b, plan] = [this.blockOf(id), this.plan()];
    return b && plan ? { bay: b.bay, on: plan.days[Math.floor(b.start / 2)]!, half: (b.start % 2) as 0 | 1 } : null;
  }

  protected standsAs(id: string): string {
    const [b, plan] = [this.blockOf(id), this.plan()];
    if (!b || !plan) return 'It finds no place in these days.';
    const last = b.start + b.halfDays - 1;
    const end = `${formatDate(plan.days[Math.floor(last / 2)]!, 'EEE d MMM', 'en')}, ${last % 2 ? 'afternoon' : 'midday'}`;
    return `${this.people().get(b.person)} does it; ready ${end}${b.late ? `: ${b.late / 2} days late` : ''}.`;
  }

  /** What a saving is, in words. */
  protected wordsOf({ what, on, left, lateness }: Saving): string {
    const then = left || lateness ? 'helps, not all is kept' : 'every promised day is kept';
    const day = (): string => formatDate(on, 'EEE d MMM', 'en');
    switch (what) {
      case 'a Saturday':
        return `Work on ${day()}: ${then}`;
      case 'parts today':
        return `Have the parts of ${this.names().get(on)} today: ${then}`;
      case 'the electrician':
        return `Have the licensed electrician on ${day()}: ${then}`;
      case 'one more person':
        return `One more pair of hands: ${then}`;
    }
  }
}
