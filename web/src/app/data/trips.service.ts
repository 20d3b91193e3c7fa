import { Injectable, signal } from '@angular/core';
import { addTallies, climateOf, type Design, jobOfDesign, type ManyTrips, readTally, catalogueOf, type Tally } from '@meridex/core';
import type { TripsReply, TripsRequest } from './workers/trips.worker';

/** As many workers as a small machine has cores. */
const WORKERS = 2;
const SEED = 1;
export const TRIPS = 1000;

/** Runs many trips of a design in drawn weather, shared out to workers; a newer design or a stop ends what runs. */
@Injectable({ providedIn: 'root' })
export class TripsService {
  private workers: Worker[] = [];
  private id = 0;
  private readonly done = new Map<number, number>();
  private readonly tallies: Tally[] = [];
  readonly wanted = signal(TRIPS);
  readonly progress = signal(0);
  readonly running = signal(false);
  readonly result = signal<ManyTrips | null>(null);
  readonly trouble = signal<string | null>(null);

  run(design: Design, oneByOne: boolean, trips = TRIPS): void {
    const job = jobOfDesign(design, catalogueOf(design), { stepS: 60, oneByOne });
    this.id++;
    this.done.clear();
    this.tallies.length = 0;
    this.progress.set(0);
    this.wanted.set(trips);
    if (!job) {
      this.running.set(false);
      this.result.set(null);
      return;
    }
    this.running.set(true);
    const share = Math.ceil(trips / WORKERS);
    const { clearness } = climateOf(design.brief.trip);
    this.crew().forEach((worker, w) => {
      const request: TripsRequest = { id: this.id, job, seed: SEED, from: w * share, to: Math.min(trips, (w + 1) * share), meanClearness: clearness };
      worker.postMessage(request);
    });
  }

  /** Ends the run with what is done; its result stands for as many trips as it has. */
  stop(): void {
    for (const worker of this.workers) worker.postMessage(-1);
  }

  private crew(): readonly Worker[] {
    if (!this.workers.length) {
      this.workers = Array.from({ length: WORKERS }, (_, w) => {
        const worker = new Worker(new URL('./workers/trips.worker', import.meta.url), { type: 'module' });
        worker.onmessage = ({ data }: MessageEvent<TripsReply>) => this.received(w, data);
        worker.onerror = (event) => {
          this.running.set(false);
          this.trouble.set(`The trips could not be run: ${event.message}`);
        };
        return worker;
      });
    }
    return this.workers;
  }

  private received(worker: number, reply: TripsReply): void {
    if (reply.id !== this.id) return;
    if ('done' in reply) {
      this.done.set(worker, reply.done);
      this.progress.set([...this.done.values()].reduce((a, b) => a + b, 0));
      return;
    }
    this.tallies.push(reply.tally);
    if (this.tallies.length < WORKERS) return;
    const all = this.tallies.reduce(addTallies);
    this.running.set(false);
    this.trouble.set(null);
    if (all.trips) this.result.set(readTally(all));
  }
}
