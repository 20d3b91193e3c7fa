import { DatePipe } from '@angular/common';
import { type HttpErrorResponse } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { JOB_STATES, type JobState, type SettleJob } from '@meridex/contract';
import { isOut } from '@meridex/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { NzSelectModule } from 'ng-zorro-antd/select';
import { NamedSelect } from '../../ui/named-select';
import { Strip } from '../../frame/strip';
import { SyncBars } from '../../frame/sync-bars';
import { Mark } from '../../pictures/mark';
import { MiniTrunk } from '../../pictures/mini-trunk';
import { DesignService } from '../../data/design.service';
import { type Bay, JobsService, type JobLine } from '../../data/jobs.service';
import { fileName, saveFile } from '../../data/save-file';
import { inWordsOf } from '../../data/asks-server';
import { TakeAlong } from '../../data/take-along.service';
import { isoDay } from '../../ui/iso-day';
import { NewJob } from './new-job';

/** What is still being worked out is asked for again, ms. */
const ASK_AGAIN_MS = 300;
const DAY_MS = 86_400_000;

/** Home: the workshop's jobs by promised day, what holds each up, and the next thing to do. */
@Component({
  selector: 'mx-bay-sheet',
  imports: [Strip, SyncBars, RouterLink, DatePipe, FormsModule, NzModalModule, NzInputModule, NzDatePickerModule, NzSelectModule, NamedSelect, Mark, MiniTrunk, NewJob],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './bay-sheet.html',
  styleUrl: './bay-sheet.less',
})
export class BaySheet {
  private readonly jobs = inject(JobsService);
  private readonly router = inject(Router);
  protected readonly along = inject(TakeAlong);
  protected readonly bay = signal<Bay | null>(null);
  protected readonly find = signal('');
  protected readonly showClosed = signal(false);
  /** Templates are no jobs: they are looked at by themselves. */
  protected readonly showTemplates = signal(false);
  protected readonly templates = computed(() => (this.bay()?.lines ?? []).filter((l) => l.state === 'template').length);
  /** What is closed stands aside until it is asked for. */
  protected readonly closed = computed(() => (this.bay()?.lines ?? []).filter((l) => l.state === 'closed').length);
  protected readonly lines = computed(() => {
    const words = this.find().toLowerCase().split(/\s+/).filter(Boolean);
    const all = this.bay()?.lines.filter((l) => (this.showClosed() || l.state !== 'closed') && (l.state === 'template') === this.showTemplates());
    return all?.filter((l) => words.every((w) => `${l.customer} ${l.vehicle} ${l.plate} ${l.state} ${l.note}`.toLowerCase().includes(w))) ?? null;
  });
  protected readonly out = isOut;
  protected readonly states = JOB_STATES;
  /** The job whose state and day are being set. */
  protected readonly settling = signal<JobLine | null>(null);
  protected readonly state = signal<JobState>('planning');
  protected readonly day = signal<Date | null>(null);
  protected readonly note = signal('');
  protected readonly says = signal<string | null>(null);
  protected readonly newJob = viewChild(NewJob);
  protected readonly asking = signal(false);
  /** The job that a new one begins as a copy of. */
  protected readonly like = signal<string | null>(null);
  protected readonly removed = signal<JobLine | null>(null);
  protected readonly showDeleted = signal(false);
  protected readonly refused = signal<string | null>(null);
  protected readonly row = signal(-1);
  protected readonly today = isoDay(new Date());
  protected readonly summary = computed(() => {
    const lines = this.lines() ?? [];
    if (this.showTemplates()) return `${lines.length} ${lines.length === 1 ? 'template' : 'templates'} that new jobs begin from`;
    const week = isoDay(new Date(Date.now() + 7 * DAY_MS));
    const soon = lines.filter((l) => l.promisedOn !== null && l.promisedOn >= this.today && l.promisedOn <= week).length;
    const held = lines.filter((l) => l.hold.mark === 'stop').length;
    return `${lines.length} ${lines.length === 1 ? 'job' : 'jobs'} · ${soon} promised within a week · ${held} held up`;
  });

  constructor() {
    inject(DesignService).close();
    this.read();
  }

  private read(): void {
    this.jobs.all().subscribe({
      next: (bay) => {
        this.bay.set(bay);
        if (bay.pending) setTimeout(() => this.read(), ASK_AGAIN_MS);
      },
      error: () => this.says.set('The jobs could not be read: the server does not answer.'),
    });
  }

  protected settle(line: JobLine): void {
    this.state.set(JOB_STATES.find((s) => s === line.state) ?? 'planning');
    this.day.set(line.promisedOn === null ? null : new Date(`${line.promisedOn}T12:00:00`));
    this.note.set(line.note);
    this.refused.set(null);
    this.settling.set(line);
  }

  protected settled(): void {
    const [line, day] = [this.settling(), this.day()];
    if (!line) return;
    this.change(line.id, { state: this.state(), promisedOn: day ? isoDay(day) : null, note: this.note() }, () => undefined);
  }

  /** Keeps what is shown on this device, the next promised first. */
  protected takeAlong(): void {
    void this.along.take((this.lines() ?? []).map((l) => l.id));
  }

  protected ask(like: string | null = null): void {
    this.like.set(like);
    this.refused.set(null);
    this.asking.set(true);
  }

  protected openNew({ id, empty }: { readonly id: string; readonly empty: boolean }): void {
    void this.router.navigate(['/jobs', id, 'brief', empty ? 'talk' : 'vehicle']);
  }

  protected copy(line: JobLine): void {
    this.settling.set(null);
    this.ask(line.id);
  }

  protected save(line: JobLine): void {
    this.jobs.file(line.id).then(
      (text) => saveFile(fileName(line.customer, 'job.json'), [text], 'application/json'),
      (error: HttpErrorResponse) => this.refused.set(inWordsOf(error)),
    );
  }

  protected remove(line: JobLine): void {
    this.change(line.id, { deleted: true }, () => this.removed.set(line));
  }

  protected takeBack(id: string): void {
    this.change(id, { deleted: false }, () => this.removed.set(null));
  }

  private change(id: string, change: SettleJob, done: () => void): void {
    this.jobs.settle(id, change).subscribe({
      next: () => {
        this.settling.set(null);
        done();
        this.read();
      },
      error: (error: HttpErrorResponse) => {
        if (this.settling()) this.refused.set(inWordsOf(error));
        else this.says.set(inWordsOf(error));
      },
    });
  }

  protected key(event: KeyboardEvent): void {
    if (event.target instanceof HTMLElement && event.target.matches('input, textarea')) return;
    if (this.asking() || this.settling() || event.ctrlKey || event.metaKey || event.altKey) return;
    const lines = this.lines() ?? [];
    if (event.key === 'n') this.ask();
    else if (event.key === 'j') this.row.update((r) => Math.min(lines.length - 1, r + 1));
    else if (event.key === 'k') this.row.update((r) => Math.max(0, r - 1));
    else if (event.key === 'Enter' && lines[this.row()] && !(event.target instanceof HTMLAnchorElement)) this.open(lines[this.row()]!);
    else return;
    event.preventDefault();
  }

  protected open(line: JobLine): void {
    void this.router.navigate(['/jobs', line.id, line.next.stage]);
  }
}
