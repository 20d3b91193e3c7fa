import { provideHttpClient } from '@angular/common/http';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { computed, provideZonelessChangeDetection, signal, type Type } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import {
  type Asked,
  type Assessment,
  assessIn,
  climateOf,
  DEMO_JOBS,
  type Design,
  doCommands,
  editDesign,
  inJob,
  jobOfDesign,
  type ManyTrips,
  OWN,
  type Patch,
  patchBetween,
  patchOfJob,
  readTally,
  runMany,
  catalogueOf,
  tidy,
  vehicleIds,
} from '@meridex/core';
import { en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { AssessmentService } from '../data/assessment.service';
import { DesignService } from '../data/design.service';
import { type LongRun, LongTripsService } from '../data/long-trips.service';
import { AnalysisService } from '../data/analysis.service';
import { RecordService, type Reading } from '../data/record.service';
import { there } from '../data/there';
import { TripsService } from '../data/trips.service';
import { answerAnalysis, type AnalysisAsk } from '../data/workers/answers';

/** A design in memory that is assessed at each edit: the real services' face, without worker and server. */
export class Bench {
  readonly job = signal<Design | null>(null);
  readonly vehicle = signal<string>(OWN);
  /** The vehicle that is looked at, as a design of its own. */
  readonly design = signal<Design | null>(null);
  readonly assessment = signal<Assessment | null>(null);
  readonly openJob = computed(() => there(this.job(), 'job'));
  readonly openDesign = computed(() => there(this.design(), 'job'));
  readonly openAssessment = computed(() => there(this.assessment(), 'job'));
  readonly before = signal<Assessment | null>(null);
  readonly trouble = signal<string | null>(null);
  readonly ofVehicle = computed(() => (this.vehicle() === OWN ? '' : `?vehicle=${this.vehicle()}`));
  readonly jobId = signal<string | null>('job-1');
  readonly revision = signal(7);
  readonly past = signal<{ readonly number: number } | null>(null);
  readonly keptAt = signal<Date | null>(new Date(new Date().setHours(14, 2, 0, 0)));
  readonly undoLabel = signal<string | null>(null);
  readonly redoLabel = signal<string | null>(null);
  readonly labels: string[] = [];
  readonly ticked = signal<ReadonlySet<string>>(new Set());
  readonly readings = signal<ReadonlyMap<string, Reading>>(new Map());
  readonly toSend = signal(0);

  constructor(design: Design) {
    this.show(design);
  }

  private show(job: Design): void {
    const values = Object.fromEntries([...this.readings()].map(([row, r]) => [row, r.value]));
    if (!vehicleIds(job).includes(this.vehicle())) this.vehicle.set(OWN);
    this.before.set(this.assessment());
    this.assessment.set(assessIn(job, this.vehicle(), catalogueOf(job), { readings: values }));
    this.job.set(job);
    this.design.set(inJob(job, this.vehicle(), catalogueOf(job)));
  }

  lookAt(vehicle: string): void {
    this.vehicle.set(vehicle);
    this.show(this.openJob());
  }

  edit(label: string, change: (draft: Design) => void, _gesture: string | null = null): string | null {
    const [job, before] = [this.openJob(), this.openDesign()];
    const draft = structuredClone(before);
    change(draft);
    const patch = patchOfJob(job, this.vehicle(), catalogueOf(job), patchBetween(before, draft));
    if (typeof patch === 'string') return patch;
    if (!patch.length) return null;
    const edited = editDesign(job, patch);
    return edited.ok ? this.editJob(label, (d) => Object.assign(d, edited.design)) : edited.message;
  }

  editJob(label: string, change: (draft: Design) => void): string | null {
    const draft = structuredClone(this.openJob());
    change(draft);
    tidy(draft);
    const edited = editDesign(this.openJob(), patchBetween(this.openJob(), draft));
    if (!edited.ok) return edited.message;
    this.labels.push(label);
    this.show(edited.design);
    return null;
  }

  apply(label: string, patch: Patch): string | null {
    const edited = editDesign(this.openDesign(), patch);
    return edited.ok ? this.edit(label, (d) => Object.assign(d, edited.design)) : edited.message;
  }

  command(label: string, ...asked: readonly Asked[]): string | null {
    const before = this.openDesign();
    const done = doCommands(before, asked);
    return done.ok ? this.apply(label, patchBetween(before, done.design)) : done.message;
  }

  tick(stepId: string, done: boolean): void {
    const next = new Set(this.ticked());
    if (done) next.add(stepId);
    else next.delete(stepId);
    this.ticked.set(next);
  }

  read(rowId: string, value: number, unit: string): void {
    this.readings.set(new Map(this.readings()).set(rowId, { id: rowId, rowId, value, unit, revision: 7 }));
    this.show(this.openJob());
  }

  close(): void {
    this.design.set(null);
  }
}

/** Answers like the worker's, at once and on the page. */
class AnalysisAtOnce {
  readonly trouble = signal<string | null>(null);
  readonly asked: AnalysisAsk['what'][] = [];

  ask(ask: AnalysisAsk): Promise<unknown> {
    this.asked.push(ask.what);
    return Promise.resolve(answerAnalysis(ask));
  }
}

/** A few trips, run at once. */
class TripsAtOnce {
  readonly wanted = signal(60);
  readonly progress = signal(0);
  readonly running = signal(false);
  readonly result = signal<ManyTrips | null>(null);
  readonly trouble = signal<string | null>(null);
  stopped = 0;

  run(design: Design, oneByOne: boolean): void {
    const job = jobOfDesign(design, catalogueOf(design), { stepS: 900, oneByOne });
    this.result.set(job && readTally(runMany(job, { seed: 1, from: 0, to: 60, meanClearness: climateOf(design.brief.trip).clearness })));
  }

  stop(): void {
    this.stopped++;
  }
}

/** No server behind it. */
class NoLongTrips {
  readonly run = signal<LongRun | null>(null);
  readonly trouble = signal<string | null>(null);
  readonly started: number[] = [];

  open(_jobId: string, _vehicle: string): Promise<void> {
    return Promise.resolve();
  }

  start(_jobId: string, _vehicle: string, trips: number): Promise<void> {
    this.started.push(trips);
    return Promise.resolve();
  }

  stop(): Promise<void> {
    return Promise.resolve();
  }
}

export interface OnBench<T> {
  readonly fixture: ComponentFixture<T>;
  readonly element: HTMLElement;
  readonly bench: Bench;
  settle(): Promise<void>;
  /** Types into an input as a person would, and leaves the rest to its listeners. */
  type(input: Element | null, text: string): Promise<void>;
  click(target: Element | null): Promise<void>;
  key(key: string): Promise<void>;
}

/** Mounts a component on a demo job. */
export async function onBench<T>(component: Type<T>, job: string, change: (d: Design) => void = () => undefined, inputs: Readonly<Record<string, unknown>> = {}): Promise<OnBench<T>> {
  const design = structuredClone(DEMO_JOBS.find((j) => j.key === job)!.design);
  change(design);
  const bench = new Bench(design);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideNzI18n(en_US),
      // Wherever a component leads, it stays where it is.
      provideRouter([{ path: '**', children: [] }]),
      provideHttpClient(),
      provideHttpClientTesting(),
      { provide: DesignService, useValue: bench },
      { provide: AssessmentService, useValue: bench },
      { provide: RecordService, useValue: bench },
      { provide: AnalysisService, useClass: AnalysisAtOnce },
      { provide: TripsService, useClass: TripsAtOnce },
      { provide: LongTripsService, useClass: NoLongTrips },
    ],
  });
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  const settle = async (): Promise<void> => void (await fixture.whenStable());
  return {
    fixture,
    element: fixture.nativeElement as HTMLElement,
    bench,
    settle,
    type: async (input, text) => {
      if (!(input instanceof HTMLInputElement || input instanceof HTMLTextAreaElement)) throw new Error('no field to type into');
      input.dispatchEvent(new Event('focus'));
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await settle();
    },
    click: async (target) => {
      if (!(target instanceof Element)) throw new Error('nothing to click');
      target.dispatchEvent(new MouseEvent('click', { bubbles: true }));
      await settle();
    },
    key: async (key) => {
      document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await settle();
    },
  };
}
