import {
  allBought,
  assessJob,
  type Assessment,
  assessWhole,
  type Buying,
  buyingOf,
  careTasks,
  catalogueOf,
  dayInWords,
  type Design,
  type Done,
  hasMains,
  inWords,
  isOut,
  nextCare,
  type Progress,
  recordKey,
  type Stage,
  stageProgress,
  STAGES,
  testPlan,
  vehicleIds,
  vehicleIn,
  vehicleName,
} from '@meridex/core';

/** What holds a job up, with its weight. */
export interface Hold {
  readonly mark: 'stop' | 'look' | 'holds' | 'waits';
  readonly say: string;
}

/** What lists say of a job: worked out once, kept until something of it changes. */
export interface JobSummary {
  readonly customer: string;
  readonly vehicle: string;
  readonly plate: string;
  readonly stages: readonly Progress[];
  readonly hold: Hold;
  readonly next: { readonly stage: Stage; readonly say: string };
  /** What it wants done next where it is out, and the day; null: nothing, or nobody said when it left. */
  readonly care: { readonly on: string; readonly what: string } | null;
  readonly fitted: boolean;
  /** Work left, by the minutes of the steps that are not done. */
  readonly minutes: number;
  /** A licensed electrician is wanted for it. */
  readonly licensed: boolean;
  /** The last day on which something of it should come; null: nothing is on its way. */
  readonly partsBy: string | null;
  /** Cable and protection that is still to be bought for it. */
  readonly takes: readonly { readonly what: string; readonly quantity: number; readonly unit: string; readonly price: number }[];
}

interface Job {
  readonly state: string;
  readonly note: string;
}

/** What its summary is made of. */
interface WorkedOut {
  readonly a: Assessment;
  readonly done: Done;
  readonly buying: Buying;
  readonly care: JobSummary['care'];
  readonly today: string;
}

function hold({ a, care, today }: WorkedOut, { state, note }: Job): Hold {
  const stop = a.open.find((f) => f.severity === 'stop');
  if (state === 'handed over' && care && care.on < today) return { mark: 'look', say: `care late since ${dayInWords(care.on)}` };
  if (state === 'handed over' || state === 'closed') return { mark: 'holds', say: state };
  if (state === 'in service') return { mark: 'look', say: note || 'in service' };
  if (state === 'sign-off') return { mark: 'stop', say: note || 'waits for sign-off' };
  if (stop) return { mark: 'stop', say: inWords(stop).say };
  if (state === 'quoted') return { mark: 'waits', say: `waiting: ${note || 'for the customer’s answer'}` };
  if (state === 'parts ordered') return { mark: 'waits', say: `waiting: ${note || 'for the parts'}` };
  return a.open.length ? { mark: 'look', say: `${a.open.length} to look at` } : { mark: 'holds', say: 'nothing' };
}

/** The next turn of care of any of its vehicles. */
function careOf(job: Design, { ticked, state }: Done, today: string): JobSummary['care'] {
  const from = job.brief.careFrom;
  if (from === null || !isOut(state ?? '')) return null;
  const turns = assessJob(job, catalogueOf(job)).flatMap(({ id, design, assessment }) => {
    const turn = assessment && nextCare(careTasks(design, catalogueOf(design), assessment), from, today, { has: (tick) => ticked.has(recordKey(id, tick)) });
    return turn ? [{ on: turn.on, what: turn.task.what }] : [];
  });
  return turns.sort((x, y) => x.on.localeCompare(y.on))[0] ?? null;
}

function buy({ lines, counts, late }: Buying, note: string): string {
  const of = (n: number): string => `${n} ${n === 1 ? 'line' : 'lines'}`;
  if (late) return `Ask where ${of(late)} of the parts ${late === 1 ? 'is' : 'are'}: late`;
  if (counts.ordered && !counts['to order']) return `Wait for ${of(counts.ordered)} of the parts`;
  if (counts['to order'] && counts['to order'] < lines.length) return `Order the rest: ${of(counts['to order'])}`;
  return note || (counts['to order'] ? 'Order the parts' : 'Fit it: all parts are here');
}

function next({ a, done, buying, care }: WorkedOut, { state, note }: Job): JobSummary['next'] {
  const stop = a.open.find((f) => f.severity === 'stop');
  if (!a.day.loads.length) return { stage: 'loads', say: 'Type what must run' };
  if (state === 'closed') return { stage: 'look-after', say: 'Nothing: it is closed' };
  if (state === 'template') return { stage: 'loads', say: 'Begin a job from it' };
  if (state === 'handed over') return { stage: 'look-after', say: care ? `${care.what}, due ${dayInWords(care.on)}` : 'Say when it left: its care counts from that day' };
  if (state === 'in service') return { stage: 'prove', say: 'Measure at the load that fails, circuit on' };
  if (state === 'sign-off') return { stage: 'checks', say: 'Sign-off by the licensed electrician' };
  if (stop) return { stage: stop.at.stage, say: inWords(stop).fix };
  if (state === 'quoted') return { stage: 'order', say: 'Ask for an answer' };
  const index = a.fit.findIndex((s) => !done.ticked.has(s.id));
  if (a.fit.some((s) => done.ticked.has(s.id)) && index >= 0) return { stage: 'fit', say: `Fit, step ${index + 1} of ${a.fit.length}: ${a.fit[index]!.text}` };
  const look = a.open[0];
  return look ? { stage: look.at.stage, say: inWords(look).fix } : { stage: 'order', say: buy(buying, note) };
}

/** Works a job out for the lists. */
export function summaryOf(job: Job, design: Design, done: Done): JobSummary {
  const a = assessWhole(design, catalogueOf(design));
  const plan = testPlan(design, catalogueOf(design))?.groups.flatMap((g) => g.rows.map((r) => r.id)) ?? [];
  const today = new Date().toISOString().slice(0, 10);
  const buying = buyingOf(a.order, allBought(design), today);
  const out = { a, done, buying, care: careOf(design, done, today), today };
  const progress = stageProgress(design, a, { ...done, plan });
  return {
    customer: design.brief.customer,
    vehicle: vehicleIds(design)
      .map((id) => vehicleName(design, id))
      .join(' + '),
    plate: design.brief.plate,
    stages: STAGES.map((s) => progress[s]),
    hold: hold(out, job),
    next: next(out, job),
    care: out.care,
    fitted: a.fit.every((s) => done.ticked.has(s.id)),
    minutes: a.fit.reduce((m, s) => (done.ticked.has(s.id) ? m : m + s.minutes), 0),
    licensed: vehicleIds(design).some((id) => hasMains(vehicleIn(design, id), catalogueOf(design))),
    partsBy: buying.allBy,
    takes: buying.lines
      .filter(({ line: l, toOrder }) => toOrder > 0 && (l.group === 'cable' || l.group === 'protection'))
      .map(({ line: l, toOrder, price }) => ({ what: l.what, quantity: toOrder, unit: l.unit, price })),
  };
}

const line = (customer: string, vehicle: string, hold: Hold, say: string): JobSummary => ({
  customer,
  vehicle,
  plate: '',
  stages: STAGES.map(() => 'hollow'),
  hold,
  next: { stage: 'brief', say },
  care: null,
  fitted: true,
  minutes: 0,
  licensed: false,
  partsBy: null,
  takes: [],
});

/** A job of which nothing can be worked out stands on its line and says why; all others are as they are. */
export const unreadable = (customer: string, message: string): JobSummary => line(customer, 'not readable', { mark: 'stop', say: message }, 'Update Meridex, or ask for help with its file');

/** A job that was not worked out yet. */
export const waiting = (customer: string): JobSummary => line(customer, '…', { mark: 'waits', say: 'being worked out' }, '…');
