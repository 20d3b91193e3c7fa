import type { Catalogue } from '../catalogue/index.js';
import { isJoined, type Design } from '../design/index.js';
import { spanHours } from '../loads/index.js';
import { inSession, memoizeFor, Session } from '../quantity/index.js';
import { simulateJoined } from './joined.js';
import { onTheBall } from './drawbar.js';
import { besideInBody, keeping } from './in-body.js';
import { leadHours, leadsIn, reached } from './views.js';

/** Trips of all banks together, which stay while gear is dragged or a length is typed. */
const tripOf = inSession(() =>
  memoizeFor(
    4,
    (job: Design) => JSON.stringify(job, (key, value: unknown) => (key === 'places' || key === 'runs' || key === 'accepted' || key === 'plugs' ? undefined : value)),
    (catalogue: Catalogue, job) => simulateJoined(job, catalogue),
  ),
);

/** The trip of a job's banks together; null while there is no bank. */
export const joinedTripOf = (job: Design, catalogue: Catalogue, session = new Session()): ReturnType<typeof simulateJoined> => tripOf(session)(catalogue, job);

/** A lead that is plugged in and gives nothing still stands there to be reckoned with. */
const LEAST_DUTY = 1e-4;

/** How a vehicle is looked at in its job. */
export interface InJobSettings {
  /** Of several vehicles that it may be plugged into, another than the usual one. */
  readonly by?: string;
  /** What is kept from pass to pass. */
  readonly session?: Session;
}

/**
 * One vehicle of a job as a design of its own, with what reaches it from the others: the engine that charges it, what
 * their chargers want of that, the hours in which their leads feed its inlets, and what its own leads give on the trip
 * of all banks together, not what they could, the gear of rigs that stand before it in its body, and the weight on its ball of what it tows. A job of one
 * vehicle is that itself.
 */
export function inJob(job: Design, id: string, catalogue: Catalogue, { by, session = new Session() }: InJobSettings = {}): Design {
  if (!isJoined(job)) return job;
  const design = keeping(besideInBody(reached(job, id, catalogue, by), job, id, catalogue), onTheBall(job, id, catalogue, session));
  const leads = leadsIn(job).filter(([, c]) => c.from === id && c.outlet !== null && c.outlet in design.loads);
  if (!leads.length) return design;
  const trip = joinedTripOf(job, catalogue, session);
  const loads = Object.fromEntries(
    leads.map(([key, c]) => {
      const load = design.loads[c.outlet!]!;
      const asksWh = load.draw.by === 'plate' ? load.draw.value * spanHours(leadHours(job, c)) * job.brief.trip.days : 0;
      if (asksWh <= 0) return [c.outlet!, load];
      const duty = Math.min(1, Math.max(LEAST_DUTY, (trip?.leadWh[key] ?? 0) / asksWh));
      return [c.outlet!, { ...load, use: { by: 'duty' as const, duty } }];
    }),
  );
  return { ...design, loads: { ...design.loads, ...loads } };
}
