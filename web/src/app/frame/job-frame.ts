import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked, viewChild } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { debounceTime, filter, map, startWith } from 'rxjs';
import { AssessmentService } from '../data/assessment.service';
import { CommentService } from '../data/comment.service';
import { DesignService } from '../data/design.service';
import { PhotoView } from '../photos/photo-view';
import { LiveService } from '../data/live.service';
import { PhotoService } from '../data/photo.service';
import { RecordService } from '../data/record.service';
import { SelectionService } from '../data/selection.service';
import { ThemeService } from '../data/theme.service';
import { isWide, STAGE_LIST } from './stages';
import { Strip } from './strip';
import { SyncBars } from './sync-bars';
import { TellTales } from './tell-tales';
import { Trunk } from './trunk';
import { VehicleTabs } from './vehicle-tabs';

const isTyping = (target: EventTarget | null): boolean => target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable);

/** An open job: strip, trunk, bench and tell-tales, and the keys that work everywhere in it. */
@Component({
  selector: 'mx-job-frame',
  imports: [DatePipe, RouterOutlet, Strip, SyncBars, Trunk, TellTales, VehicleTabs, NzModalModule, PhotoView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './job-frame.html',
  styleUrl: './job-frame.less',
})
export class JobFrame {
  readonly jobId = input.required<string>();
  protected readonly designs = inject(DesignService);
  protected readonly assessments = inject(AssessmentService);
  private readonly records = inject(RecordService);
  private readonly selection = inject(SelectionService);
  private readonly theme = inject(ThemeService);
  private readonly router = inject(Router);
  private readonly live = inject(LiveService);
  private readonly photos = inject(PhotoService);
  private readonly comments = inject(CommentService);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      startWith(null),
      map(() => this.router.url),
    ),
    { requireSync: true },
  );
  private readonly stage = computed(() => this.url().split(/[/?#]/)[3] ?? 'brief');
  protected readonly wide = computed(() => isWide(this.url()));
  private readonly strip = viewChild.required(Strip);
  protected readonly failed = signal<string | null>(null);
  protected readonly keysShown = signal(false);
  protected readonly keys: readonly (readonly [string, string])[] = [
    ['/', 'find or do'],
    ['1 – 9, 0', 'stages'],
    ['J  K', 'next, previous row'],
    ['F', 'next finding'],
    ['W', 'why this figure'],
    ['N', 'new row or job'],
    ['L', 'library of loads'],
    ['Enter  Esc', 'take, leave a field'],
    ['Ctrl Z  Ctrl Y', 'undo, redo'],
    ['D', 'day or night view'],
    ['?', 'this list'],
  ];

  /** Where one is, for those who are in the job too. */
  private readonly place = computed(() => {
    const stage = this.stage();
    const chosen = { runs: this.selection.run, protection: this.selection.run, loads: this.selection.load, checks: this.selection.finding, places: this.selection.gear, supply: this.selection.thing };
    return { stage, row: stage in chosen ? chosen[stage as keyof typeof chosen]() : null };
  });

  constructor() {
    toObservable(this.place)
      .pipe(debounceTime(300), takeUntilDestroyed())
      .subscribe(({ stage, row }) => this.live.at(stage, row));
    inject(DestroyRef).onDestroy(() => this.live.close());
    effect(() => {
      const jobId = this.jobId();
      // What opening reads must not open it again.
      untracked(() => void this.open(jobId));
    });
  }

  private async open(jobId: string): Promise<void> {
    this.failed.set(null);
    this.selection.run.set(null);
    try {
      await this.designs.open(jobId);
      await this.records.open(jobId);
      void this.photos.open(jobId);
      void this.comments.open(jobId);
      this.live.open(jobId);
    } catch (error) {
      const body = (error as { error?: { message?: string } }).error;
      this.failed.set(body?.message ?? 'The server does not answer, and this job was not opened on this device before. What was typed is kept here.');
    }
  }

  protected key(event: KeyboardEvent): void {
    const control = event.ctrlKey || event.metaKey;
    if (control && !isTyping(event.target) && ['z', 'y'].includes(event.key.toLowerCase())) {
      event.preventDefault();
      const redo = event.key.toLowerCase() === 'y' || event.shiftKey;
      if (redo) this.designs.redo();
      else this.designs.undo();
      return;
    }
    // Out of a field the keys belong to the bench again.
    if (event.key === 'Escape' && isTyping(event.target)) (event.target as HTMLElement).blur();
    if (control || event.altKey || isTyping(event.target)) return;
    const stage = STAGE_LIST.find((s) => s.key !== '' && s.key === event.key);
    if (stage) void this.router.navigate(['/jobs', this.jobId(), stage.id]);
    else if (event.key === '/') this.strip().focus();
    else if (event.key === '?') this.keysShown.set(true);
    else if (event.key === 'd') this.theme.toggle();
    else if (event.key === 'f') this.nextFinding();
    else return;
    event.preventDefault();
  }

  private nextFinding(): void {
    const open = this.assessments.assessment()?.open ?? [];
    if (!open.length) return;
    const here = open.findIndex((f) => f.key === this.selection.finding());
    this.selection.finding.set(open[(here + 1) % open.length]!.key);
    void this.router.navigate(['/jobs', this.jobId(), 'checks']);
  }
}
