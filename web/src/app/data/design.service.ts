import type { HttpErrorResponse } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import {
  type Asked,
  catalogueOf,
  clean,
  coarse,
  type Design,
  doCommands,
  editDesign,
  inJob,
  isJoined,
  keepBought,
  OWN,
  type Patch,
  patchBetween,
  Session,
  tidy,
  vehicleIds,
  withVehicle,
} from '@meridex/core';
import { BehaviorSubject } from 'rxjs';
import { inWordsOf } from './asks-server';
import type { Revision } from './sync/clash';
import { KeptAnswers } from './sync/kept-answers';
import { type SyncEvent, SyncService } from './sync/sync.service';
import { there } from './there';
import { changedSince, type Step, UndoSteps } from './undo-steps';

/** An older revision of the job, as it was kept. */
export interface Past extends Revision {
  readonly author: string;
}

/** Opening a job waits this long for what is still to be sent, ms. */
const SEND_FIRST_MS = 4000;
const after = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * The open job's document: the only place where it is edited, seen one vehicle at a time. What is shown is the newest
 * revision that the server confirmed with the person's own unsent edits on it; an edit shows at once and is handed to the
 * sync service, which keeps and sends it.
 */
@Injectable({ providedIn: 'root' })
export class DesignService {
  private readonly sync = inject(SyncService);
  private readonly steps = inject(UndoSteps);
  private readonly session = new Session();
  private readonly kept = inject(KeptAnswers);
  private readonly document = new BehaviorSubject<Design | null>(null);
  private readonly confirmed = signal<Revision | null>(null);

  /** The whole job, and the vehicle of it that is looked at and edited. */
  readonly job$ = this.document.asObservable();
  readonly job = signal<Design | null>(null);
  readonly vehicle = signal<string>(OWN);
  /** That vehicle as a design of its own; of a job of one vehicle the job itself. */
  readonly design = signal<Design | null>(null);
  /** The same where a job is open, as it is wherever a stage is shown. */
  readonly openJob = computed(() => there(this.job(), 'job'));
  readonly openDesign = computed(() => there(this.design(), 'job'));
  /** What the address of a paper says of the vehicle. */
  readonly ofVehicle = computed(() => (this.vehicle() === OWN ? '' : `?vehicle=${encodeURIComponent(this.vehicle())}`));
  readonly jobId = signal<string | null>(null);
  readonly revision = computed(() => this.confirmed()?.number ?? 0);
  readonly keptAt = computed(() => (this.confirmed() ? new Date(this.confirmed()!.at) : null));
  readonly trouble = signal<string | null>(null);
  /** An older revision that is shown in place of the newest one; nothing can be changed meanwhile. */
  readonly past = signal<Past | null>(null);
  readonly undoLabel = this.steps.undoLabel;
  readonly redoLabel = this.steps.redoLabel;

  constructor() {
    this.sync.events$.subscribe((event) => {
      if (event.entry.jobId === this.jobId() && event.entry.kind === 'edit') this.heard(event);
    });
    // What others did meanwhile is read when the server answers again.
    this.kept.back$.subscribe(() => void this.readAgain());
  }

  /** Opens a job: the newest revision, with what this device still has to send. */
  async open(jobId: string): Promise<void> {
    if (this.jobId() === jobId && this.design()) return;
    this.close();
    this.jobId.set(jobId);
    void this.steps.open(jobId);
    await this.sync.takeOver();
    // What is sent first is part of the revision that is read, and what clashes is asked before it is shown.
    if (this.sync.ofJob(jobId).length) await Promise.race([this.sync.send(), after(SEND_FIRST_MS)]);
    const newest = await this.kept.get<Revision>(`/api/jobs/${jobId}/design`);
    if (this.jobId() !== jobId) return;
    this.standOn(newest);
  }

  /** Reads what others did meanwhile. */
  async readAgain(): Promise<void> {
    const jobId = this.jobId();
    if (!jobId) return;
    await this.sync.send();
    try {
      const newest = await this.kept.get<Revision>(`/api/jobs/${jobId}/design`);
      if (this.jobId() === jobId) this.standOn(newest);
    } catch (error) {
      this.trouble.set(`The job could not be read again: ${inWordsOf(error as HttpErrorResponse)}`);
    }
  }

  close(): void {
    this.steps.close();
    this.jobId.set(null);
    this.confirmed.set(null);
    this.vehicle.set(OWN);
    this.past.set(null);
    this.job.set(null);
    this.design.set(null);
    this.document.next(null);
    this.trouble.set(null);
  }

  /**
   * Changes the design. `label` says what changed ("length 6.2 to 6.4 m"); the same label's field within a second is
   * one step of undo; so are edits with the same `gesture`. Returns null, or what the schema has against it: then nothing changed.
   */
  edit(label: string, change: (draft: Design) => void, gesture: string | null = null): string | null {
    const job = this.job();
    if (!job) return 'No job is open.';
    if (this.past()) return this.refusePast();
    if (!isJoined(job)) return this.editJob(label, change, gesture);
    const edited = withVehicle(job, this.vehicle(), catalogueOf(job), (now) => {
      const draft = structuredClone(now);
      change(draft);
      tidy(draft);
      return { ok: true, design: draft };
    });
    return edited.ok ? this.editJob(label, (d) => Object.assign(d, edited.design), gesture) : edited.message;
  }

  /** Changes the job itself: its vehicles, and what joins them. */
  editJob(label: string, change: (draft: Design) => void, gesture: string | null = null): string | null {
    const before = this.job();
    if (!before) return 'No job is open.';
    if (this.past()) return this.refusePast();
    const draft = structuredClone(before);
    change(draft);
    tidy(draft);
    const wanted = clean(patchBetween(before, draft));
    if (!wanted.length) return null;
    const edited = editDesign(before, wanted);
    if (!edited.ok) return edited.message;
    const forward = coarse(wanted, before, edited.design);
    this.steps.add({ label, at: Date.now(), forward, back: patchBetween(edited.design, before), gesture });
    this.take(edited.design, forward, label);
    return null;
  }

  /** Makes an edit that is a patch already, as a finding's press is; undone like any other. */
  apply(label: string, patch: Patch): string | null {
    const before = this.design();
    if (!before) return 'No job is open.';
    const edited = editDesign(before, patch);
    if (!edited.ok) return edited.message;
    return this.edit(label, (d) => Object.assign(d, edited.design));
  }

  /** Commands as one step of undo; what they have against it, in words, or null. */
  command(label: string, ...asked: readonly Asked[]): string | null {
    const before = this.openDesign();
    const done = doCommands(before, asked);
    return done.ok ? this.apply(label, patchBetween(before, done.design)) : done.message;
  }

  /** Looks at another vehicle of the job. */
  lookAt(vehicle: string): void {
    const job = this.job();
    if (!job || this.vehicle() === vehicle || !vehicleIds(job).includes(vehicle)) return;
    this.vehicle.set(vehicle);
    this.show(job);
  }

  /** Shows an older revision, all stages of it, without changing anything. */
  lookBack(past: Past): void {
    this.past.set(past);
    this.show(past.design);
  }

  lookAtNow(): void {
    this.past.set(null);
    this.trouble.set(null);
    if (this.confirmed()) this.standOn(this.confirmed()!);
  }

  /** Makes an older revision the newest one again: an edit like any other, undone by one step. */
  bringBack({ number, design }: Past): string | null {
    this.lookAtNow();
    return this.editJob(`revision ${number} brought back`, (draft) => {
      const now = structuredClone(draft);
      for (const key of Object.keys(draft)) delete (draft as unknown as Record<string, unknown>)[key];
      Object.assign(draft, structuredClone(design));
      keepBought(draft, now);
    });
  }

  private refusePast(): string {
    const says = `You look at revision ${this.past()!.number}. Go back to now, or bring it back, before you change something.`;
    this.trouble.set(says);
    return says;
  }

  undo(): void {
    this.step('back');
  }

  redo(): void {
    this.step('forward');
  }

  private step(way: 'forward' | 'back'): void {
    const here = this.job();
    if (!here) return;
    if (this.past()) return void this.refusePast();
    this.steps.take(way, (step) => {
      const other = changedSince(here, way === 'back' ? step.forward : step.back);
      const edited = other ? { ok: false as const, message: `${other} was changed since` } : editDesign(here, step[way]);
      if (!edited.ok) {
        this.trouble.set(`“${step.label}” can no longer be ${way === 'back' ? 'taken back' : 'done again'}: ${edited.message}`);
        return false;
      }
      this.take(edited.design, coarse(step[way], here, edited.design), wordsOf(step, way));
      return true;
    });
  }

  private show(job: Design): void {
    if (!vehicleIds(job).includes(this.vehicle())) this.vehicle.set(OWN);
    this.job.set(job);
    this.design.set(inJob(job, this.vehicle(), catalogueOf(job), { session: this.session }));
    this.document.next(job);
  }

  private take(design: Design, patch: Patch, label: string): void {
    this.trouble.set(null);
    this.show(design);
    this.sync.edit(this.jobId()!, this.revision(), patch, label);
  }

  private heard(event: SyncEvent): void {
    if (event.what === 'kept') {
      const { merged, ...revision } = event.answer!;
      // Without others' work in it the answer is what is shown already.
      if (merged || !this.job() || revision.number < this.revision()) this.standOn(revision);
      else this.confirmed.set(revision);
    } else if (event.what === 'clash' || event.what === 'settled') this.standOn(event.newest);
    else if (this.confirmed()) this.standOn(this.confirmed()!);
  }

  /** Shows a revision with the person's own unsent edits on it; one that no longer fits waits for the server's word. */
  private standOn(revision: Revision): void {
    // What this browser saved meanwhile may be newer than an answer that was long on its way.
    const newest = (this.confirmed()?.number ?? 0) > revision.number ? this.confirmed()! : revision;
    this.confirmed.set(newest);
    if (this.past()) return;
    let design = newest.design;
    for (const { patch } of this.sync.editsOf(this.jobId()!)) {
      const edited = editDesign(design, patch);
      if (edited.ok) design = edited.design;
    }
    this.show(design);
  }
}

const wordsOf = (step: Step, way: 'forward' | 'back'): string => (way === 'back' ? `taken back: ${step.label}` : step.label);
