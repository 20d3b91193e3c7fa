import { computed, inject, Injectable, signal } from '@angular/core';
import { type Assessment, type Design, recordsOf } from '@meridex/core';
import { combineLatest } from 'rxjs';
import type { AssessReply, AssessRequest } from './workers/assess.worker';
import { DesignService } from './design.service';
import { RecordService } from './record.service';
import { there } from './there';

/** Sends the design to the worker and holds the newest assessment; while one is computed, only the newest edit waits. */
@Injectable({ providedIn: 'root' })
export class AssessmentService {
  private readonly designs = inject(DesignService);
  private readonly records = inject(RecordService);
  private readonly worker = new Worker(new URL('./workers/assess.worker', import.meta.url), { type: 'module' });
  private id = 0;
  private vehicle: string | null = null;
  private busy = false;
  private next: AssessRequest | null = null;

  readonly assessment = signal<Assessment | null>(null);
  /** The same where a job is open, as it is wherever a stage is shown. */
  readonly openAssessment = computed(() => there(this.assessment(), 'job'));
  /** The assessment before the last edit, for what moved. */
  readonly before = signal<Assessment | null>(null);
  readonly trouble = signal<string | null>(null);

  constructor() {
    this.worker.onmessage = ({ data }: MessageEvent<AssessReply>) => this.received(data);
    this.worker.onerror = (event) => {
      this.busy = false;
      this.trouble.set(`The figures could not be computed: ${event.message}`);
    };
    combineLatest([this.designs.job$, this.records.values$]).subscribe(([job, readings]) => this.ask(job, readings));
  }

  private ask(job: Design | null, readings: Readonly<Record<string, number>>): void {
    if (!job) {
      this.assessment.set(null);
      this.before.set(null);
      this.next = null;
      this.id++;
      return;
    }
    const vehicle = this.designs.vehicle();
    // Figures of one vehicle never stand beside the design of another.
    if (vehicle !== this.vehicle) {
      this.assessment.set(null);
      this.before.set(null);
      this.vehicle = vehicle;
    }
    this.next = { id: ++this.id, job, vehicle, readings: recordsOf(vehicle, readings) };
    this.send();
  }

  private send(): void {
    if (this.busy || !this.next) return;
    this.busy = true;
    this.worker.postMessage(this.next);
    this.next = null;
  }

  private received(reply: AssessReply): void {
    this.busy = false;
    if (reply.id === this.id) {
      this.before.set(this.assessment());
      this.assessment.set(reply.assessment);
      this.trouble.set(null);
    }
    this.send();
  }
}
