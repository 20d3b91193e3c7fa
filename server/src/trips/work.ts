import { addTallies, climateOf, emptyTally, jobOfDesign, readTally, runMany, catalogueOf, type Tally, type TripJob } from '@meridex/core';
import { setImmediate } from 'node:timers/promises';
import type { Database } from '../db/client.js';
import { designOf } from '../designs/of-vehicle.js';
import { revisionOf } from '../designs/store.js';
import type { Work } from '../queue/queue.js';
import { keepStopped, tripRun, tripsDone, type TripRun } from './store.js';

const SEED = 1;
const STEP_S = 60;
/** Days stepped in one go, so that the server goes on answering in between. */
const DAYS_AT_ONCE = 60;
/** Trips between two notes of progress. */
const NOTE_EVERY = 200;

/** Runs a whole tally, a piece at a time; `note` is told how far it is and ends it by false. */
async function inPieces(job: TripJob, trips: number, meanClearness: number, note: (done: number) => Promise<boolean>): Promise<{ readonly tally: Tally; readonly stopped: boolean }> {
  const piece = Math.max(1, Math.floor(DAYS_AT_ONCE / job.days));
  let tally = emptyTally(job.days);
  let noted = 0;
  for (let from = 0; from < trips; from += piece) {
    tally = addTallies(tally, runMany(job, { seed: SEED, from, to: Math.min(trips, from + piece), meanClearness }));
    if (tally.trips - noted >= NOTE_EVERY) {
      noted = tally.trips;
      if (!(await note(noted))) return { tally, stopped: true };
    } else await setImmediate();
  }
  return { tally, stopped: false };
}

async function design(db: Database, workshopId: string, run: TripRun) {
  return db.inWorkshop(workshopId, (tx) => revisionOf(tx, run.jobId, run.revision));
}

/** One run of many trips, taken from the queue; one that breaks is marked so, and the queue is told. */
export async function runTripsWork(db: Database, work: Work['trips']): Promise<void> {
  try {
    await workOff(db, work);
  } catch (error) {
    await db.inWorkshop(work.workshopId, (tx) => tripsDone(tx, work.runId, 0, { state: 'failed', result: null }));
    throw error;
  }
}

async function workOff(db: Database, { workshopId, runId }: Work['trips']): Promise<void> {
  const run = await db.inWorkshop(workshopId, (tx) => tripRun(tx, runId));
  if (!run || ['stopped', 'done', 'failed'].includes(run.state)) return;
  const revision = await design(db, workshopId, run);
  const of = revision && designOf(revision.design, run.vehicle);
  const job = of && jobOfDesign(of, catalogueOf(of), { stepS: STEP_S, oneByOne: run.oneByOne });
  if (!job) {
    await db.inWorkshop(workshopId, (tx) => tripsDone(tx, runId, 0, { state: 'failed', result: null }));
    return;
  }
  const { tally, stopped } = await inPieces(job, run.trips, climateOf(of.brief.trip).clearness, (done) => db.inWorkshop(workshopId, (tx) => tripsDone(tx, runId, done)));
  const result = readTally(tally);
  await db.inWorkshop(workshopId, async (tx) => {
    const kept = !stopped && (await tripsDone(tx, runId, tally.trips, { state: 'done', result }));
    if (!kept) await keepStopped(tx, runId, tally.trips, result);
  });
}
