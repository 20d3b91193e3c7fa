import type { Failure } from './failures.js';
import type { Help, Helps } from './helps.js';
import type { SunAlone } from './sun-alone.js';
import { figure, money, sentence } from '../quantity/index.js';
import { type ManyTrips, type TripResult } from '../trip/index.js';

const list = (names: readonly string[]): string => (names.length > 1 ? `${names.slice(0, -1).join(', ')} or the ${names.at(-1)}` : (names[0] ?? ''));

/** "day 3, 5:00". */
export function momentWords(atH: number): string {
  return `day ${Math.floor(atH / 24) + 1}, ${Math.floor(atH % 24)}:00`;
}

/** What many trips say, as one would say it to the customer. */
export function tripsWords(m: ManyTrips, critical: readonly string[]): { readonly mark: 'holds' | 'look' | 'stop'; readonly say: string; readonly more: string } {
  const reserve = m.meanBelowReserveH > 0.05 ? `On average ${figure(m.meanBelowReserveH, 1)} h of the trip lie below the reserve.` : 'The reserve is not touched on average.';
  const lowest = `The lowest of all trips was ${figure(100 * m.lowestSoc, 0)} %.`;
  if (!critical.length)
    return { mark: m.meanBelowReserveH > 0.05 ? 'look' : 'holds', say: 'No load is marked as one that must never go off.', more: `${reserve} ${lowest} Mark it under Loads to be told its chance.` };
  const names = list(critical);
  if (!m.off) return { mark: 'holds', say: `In ${m.trips} trips the ${names} never went off.`, more: `${reserve} ${lowest}` };
  const times = Math.round(m.chanceOff * m.trips);
  const cold = m.off.lockedH >= 6 ? `, the bank too cold or hot to charge for ${figure(m.off.lockedH, 0)} h of such a trip` : '';
  const dull = m.off.dullDays >= 0.5 ? `, after ${figure(m.off.dullDays, 1)} dull days` : '';
  return {
    mark: m.chanceOff > 0.05 ? 'stop' : 'look',
    say: `In ${times} of ${m.trips} trips the ${names} goes off (${figure(100 * m.chanceOff, 1)} %).`,
    more: `Mostly on day ${m.off.day}, about ${m.off.hour}:00${dull}${cold}: ${m.off.cause}. ${reserve}`,
  };
}

const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

/** What has to be turned by hand on this trip, where two banks are used by turns. */
export function turnsWords(turns: TripResult['turns'], apart: boolean, days: number): string {
  const all = turns.loads + turns.charging;
  const within = `in ${days} ${days === 1 ? 'day' : 'days'}`;
  if (!all) return `Two banks: nothing has to be turned by hand ${within}.`;
  if (!apart) return `Two banks: the selector is turned ${times(turns.loads)} ${within}, at the reserve or when the bank in use is full.`;
  const said = [...(turns.loads ? [`the load selector ${times(turns.loads)}`] : []), ...(turns.charging ? [`the charging selector ${times(turns.charging)}`] : [])];
  return `Two banks: ${said.join(' and ')} turned by hand ${within}.`;
}

/** A share of trips in per cent, with a decimal where it is small. */
export function shareWords(share: number): string {
  return figure(100 * share, share > 0 && share < 0.1 ? 1 : 0);
}

function gain(h: Help, helps: Helps): string {
  const { now } = helps;
  if (now.chanceOff > 0) return `going off ${shareWords(now.chanceOff)} → ${shareWords(h.after.chanceOff)} % of trips`;
  if (now.belowReserveH > 0.05) return `below the reserve ${figure(now.belowReserveH, 1)} → ${figure(h.after.belowReserveH, 1)} h`;
  return `a dull trip’s lowest ${figure(100 * now.low, 0)} → ${figure(100 * h.after.low, 0)} %`;
}

/** What a change brings and costs. */
export function changeWords(h: Help, helps: Helps, sign: string): string {
  const costs = h.price > 0 ? `, ${money(h.price, sign)} and ${figure(h.kg, 1)} kg more` : '';
  return `${gain(h, helps)}${costs}`;
}

/** The one line: what single change helps most. */
export function helpWords(helps: Helps, sign: string): string {
  const best = helps.changes[0];
  if (!best) return 'Nothing that was tried makes this trip any safer.';
  const safe = helps.now.chanceOff === 0 && helps.now.belowReserveH < 0.05;
  if (safe) return `Nothing needs changing. Most room would come from ${best.what}: ${changeWords(best, helps, sign)}.`;
  return `${sentence(best.what)} helps most: ${changeWords(best, helps, sign)}.`;
}

/** What a failure does, in a line. */
export function failureWords(f: Failure): string {
  const carried = f.carriedBy.length ? `carried by ${f.carriedBy.map((c) => `${c.what} (${figure(c.ah, 0)} Ah)`).join(', ')}` : 'nothing carries them';
  if (f.firstOffAtH === null) return `stays on to the end, ${carried}; lowest ${figure(100 * f.lowestSoc, 0)} %`;
  if (f.firstOffAtH === 0) return 'off at once; nothing carries them';
  return `off from ${momentWords(f.firstOffAtH)}, for ${figure(f.offH, 0)} h; until then ${carried}`;
}

/** Whether it runs on sun alone, and where not, from when on. */
export function sunAloneWords(s: SunAlone): string {
  const balance = `${figure(s.inAh, 0)} Ah a day come in, ${figure(s.outAh, 0)} are drawn`;
  if (s.stands) return `On sun alone, parked from full in this month’s mean weather, it runs on and on: ${balance}.`;
  if (s.reserveAtH === null) return `On sun alone it lasts the ${s.days} days looked at, but sinks to ${figure(100 * s.endSoc, 0)} %: ${balance}.`;
  const off = s.offAtH === null ? '' : `, and a load that must not go off goes off on ${momentWords(s.offAtH)}`;
  return `On sun alone, parked from full, it is down to its reserve on ${momentWords(s.reserveAtH)}${off}: ${balance}.`;
}
