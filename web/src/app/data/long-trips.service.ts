import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { ManyTrips } from '@meridex/core';
import { EMPTY, filter, firstValueFrom, map, of, switchMap, takeWhile, timer } from 'rxjs';
import { catchError } from 'rxjs/operators';

/** A run of many trips on the server. */
export interface LongRun {
  readonly id: string;
  readonly revision: number;
  readonly trips: number;
  readonly state: 'waiting' | 'running' | 'done' | 'stopped' | 'failed';
  readonly done: number;
  readonly result: ManyTrips | null;
}

const LOOK_EVERY_MS = 700;
const isOver = (r: LongRun): boolean => r.state === 'done' || r.state === 'failed' || (r.state === 'stopped' && r.result !== null);

/** Asks the server for many trips, follows them, and stops them. */
@Injectable({ providedIn: 'root' })
export class LongTripsService {
  private readonly http = inject(HttpClient);
  readonly run = signal<LongRun | null>(null);
  readonly trouble = signal<string | null>(null);

  /** The newest run of a vehicle of a job, followed while it is under way. */
  async open(jobId: string, vehicle: string): Promise<void> {
    this.run.set(null);
    const newest = await firstValueFrom(this.http.get<LongRun | null>(`/api/jobs/${jobId}/trips`, { params: { vehicle } }).pipe(catchError(() => of(null))));
    this.run.set(newest);
    if (newest && !isOver(newest)) this.follow(newest.id);
  }

  async start(jobId: string, vehicle: string, trips: number, oneByOne: boolean): Promise<void> {
    try {
      const run = await firstValueFrom(this.http.post<LongRun>(`/api/jobs/${jobId}/trips`, { trips, oneByOne, vehicle }));
      this.trouble.set(null);
      this.run.set(run);
      this.follow(run.id);
    } catch (error) {
      this.trouble.set((error as HttpErrorResponse).error?.message ?? 'The server cannot be reached; the trips of this page run without it.');
    }
  }

  async stop(): Promise<void> {
    const run = this.run();
    if (!run) return;
    try {
      await firstValueFrom(this.http.post(`/api/trips/${run.id}/stop`, {}));
      this.trouble.set(null);
    } catch {
      this.trouble.set('The server cannot be reached: its trips may still be running. Try again.');
    }
  }

  private follow(id: string): void {
    timer(LOOK_EVERY_MS, LOOK_EVERY_MS)
      .pipe(
        switchMap(() => this.http.get<LongRun>(`/api/trips/${id}`).pipe(catchError(() => EMPTY))),
        takeWhile((r) => !isOver(r), true),
        map((r) => (this.run()?.id === id ? r : null)),
        filter((r): r is LongRun => r !== null),
      )
      .subscribe((r) => this.run.set(r));
  }
}
