import { figure } from '../quantity/index.js';
import type { Expected, Judged } from './expected.js';

/** Below this share of the most that a reading may be, it is likelier typed in the unit a thousand times as large. */
const SLIP = 1 / 200;

/**
 * Judges a reading that has a most instead of a value that it should be: what a joint may lose, how hot it may get, how long a
 * device may take. Beyond it by no more than the meter may be off it is read again.
 */
export function judgeLimit(e: Expected, read: number): Judged {
  const most = `${figure(e.expected, 1)} ${e.unit}`;
  const size = e.unit === '°C' ? read : Math.abs(read);
  const difference = size - e.expected;
  const slipped = e.unit === 'mV' && size > 0 && size < SLIP * e.expected;
  if (slipped) return { verdict: 'unit', difference, say: `${figure(read, 4)} mV? In volts it would be ${figure(1000 * size, 1)} mV: type it again in mV.` };
  if (e.unit === 'ms' && read <= 0) return { verdict: 'off', difference, say: 'No time at all is no trip: was the device on, and did it open?' };
  if (difference <= 0) return { verdict: 'agrees', difference, say: `Holds: no more than ${most}.` };
  if (difference <= e.tolerance) return { verdict: 'near', difference, say: `Over ${most} by no more than the instrument may be off: read it again.` };
  return { verdict: 'off', difference, say: `Over ${most} by ${figure(difference, 1)} ${e.unit}${e.look === undefined ? '' : `: ${e.look}`}.` };
}
