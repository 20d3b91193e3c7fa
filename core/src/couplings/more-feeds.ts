import type { Assessment } from '../assess/index.js';
import type { Settings } from '../design/index.js';
import { feedSteps } from '../fit/index.js';
import { orderOfRuns, withMore } from '../order/index.js';
import type { Fitted, SizedRun } from '../routes/index.js';

/** What a vehicle is assessed as when it is plugged into another than the usual one. */
export interface PluggedInto {
  readonly id: string;
  readonly name: string;
  readonly assessment: Assessment;
}

/** Roles of the runs that stand in the vehicle that charges, up to its half of the plug. */
const FEEDS = ['charger feed', 'link feed'] as const;

const isFeed = (r: SizedRun): r is Fitted => r.ok && FEEDS.some((role) => role === r.spec.role);

/** An assessment with the feeds that every further vehicle wants which charges it: parts, cuts and steps. Taken as long as in the usual one where its own picture does not show that vehicle. */
export const withMoreFeeds = (own: Assessment, others: readonly PluggedInto[], torqueNm: Settings['torqueNm']): Assessment =>
  others.reduce<Assessment>((a, { id, name, assessment }) => {
    const feeds = assessment.runs.filter(isFeed);
    return {
      ...a,
      order: withMore(a.order, orderOfRuns(feeds), name),
      fit: [
        ...a.fit,
        ...feeds.flatMap((f) => feedSteps(f, torqueNm)).map((s) => ({ ...s, id: `${id}:${s.id}`, place: `the ${name}`, after: s.after.map((a) => `${id}:${a}`), text: `In the ${name}: ${s.text}` })),
      ],
    };
  }, own);
