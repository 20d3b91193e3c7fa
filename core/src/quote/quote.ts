import { assess, type Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { hasMains } from '../mains/index.js';
import { assessJob, orderOfJob, type AssessedVehicle } from '../couplings/index.js';
import { isJoined, type Design } from '../design/index.js';
import type { Order, OrderLine } from '../order/index.js';
import { takeDraft, threeDrafts, type Tier } from '../supply-options/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { givesOf } from './gives.js';
import { minorOf, sumMinor, timesMinor } from './minor.js';
import type { Quote, QuoteKey, QuoteOption } from './schema.js';

/** A line of a quote: the groups of the order, in words of whoever pays. */
const GROUPS: readonly { readonly what: string; readonly of: readonly OrderLine['group'][] }[] = [
  { what: 'Batteries, chargers, panels and other devices', of: ['devices'] },
  { what: 'Fuses, breakers and their holders', of: ['protection'] },
  { what: 'Cable', of: ['cable'] },
  { what: 'Lugs, plugs, tubes, fixings and sundries', of: ['joints', 'sundries'] },
];

/** Labour is asked for by the quarter hour that was begun. @example billedHours(130) // 2.25 */
export const billedHours = (minutes: number): number => Math.max(0, Math.ceil(minutes / 15 - 1e-9)) / 4;

const NAMES: Readonly<Record<QuoteKey, string>> = { plan: 'As planned', lean: 'Lean', sound: 'Sound', roomy: 'Roomy' };

/** What is fitted and worked for one option. */
interface Work {
  readonly order: Order;
  readonly minutes: number;
  readonly gives: readonly string[];
}

const minutesOf = (a: Assessment): number => a.fit.reduce((m, s) => m + s.minutes, 0);

/** Prices of an option: parts with the margin, labour by the hour, the tax on all of it, each to the minor unit. */
function priced(key: QuoteKey, { order, minutes, gives }: Work, { quote: terms, money }: Design['settings']): QuoteOption {
  const partsMinor = (of: readonly OrderLine['group'][]): number => sumMinor(order.lines.filter((l) => of.includes(l.group)).map((l) => minorOf(l.priceEach * l.quantity)));
  const parts = GROUPS.map(({ what, of }) => ({ what, minor: timesMinor(partsMinor(of), 1 + terms.marginPercent / 100) })).filter((l) => l.minor > 0);
  const hours = billedHours(minutes);
  const labour = terms.hourRate > 0 && hours > 0 ? [{ what: `Labour, ${hours} h`, minor: timesMinor(minorOf(terms.hourRate), hours) }] : [];
  const lines = [...parts, ...labour];
  const netMinor = sumMinor(lines.map((l) => l.minor));
  const taxMinor = timesMinor(netMinor, money.taxPercent / 100);
  return { key, name: NAMES[key], gives: [...gives], lines, netMinor, taxMinor, totalMinor: sumMinor([netMinor, taxMinor]) };
}

function workOf(catalogue: Catalogue, vehicles: readonly AssessedVehicle[]): Work {
  const built = vehicles.flatMap((v) => (v.assessment ? [{ ...v, assessment: v.assessment }] : []));
  return {
    order: orderOfJob(vehicles),
    minutes: built.reduce((m, v) => m + minutesOf(v.assessment), 0),
    gives: built.flatMap(({ name, design, assessment }) => givesOf(design, catalogue, assessment).map((g) => (built.length > 1 ? `${name}: ${g}` : g))).slice(0, 8),
  };
}

/** A draft of the supply in the place of what is planned. */
function workOfDraft(job: Design, catalogue: Catalogue, draft: Design): Work {
  const design = takeDraft(job, draft);
  const a = assess(design, catalogue);
  return { order: a.order, minutes: minutesOf(a), gives: givesOf(design, catalogue, a) };
}

/** What a customer might take to be in it and is not, from the job itself. */
function notIncluded(job: Design, catalogue: Catalogue, vehicles: readonly AssessedVehicle[]): string[] {
  const later = vehicles.flatMap((v) => v.assessment?.order.later ?? []);
  return [
    ...(vehicles.some((v) => hasMains(v.design, catalogue)) ? ['The 230 V side: a licensed electrician does, tests and invoices it'] : []),
    ...(later.length ? [`What waits for later: ${later.map((l) => `${l.quantity} × ${l.what}`).join(', ')}`] : []),
    ...(job.settings.quote.notIncluded.trim() ? [job.settings.quote.notIncluded.trim()] : []),
  ];
}

/** Why nothing can be quoted yet; null: it can. */
export function cannotQuote(vehicles: readonly AssessedVehicle[]): string | null {
  const all = vehicles.flatMap((v) => (v.assessment ? [v.assessment] : []));
  if (!all.some((a) => a.day.loads.length)) return 'Nothing must run in this job yet: loads come first.';
  const unsized = all.flatMap((a) => a.runs.filter((r) => !r.ok));
  return unsized.length ? `${unsized.length === 1 ? `“${unsized[0]!.spec.name}” has` : `${unsized.length} runs have`} no size yet, so their parts are not in the list.` : null;
}

/**
 * A quote for a job: the plan, and the drafts in its place that are asked for; of several vehicles the plan alone. Sums
 * are exact in minor units: an option's lines add up to its net, and net and tax to its total.
 */
export function quoteOf(job: Design, catalogue: Catalogue, tiers: readonly Tier[] = []): Quote {
  const vehicles = assessJob(job, catalogue);
  const drafts = tiers.length && !isJoined(job) ? threeDrafts(job, catalogue).filter((d) => tiers.includes(d.tier)) : [];
  return {
    customer: job.brief.customer,
    vehicle: [vehicleOf(job).name, job.brief.plate].filter(Boolean).join(', '),
    money: job.settings.money,
    notIncluded: notIncluded(job, catalogue, vehicles),
    options: [priced('plan', workOf(catalogue, vehicles), job.settings), ...drafts.map((d) => priced(d.tier, workOfDraft(job, catalogue, d.design), job.settings))],
  };
}

/** True where every sum of a quote is that of its lines. */
export const addsUp = ({ options, money }: Quote): boolean =>
  options.every((o) => o.netMinor === sumMinor(o.lines.map((l) => l.minor)) && o.taxMinor === timesMinor(o.netMinor, money.taxPercent / 100) && o.totalMinor === o.netMinor + o.taxMinor);
