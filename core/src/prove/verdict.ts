import { figure } from '../quantity/index.js';
import { MODEL_SHARE, readingVerdict } from '../verdicts/index.js';
import type { Expected, Judged, ReadIn, Verdict } from './expected.js';
import { judgeLimit } from './limit.js';

function off(e: Expected, difference: number): string {
  const by = `${figure(Math.abs(difference), 2)} ${e.unit}`;
  if (e.look !== undefined) return `Off by ${by} ${difference < 0 ? 'low' : 'high'}: ${e.look}.`;
  if (e.run === null) return `Off by ${by}: is the battery rested, charged and alone?`;
  return difference < 0 ? `Off by ${by} low: measure across the fuse holder and each joint of ${e.run}, the biggest drop first.` : `Off by ${by} high: is the load on, and drawing what was entered?`;
}

/** What to do about each verdict. */
const SAYS: Readonly<Record<Verdict, (e: Expected, difference: number, read: number) => string>> = {
  agrees: (e) => `Agrees within ± ${figure(e.tolerance, 2)} ${e.unit}.`,
  near: (e, d) => `Near: ${figure(Math.abs(d), 2)} ${e.unit} ${d < 0 ? 'low' : 'high'}. Read it again with the load settled.`,
  reversed: (e, _, read) => `${figure(read, 2)} ${e.unit} is the right size the wrong way round: are the meter’s leads swapped, or the polarity? Find out which before anything is joined.`,
  unit: (e, _, read) => `${figure(read, 4)} ${e.unit}? In thousandths or thousands it agrees: type it again in ${e.unit}.`,
  'not-yet': () => 'Low, and the state explains it: read it again when it no longer does.',
  off,
  impossible: (e) => `More volts than the battery itself has (${figure(e.mostV!, 2)} V with both tolerances): check the meter, and read the battery’s posts again.`,
};

/**
 * Judges a reading by the law of verdicts; more volts at a load than its battery has would be energy from nothing, unless the
 * figure is one of a slipped unit.
 */
export function judgeReading(e: Expected, read: number, state: ReadIn = {}): Judged {
  if (e.atMost) return judgeLimit(e, read);
  const { verdict } = readingVerdict({ kind: 'reading', value: read, expected: e.expected, meter: e.meter, dropV: e.dropV, modelShare: e.modelShare ?? MODEL_SHARE, excuses: e.excuses, state });
  const judged: Verdict = e.mostV !== null && read > e.mostV && verdict !== 'unit' ? 'impossible' : verdict;
  const difference = read - e.expected;
  return { verdict: judged, difference, say: SAYS[judged](e, difference, read) };
}
