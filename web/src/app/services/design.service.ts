import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { computed, inject, Injectable, signal, type WritableSignal } from '@angular/core';
import { catalogueOf, type Design, editDesign, inJob, isJoined, OWN, type Patch, patchBetween, patchOfJob, tidy, vehicleIds } from '@meridex/core';
import { BehaviorSubject, firstValueFrom } from 'rxjs';
import { keepOutbox, type Outbox, readOutbox } from './outbox';

/** One step of undo: what was done in words, and the patches there and back. */
interface Step {
  readonly label: string;
  readonly at: number;
  readonly forward: Patch;
  readonly back: Patch;
  /** Edits of one gesture (a drag) have one name, and are one step of undo. */
  readonly gesture: string | null;
}

export interface Clash {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

interface RevisionMessage {
  readonly number: number;
  readonly design: Design;
  readonly author: string;
  readonly at: string;
}

/** Edits of one field within this time are one step of undo, ms. */
const SAME_STEP_MS = 1200;
const SEND_AFTER_MS = 500;
const TRY_AGAIN_MS = 4000;

/**
 * The open job's document: the only place where it is edited, seen one vehicle at a time. An edit shows at once, is kept in the browser, and goes to
 * the server as a patch on the revision it was made on.
 */
@Injectable({ providedIn: 'root' })
export class DesignService {
  private readonly http = inject(HttpClient);
  private readonly document = new BehaviorSubject<Design | null>(null);
  private readonly undoSteps = signal<readonly Step[]>([]);
  private readonly redoSteps = signal<readonly Step[]>([]);
  private timer: ReturnType<typeof setTimeout> | null = null;
  private sending = false;
  private box: Outbox | null = null;

  /** The whole job, and the vehicle of it that is looked at and edited. */
  readonly job$ = this.document.asObservable();
  readonly job = signal<Design | null>(null);
  readonly vehicle = signal<string>(OWN);
  /** That vehicle as a design of its own; of a job of one vehicle the job itself. */
  readonly design = signal<Design | null>(null);
  /** What the address of a paper says of the vehicle. */
  readonly ofVehicle = computed(() => (this.vehicle() === OWN ? '' : `?vehicle=${encodeURIComponent(this.vehicle())}`));
  readonly jobId = signal<string | null>(null);
  readonly revision = signal(0);
  readonly keptAt = signal<Date | null>(null);
  readonly waiting = signal(0);
  readonly offline = signal(false);
  readonly trouble = signal<string | null>(null);
  readonly clashes = signal<readonly Clash[]>([]);
  readonly undoLabel = computed(() => this.undoSteps().at(-1)?.label ?? null);
  readonly redoLabel = computed(() => this.redoSteps().at(-1)?.label ?? null);

  /** Opens a job: the newest revision, with what this browser still has to send. */
  async open(jobId: string): Promise<void> {
    if (this.jobId() === jobId && this.design()) return;
    this.close();
    this.jobId.set(jobId);
    const left = readOutbox(jobId);
    const sent = left ? await this.sendLeft(jobId, left) : true;
    const newest = await firstValueFrom(this.http.get<RevisionMessage>(`/api/jobs/${jobId}/design`));
    if (this.jobId() !== jobId) return;
    this.revision.set(newest.number);
    this.keptAt.set(new Date(newest.at));
    this.show(newest.design);
    const patch = left ? (sent ? left.behind : [...left.patch, ...left.behind]) : [];
    this.setBox(null);
    if (!patch.length) return;
    const edited = editDesign(newest.design, patch);
    if (edited.ok) this.take(edited.design, patch);
    else this.trouble.set(`What this browser still had to send no longer fits: ${edited.message}`);
  }

  /** Sends what an earlier visit left behind, under its own id, so that what had arrived is not kept twice. */
  private async sendLeft(jobId: string, left: Outbox): Promise<boolean> {
    try {
      await firstValueFrom(this.http.post(`/api/jobs/${jobId}/revisions`, { base: left.base, patch: left.patch, clientId: left.clientId }));
      return true;
    } catch {
      return false;
    }
  }

  close(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.box = null;
    this.jobId.set(null);
    this.vehicle.set(OWN);
    this.job.set(null);
    this.design.set(null);
    this.document.next(null);
    this.undoSteps.set([]);
    this.redoSteps.set([]);
    this.waiting.set(0);
    this.trouble.set(null);
    this.clashes.set([]);
  }

  /**
   * Changes the design. `label` says what changed ("length 6.2 to 6.4 m"); the same label's field within a second is
   * one step of undo; so are edits with the same `gesture`. Returns null, or what the schema has against it: then nothing changed.
   */
  edit(label: string, change: (draft: Design) => void, gesture: string | null = null): string | null {
    const [job, shown] = [this.job(), this.design()];
    if (!job || !shown) return 'No job is open.';
    if (!isJoined(job)) return this.editJob(label, change, gesture);
    const draft = structuredClone(shown);
    change(draft);
    tidy(draft);
    const patch = patchOfJob(job, this.vehicle(), catalogueOf(job), patchBetween(shown, draft));
    if (typeof patch === 'string') return patch;
    if (!patch.length) return null;
    const edited = editDesign(job, patch);
    return edited.ok ? this.editJob(label, (d) => Object.assign(d, edited.design), gesture) : edited.message;
  }

  /** Changes the job itself: its vehicles, and what joins them. */
  editJob(label: string, change: (draft: Design) => void, gesture: string | null = null): string | null {
    const before = this.job();
    if (!before) return 'No job is open.';
    const draft = structuredClone(before);
    change(draft);
    tidy(draft);
    const forward = patchBetween(before, draft);
    if (!forward.length) return null;
    const edited = editDesign(before, forward);
    if (!edited.ok) return edited.message;
    this.remember({ label, at: Date.now(), forward, back: patchBetween(edited.design, before), gesture });
    this.redoSteps.set([]);
    this.take(edited.design, forward);
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

  /** Looks at another vehicle of the job. */
  lookAt(vehicle: string): void {
    const job = this.job();
    if (!job || this.vehicle() === vehicle || !vehicleIds(job).includes(vehicle)) return;
    this.vehicle.set(vehicle);
    this.show(job);
  }

  undo(): void {
    this.step(this.undoSteps, this.redoSteps, 'back');
  }

  redo(): void {
    this.step(this.redoSteps, this.undoSteps, 'forward');
  }

  /** Ends a clash: with `mine` the person's values are put on top of the newest revision, else the others' stay. */
  settleClash(mine: boolean): void {
    const patch = this.box?.patch ?? [];
    this.clashes.set([]);
    this.setBox(null);
    if (!mine) return;
    const here = this.job();
    if (!here) return;
    const edited = editDesign(here, patch);
    if (edited.ok) this.take(edited.design, patch);
    else this.trouble.set(edited.message);
  }

  private step(from: WritableSignal<readonly Step[]>, to: WritableSignal<readonly Step[]>, way: 'forward' | 'back'): void {
    const step = from().at(-1);
    const here = this.job();
    if (!step || !here) return;
    from.update((s) => s.slice(0, -1));
    const edited = editDesign(here, step[way]);
    if (!edited.ok) {
      this.trouble.set(`“${step.label}” can no longer be taken back: ${edited.message}`);
      return;
    }
    to.update((s) => [...s, step]);
    this.take(edited.design, step[way]);
  }

  private remember(step: Step): void {
    this.undoSteps.update((steps) => {
      const last = steps.at(-1);
      if (last && step.gesture && last.gesture === step.gesture) return [...steps.slice(0, -1), { ...step, forward: [...last.forward, ...step.forward], back: [...step.back, ...last.back] }];
      const sameField = last !== undefined && step.at - last.at < SAME_STEP_MS && last.forward.map((o) => o.path).join() === step.forward.map((o) => o.path).join();
      return sameField ? [...steps.slice(0, -1), { ...step, back: last.back }] : [...steps.slice(-99), step];
    });
  }

  private show(job: Design): void {
    if (!vehicleIds(job).includes(this.vehicle())) this.vehicle.set(OWN);
    this.job.set(job);
    this.design.set(inJob(job, this.vehicle(), catalogueOf(job)));
    this.document.next(job);
  }

  private take(design: Design, patch: Patch): void {
    this.show(design);
    const box = this.box;
    // What is on its way keeps its own id; the rest waits behind it.
    if (box && this.sending) this.setBox({ ...box, behind: [...box.behind, ...patch], edits: box.edits + 1 });
    else this.setBox({ base: box?.base ?? this.revision(), patch: [...(box?.patch ?? []), ...patch], clientId: crypto.randomUUID(), edits: (box?.edits ?? 0) + 1, behind: [] });
    this.sendSoon(SEND_AFTER_MS);
  }

  private setBox(box: Outbox | null): void {
    this.box = box;
    this.waiting.set(box?.edits ?? 0);
    const jobId = this.jobId();
    if (jobId) keepOutbox(jobId, box);
  }

  private sendSoon(ms: number): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.send(), ms);
  }

  private async send(): Promise<void> {
    const jobId = this.jobId();
    if (!jobId || !this.box || this.sending || this.clashes().length) return;
    const { base, patch, clientId } = this.box;
    this.sending = true;
    try {
      const kept = await firstValueFrom(this.http.post<{ number: number; at: string; merged: boolean; design: Design }>(`/api/jobs/${jobId}/revisions`, { base, patch, clientId }));
      this.sending = false;
      if (this.jobId() === jobId) this.confirmed(kept);
    } catch (error) {
      this.sending = false;
      if (this.jobId() === jobId) this.refused(error as HttpErrorResponse);
    }
  }

  private confirmed(kept: { number: number; at: string; merged: boolean; design: Design }): void {
    this.offline.set(false);
    this.trouble.set(null);
    this.revision.set(kept.number);
    this.keptAt.set(new Date(kept.at));
    const rest = this.box?.behind ?? [];
    if (kept.merged) {
      const edited = rest.length ? editDesign(kept.design, rest) : null;
      this.show(edited?.ok ? edited.design : kept.design);
    }
    this.setBox(rest.length ? { base: kept.number, patch: rest, clientId: crypto.randomUUID(), edits: 1, behind: [] } : null);
    if (rest.length) this.sendSoon(0);
  }

  private refused(error: HttpErrorResponse): void {
    const body = error.error as { message?: string; clashes?: Clash[]; newest?: RevisionMessage } | null;
    const all = [...(this.box?.patch ?? []), ...(this.box?.behind ?? [])];
    if (error.status === 409 && body?.newest) {
      this.setBox({ base: body.newest.number, patch: all, clientId: crypto.randomUUID(), edits: this.box?.edits ?? 1, behind: [] });
      this.revision.set(body.newest.number);
      this.show(body.newest.design);
      this.clashes.set(body.clashes ?? []);
      return;
    }
    if (error.status === 0 || error.status >= 500 || error.status === 401 || error.status === 429) {
      this.offline.set(true);
      this.sendSoon(TRY_AGAIN_MS);
      return;
    }
    this.trouble.set(body?.message ?? 'The server did not take the last edit.');
    this.setBox(null);
  }
}
