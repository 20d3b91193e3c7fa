import { CHARGED_WHILE } from '../supply/index.js';
import type { Assessment } from '../assess/index.js';
import { type CareTask, careTasks, dayOfTurn, storageOf } from '../care/index.js';
import { catalogueOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { mainsGap, mainsSide, type MainsSide } from '../mains/index.js';
import { type Judged, judgeReading, type ProveRow } from '../prove/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { amps, figure, rating } from '../quantity/index.js';
import { fuseMarks, multicoresOf } from '../routes/index.js';
import { inWords } from '../rules/index.js';
import { judgeRow, type TestPlan } from '../test-plan/index.js';

/** A table of the pack: rows of text under headings. */
export interface PackTable {
  readonly title: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Columns that hold figures and stand to the right. */
  readonly right: readonly number[];
}

export interface PackReading {
  readonly value: number;
  readonly at: string;
  readonly by: string;
}

/** How the job stands: what was read of the plan, and which steps are ticked. */
export interface LeftAs {
  readonly readings: Readonly<Record<string, PackReading>>;
  /** Null while it has no circuit. */
  readonly plan: TestPlan | null;
  readonly ticked: { has(stepId: string): boolean };
  /** The newest review of the plan; null or left out: none. */
  readonly reviewed?: { readonly author: string; readonly at: string; readonly revision: number } | null;
}

/** What is handed over with the vehicle. */
export interface Pack {
  readonly title: string;
  /** What keeps it from being final, in words: printed before all else. */
  readonly gaps: readonly string[];
  readonly vehicle: string;
  readonly summary: readonly (readonly [name: string, value: string])[];
  readonly tables: readonly PackTable[];
  readonly openFindings: readonly string[];
  readonly accepted: readonly string[];
  readonly cautions: readonly string[];
}

export const CAUTIONS: readonly string[] = [
  'This pack plans and records. It does not replace the makers’ instructions, the local rules in force, or a licensed person, and it is no declaration of compliance.',
  'All 230 V work is for a licensed electrician and is signed for by name.',
  'Batteries can burn and vent gas. Disconnect before working: negative first, reconnect last.',
  'Panels are live whenever there is light: cover them before joining or parting them.',
  'Replace a fuse only by one of the same kind and rating. One that blows again means a fault: have it found.',
  'Sizes follow representative tables and the defaults named in the plan; a maker or a standard that says otherwise wins.',
];

/** How two banks are used by turns. */
function turning({ inline }: Assessment): string[] {
  if (!inline.some((p) => p.selects)) return [];
  const apart = inline.some((p) => p.id === 'charging' && p.selects);
  return [
    apart
      ? 'Two banks: the load selector says which one is used, the charging selector which one is charged. Turn the charging selector with the chargers at rest, the load selector with heavy loads off; leave neither on both.'
      : 'Two banks by one selector, for loads and chargers alike: turn it with the chargers at rest and heavy loads off, and do not leave it on both.',
  ];
}

function circuits(a: Assessment): PackTable {
  const rows = a.runs.map((r) =>
    r.ok
      ? [String(r.spec.number), r.spec.name, amps(r.figures.currentA), r.figures.size, figure(r.spec.outM, 1), figure(r.figures.dropV, 2), figure(r.figures.pathDropPercent, 1)]
      : [String(r.spec.number), r.spec.name, '–', 'no size', figure(r.spec.outM, 1), '–', '–'],
  );
  return { title: 'Circuits', headings: ['No.', 'Run', 'Load A', 'Cable', 'Length m', 'V lost', 'Path %'], rows, right: [2, 4, 5, 6] };
}

/** Cables of several cores with what each core is for; none where there is none. */
function multicores(a: Assessment): PackTable[] {
  const rows = multicoresOf(a.runs).flatMap((m) =>
    m.plan.map((c, i) => [
      i ? '' : `${m.name}, ${m.bought}-core ${m.size}`,
      String(c.core),
      c.colour,
      c.lead,
      c.run ? `${c.run.number} ${c.run.name}` : c.lead === 'spare' ? 'capped at both ends' : 'all in common',
    ]),
  );
  return rows.length ? [{ title: 'Cores', headings: ['Cable', 'Core', 'Colour', 'Lead', 'Run'], rows, right: [1] }] : [];
}

function fuses(design: Design, a: Assessment): PackTable {
  const mark = fuseMarks(design.settings.fuseMarks, a.runs);
  const rows = a.runs.flatMap((r) =>
    r.ok
      ? r.spec.ends.map((e) => [mark(r.spec.id, e.at), e.at === 'from' ? r.spec.from.name : r.spec.to.name, `${FUSE_KINDS[r.figures.fuseType].name} ${rating(r.figures.fuseA)} A`, r.spec.to.name])
      : [],
  );
  return { title: 'Fuse map', headings: ['No.', 'Where', 'Fuse', 'Feeds'], rows, right: [] };
}

/** Every reading of the plan with what it was judged; null: it was not taken. */
function judgedAs(a: Assessment, { readings: taken, plan }: LeftAs): readonly { readonly row: ProveRow; readonly judged: Judged | null }[] {
  const values = Object.fromEntries(Object.entries(taken).map(([id, r]) => [id, r.value]));
  const alone = a.prove.map((row) => ({ row, judged: row.id in values ? judgeReading(row, values[row.id]!) : null }));
  return [...alone, ...(plan?.groups ?? []).flatMap((g) => g.rows.map((row) => ({ row, judged: judgeRow(row, g, values) })))];
}

function readings(a: Assessment, left: LeftAs): PackTable {
  const rows = judgedAs(a, left).map(({ row, judged }) => {
    const got = left.readings[row.id];
    const expected = row.atMost ? `at most ${figure(row.expected, 1)} ${row.unit}` : `${figure(row.expected, 2)} ± ${figure(row.tolerance, 2)} ${row.unit}`;
    return [row.where, row.state, expected, got ? `${figure(got.value, 2)} ${row.unit}` : 'not read', judged?.verdict ?? '–', got ? got.at.slice(0, 10) : ''];
  });
  return { title: 'Readings as left', headings: ['Where', 'State', 'Expected', 'Read', 'Verdict', 'Day'], rows, right: [2, 3] };
}

function loads(a: Assessment): PackTable {
  return {
    title: 'What it runs',
    headings: ['Load', 'W', 'Ah a day'],
    rows: a.day.loads.map((l) => [l.name, figure(l.ownW, 0), figure(l.ahDay, 1)]),
    right: [1, 2],
  };
}

function settings(a: Assessment): PackTable {
  return { title: 'Settings of every device', headings: ['Device', 'Setting', 'Set to'], rows: a.supply.settings.map((s) => [s.device, s.setting, s.value]), right: [] };
}

function watching(a: Assessment): PackTable {
  return { title: 'What is watched', headings: ['Quantity', 'Instrument', 'Range', 'Seen'], rows: a.supply.watched.map((w) => [w.quantity, w.instrument, w.range, w.seenAt]), right: [] };
}

/** The 230 V side as it was answered and signed; none where there is none. */
function mainsTable({ mains: said }: Design, { state, questions }: MainsSide): PackTable[] {
  if (state === 'none') return [];
  const { signed, notOurs } = said;
  const by: readonly string[] = notOurs
    ? ['Not part of this job', notOurs.reason, `${notOurs.by}, ${notOurs.on}`]
    : ['Signed by', signed ? signed.statement : 'not signed', signed ? `${signed.by}${signed.licence ? `, licence ${signed.licence}` : ''}, ${signed.on}` : '–'];
  return [{ title: '230 V side', headings: ['Of', 'Asked', 'Answer'], rows: [...(notOurs ? [] : questions.map((q) => [q.of, q.ask, q.answer ?? 'not answered'])), by], right: [] }];
}

/** What the rig wants in the years after: from the day that it left, where that is set. */
function care(design: Design, a: Assessment): PackTable {
  const { careFrom } = design.brief;
  const months = (n: number): string => (n === 1 ? 'month' : `${n} months`);
  const first = (t: CareTask): string => (careFrom === null ? `after ${t.firstMonths === 1 ? 'a month' : months(t.firstMonths)}` : dayOfTurn(t, careFrom, 1));
  const rows = careTasks(design, catalogueOf(design), a).map((t) => [t.what, t.by, first(t), months(t.everyMonths)]);
  return { title: 'Care', headings: ['What', 'Who', 'First', 'Then every'], rows, right: [] };
}

/** Verdicts by which a rig may go out. */
const RIGHT: ReadonlySet<Judged['verdict']> = new Set(['agrees', 'near']);

const counted = (n: number, one: string, many: string): string => (n === 1 ? `1 ${one}` : `${n} ${many}`);

/** What keeps a pack from being final: findings, steps and readings that are open, and figures that are off. */
function gapsOf(a: Assessment, mains: MainsSide, left: LeftAs): string[] {
  const { ticked } = left;
  const unsaid = mainsGap(mains);
  const rows = judgedAs(a, left);
  const unread = rows.filter((r) => r.judged === null).length;
  const off = rows.filter((r) => r.judged !== null && !RIGHT.has(r.judged.verdict)).length;
  const steps = a.fit.filter((s) => !ticked.has(s.id)).length;
  const { stops, looks } = a.tellTales;
  const unsized = a.runs.filter((r) => !r.ok).length;
  return [
    ...(stops ? [`${counted(stops, 'finding is', 'findings are')} to stop at`] : []),
    ...(looks ? [`${counted(looks, 'finding is', 'findings are')} to look at`] : []),
    ...(unsized ? [`${counted(unsized, 'run has', 'runs have')} no size`] : []),
    ...(steps ? [`${steps} of ${a.fit.length} fitting steps are not ticked`] : []),
    ...(unread ? [`${unread} of ${rows.length} readings are not taken`] : []),
    ...(unsaid === null ? [] : [unsaid]),
    ...(off ? [`${counted(off, 'reading is', 'readings are')} not as planned`] : []),
  ];
}

/** The content of the hand-over pack, ready to be set on paper. */
export function handOverPack(design: Design, a: Assessment, vehicleName: string, left: LeftAs): Pack {
  const { supply, day } = a;
  const bank = supply.bank;
  const mains = mainsSide(design, catalogueOf(design));
  const stored = storageOf(design, catalogueOf(design));
  return {
    title: design.brief.customer,
    gaps: gapsOf(a, mains, left),
    vehicle: `${vehicleName}${design.brief.plate ? ` · ${design.brief.plate}` : ''}`,
    summary: [
      [
        'House battery',
        bank
          ? `${bank.capacityAh} Ah at ${bank.nominalV} V, of which ${figure(bank.usableAh, 0)} Ah usable (${figure(100 * bank.usableShare, 0)} %, ${bank.usableFrom === 'setting' ? 'set by the workshop' : 'default of its chemistry'})`
          : 'none',
      ],
      ...(left.reviewed ? [['Plan reviewed', `as of revision ${left.reviewed.revision}, by ${left.reviewed.author}, ${left.reviewed.at.slice(0, 10)}`] as [string, string]] : []),
      ['Draws', `${figure(day.ahDay, 1)} Ah a day, ${figure(day.whDay, 0)} Wh; peak ${amps(day.peakA)} A`],
      ['Lasts without sun or driving', Number.isFinite(supply.daysAlone) ? `${figure(supply.daysAlone, 1)} days` : 'no loads'],
      ...(supply.together ? [['To full with all chargers at once', `${figure(supply.together.hours, 1)} h at ${figure(supply.together.amps, 0)} A`] as [string, string]] : []),
      ...(supply.sunDaysToFull !== null && Number.isFinite(supply.sunDaysToFull)
        ? [['To full on the sun alone, clear parked days', `${figure(supply.sunDaysToFull, 1)} days`] as [string, string]]
        : []),
      ...supply.charging.map((c): [string, string] => [`To full while ${CHARGED_WHILE[c.from]}`, `${figure(c.hours, 1)} h at ${c.chargerA} A`]),
    ],
    tables: [loads(a), circuits(a), ...multicores(a), fuses(design, a), settings(a), watching(a), ...mainsTable(design, mains), readings(a, left), care(design, a)],
    openFindings: a.open.map((f) => `${f.severity === 'stop' ? 'Stop' : 'Look'}: ${inWords(f).say} ${inWords(f).fix}`),
    accepted: a.findings.filter((f) => design.accepted[f.key]).map((f) => `${inWords(f).say} Accepted by ${design.accepted[f.key]!.by}: ${design.accepted[f.key]!.reason}`),
    cautions: [...CAUTIONS, ...turning(a), ...(stored === null ? [] : [stored])],
  };
}
