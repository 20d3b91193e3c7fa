import { invertersOf } from '../plant/index.js';
import { inverterInputW, CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import { figure } from '../quantity/index.js';
import { largestTogether } from '../loads/index.js';
import { arraysOf, bankOf, pluggedWord, stringLost, type Bank } from '../supply/index.js';
import { simulateJob, type TripJob, type TripResult } from '../trip/index.js';
import { loadsOn } from './days.js';
import { inTripOrder, jobOfDesign } from './trip-job.js';

/** What one thing's failing at the start of the trip does to the loads that must not go off. */
export interface Failure {
  readonly id: string;
  readonly what: string;
  /** Hours the critical loads go without, and when first; null: they stay on to the end. */
  readonly offH: number;
  readonly firstOffAtH: number | null;
  readonly lowestSoc: number;
  /** What carries the loads instead, the largest first, with its Ah over the trip. */
  readonly carriedBy: readonly { readonly what: string; readonly ah: number }[];
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

function carriers(r: TripResult, bank: Bank): Failure['carriedBy'] {
  const drawn = sum(r.loadAh);
  const [sunAh, vehicleAh, mainsAh] = [sum(r.sunAh), sum(r.alternatorAh), sum(r.mainsAh)];
  const bankAh = Math.max(0, (r.hourlySoc[0]! - r.finalSoc) * bank.capacityAh);
  return [
    { what: 'sun', ah: sunAh },
    { what: 'vehicle', ah: vehicleAh },
    { what: 'mains', ah: mainsAh },
    { what: 'what the bank holds', ah: Math.min(drawn, bankAh) },
  ]
    .filter((c) => c.ah > 0.5)
    .sort((a, b) => b.ah - a.ah);
}

function failed(id: string, what: string, job: TripJob, bank: Bank): Failure {
  const r = simulateJob(job);
  return { id, what, offH: r.criticalOffH, firstOffAtH: r.firstOff?.atH ?? null, lowestSoc: r.minSoc, carriedBy: carriers(r, bank) };
}

const without = (job: TripJob, change: Partial<TripJob['kinds'][number]>): TripJob => ({ ...job, kinds: job.kinds.map((k) => ({ ...k, ...change })) });

/** The bank with its largest string gone; null when it was the only one. */
function oneStringLess(job: TripJob, bank: Bank): TripJob | null {
  if (job.second) return { ...job, bank: job.second, second: null };
  const left = bank.capacityAh - Math.max(...bank.stringParts.map((p) => p.capacityAh));
  return left > 0 ? { ...job, bank: { ...job.bank, capacityAh: left } } : null;
}

/** True where the batteries left carry all that may run at once with the largest string out; one behind a selector always does for itself. */
function carriesWithout(design: Design, catalogue: Catalogue, bank: Bank): boolean {
  if (bank.strings === 1) return true;
  const inverterW = invertersOf(design, catalogue).reduce((total, { ports: { mainsOut } }) => total + inverterInputW(mainsOut.ratedW, mainsOut.ratedW), 0);
  const day = loadsOn(design, catalogue, design.brief.trip.drivingH, 0);
  const dcW = largestTogether(day.loads.filter((l) => !l.mains).map((l) => ({ id: l.id, watts: l.fullW, never: l.never }))).watts;
  const allW = dcW + inverterW;
  return stringLost(bank, allW / bank.openV).leftShare !== null;
}

/** Each regulator with its panels lost: of several each by itself, since the others go on. */
function sunsLost(design: Design, catalogue: Catalogue, job: TripJob, bank: Bank): readonly Failure[] {
  const suns = inTripOrder(arraysOf(asOfNow(design), catalogue));
  return suns.flatMap((a, n): Failure[] => {
    const bright = job.kinds.some((k) => sum((n ? k.besideW[n - 1] : k.sunWatts) ?? []) > 0);
    if (!bright) return [];
    const dark: TripJob = {
      ...job,
      kinds: job.kinds.map((k) => (n ? { ...k, besideW: k.besideW.map((w, j) => (j === n - 1 ? w.map(() => 0) : w)) } : { ...k, sunWatts: null })),
      shared: n ? job.shared : null,
    };
    const watts = a.ratedW + a.portables.reduce((s, p) => s + p.ratedW, 0);
    return [
      failed(n ? `sun:${a.ref.id}` : 'sun', suns.length > 1 ? `no sun from ${figure(watts, 0)} W: panels, their regulator or a breaker` : 'no sun: panels, their regulator or a breaker', dark, bank),
    ];
  });
}

/** Each single failure, simulated from the first hour in the month's mean weather; empty without a battery. */
export function singleFailures(design: Design, catalogue: Catalogue): readonly Failure[] {
  const bank = bankOf(design, catalogue);
  const job = jobOfDesign(design, catalogue);
  if (!bank || !job) return [];
  const offers = (f: (k: TripJob['kinds'][number]) => number): boolean => job.kinds.some((k) => f(k) > 0);
  const out: Failure[] = [failed('none', 'nothing fails', job, bank)];
  out.push(...sunsLost(design, catalogue, job, bank));
  if (offers((k) => (sum(k.driveHours.map(([a, b]) => b - a)) > 0 ? k.alternatorA : 0))) {
    // A charger with two inputs takes the sun down with it.
    const both = job.shared !== null;
    out.push(
      failed(
        'vehicle',
        both ? 'charger dead: neither vehicle nor sun' : 'no charge from the vehicle: charger, trigger or alternator',
        { ...without(job, { alternatorA: 0, ...(both ? { sunWatts: null } : {}) }), shared: null },
        bank,
      ),
    );
  }
  if (offers((k) => (k.mainsHours.length ? k.mainsA : 0))) out.push(failed('mains', 'no mains: a dead outlet or charger', without(job, { mainsA: 0 }), bank));
  if (offers((k) => sum((k.leads ?? []).map((l) => l.amps * l.hours.length))))
    out.push(failed('lead', 'no charge over the lead: a plug that is out, its fuse or the charger', without(job, { leads: [] }), bank));
  const less = carriesWithout(design, catalogue, bank) ? oneStringLess(job, bank) : null;
  const critical = Object.values(design.loads).some((l) => l.critical);
  if (less) out.push(failed('battery', 'one battery dead, taken off', less, bank));
  else
    out.push({
      id: 'battery',
      what: bank.strings > 1 ? 'one battery dead: the others cannot carry it all, their fuses or boards open, and the bank is lost' : `the only battery dead (${CHEMISTRY[bank.part.chemistry].name})`,
      offH: critical ? 24 * job.days : 0,
      firstOffAtH: critical ? 0 : null,
      lowestSoc: 0,
      carriedBy: [],
    });
  // What the trip books as mains may come over a lead.
  const word = pluggedWord(asOfNow(design), catalogue);
  return out.map((f) => ({ ...f, carriedBy: f.carriedBy.map((c) => (c.what === 'mains' ? { ...c, what: word } : c)) }));
}
