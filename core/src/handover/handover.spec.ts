import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { boundInWords, explainRun } from '../explain/index.js';
import { testPlan } from '../test-plan/index.js';
import { handOverPack } from './pack.js';

const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
const a = assess(design, SHIPPED_CATALOGUE);
const plan = testPlan(design, SHIPPED_CATALOGUE)!;

describe('the hand-over pack', () => {
  const row = a.prove[2]!;
  const pack = handOverPack(design, a, 'dual-cab ute', {
    readings: { [row.id]: { value: row.expected, at: '2026-11-20T10:00:00Z', by: 'owner' } },
    plan,
    ticked: new Set([a.fit[0]!.id]),
  });
  const table = (title: string) => pack.tables.find((t) => t.title === title)!;

  it('lists every circuit and every fuse', () => {
    expect(table('Circuits').rows.length).toBe(a.runs.length);
    expect(table('Fuse map').rows.length).toBe(a.runs.reduce((n, r) => n + r.spec.ends.length, 0));
  });
  it('has the readings as left, with their verdict', () => {
    expect(table('Readings as left').rows[2]).toEqual(jasmine.arrayContaining(['agrees', '2026-11-20']));
    expect(table('Readings as left').rows[1]).toContain('not read');
  });
  it('has the readings by each source too, and says before all else what keeps it from being final', () => {
    const planned = plan.groups.reduce((n, g) => n + g.rows.length, 0);
    expect(table('Readings as left').rows.length).toBe(a.prove.length + planned);
    expect(pack.gaps).toContain(`${a.fit.length - 1} of ${a.fit.length} fitting steps are not ticked`);
    expect(pack.gaps).toContain(`${a.prove.length + planned - 1} of ${a.prove.length + planned} readings are not taken`);
    const every = Object.fromEntries([...a.prove, ...plan.groups.flatMap((g) => g.rows)].map((r) => [r.id, { value: r.expected, at: '2026-11-20T10:00:00Z', by: 'owner' }]));
    const signed = { ...design, mains: { ...design.mains, notOurs: { by: 'Mia', reason: 'another firm', on: '2026-11-20' } } };
    const all = handOverPack(signed, { ...a, tellTales: { ...a.tellTales, stops: 0, looks: 0 } }, 'ute', { readings: every, plan, ticked: new Set(a.fit.map((s) => s.id)) });
    expect(all.gaps).toEqual([]);
    expect(all.tables.find((t) => t.title === '230 V side')!.rows).toEqual([['Not part of this job', 'another firm', 'Mia, 2026-11-20']]);
    expect(pack.gaps).toContain('the 230 V side is not signed by a licensed electrician');
    expect(table('230 V side').rows.at(-1)).toEqual(['Signed by', 'not signed', '–']);
    const low = handOverPack(design, a, 'ute', { readings: { ...every, [row.id]: { ...every[row.id]!, value: row.expected - 1.5 } }, plan, ticked: new Set() });
    expect(low.gaps).toContain('1 reading is not as planned');
    expect(all.tables.find((t) => t.title === 'Readings as left')!.rows.every((r) => r[4] === 'agrees')).toBeTrue();
  });
  it('says what the rig wants in the years after, by day once it has left, and how its bank is left standing', () => {
    expect(table('Care').rows[0]).toEqual([jasmine.stringContaining('bolted joints'), 'workshop', 'after a month', '12 months']);
    const left = handOverPack({ ...design, brief: { ...design.brief, careFrom: '2026-12-01' } }, a, 'ute', { readings: {}, plan, ticked: new Set() });
    expect(left.tables.find((t) => t.title === 'Care')!.rows[0]![2]).toBe('2027-01-01');
    expect(pack.cautions.at(-1)).toContain('half full, main switch off');
  });
  it('hands 230 V to the licensed electrician and declares nothing', () => expect(pack.cautions.join(' ')).toMatch(/no declaration of compliance.*licensed electrician/s));
  it('says what is still open', () => expect(pack.openFindings.length).toBe(a.open.length));
});

describe('why', () => {
  it('opens current, drop, ampacity and fuse of every run, each input with its origin', () => {
    for (const run of a.runs) {
      const why = explainRun(design, run, a.runs);
      expect(why.map((w) => w.figure)).toEqual(['lasting current', 'usual current', 'drop', 'ampacity', 'fuse']);
      for (const i of why.flatMap((w) => w.inputs)) expect(i.origin.length > 3 && !/undefined|NaN/.test(i.value + i.name)).toBeTrue();
    }
  });
  it('marks a typed length as typed and the others as routed', () => {
    const origin = (id: string) =>
      explainRun(
        design,
        a.runs.find((r) => r.spec.id === id)!,
        a.runs,
      )[2]!.inputs.find((i) => i.name === 'length out')!.origin;
    expect([origin('start-charger'), origin('house-bus')]).toEqual(['typed', 'routed']);
  });
  it('says what decided, and what the next size down would do', () => expect(boundInWords(a.runs[0]!)).toMatch(/drop decides · \d+ mm²: \d\.\d % at charger, limit 5\.0/));
  it('shows each run’s share of a path, the joints beside it, and what the next size down would miss by', () => {
    const drop = explainRun(
      design,
      a.runs.find((r) => r.spec.id === 'load-l1')!,
      a.runs,
    )[2]!;
    const shares = drop.inputs.filter((i) => / → .*: .* mm²$/.test(i.name)).map((i) => Number.parseFloat(i.value));
    const leaf = a.runs.find((r) => r.spec.id === 'load-l1')!;
    expect(shares.length).toBe(3);
    expect(leaf.ok && Math.abs(shares.reduce((x, y) => x + y) - leaf.figures.pathDropPercent)).toBeLessThan(0.02);
    for (const name of [/^limit of the path/, /^joints beside it/, /^next size down/]) expect(drop.inputs.some((i) => name.test(i.name))).toBeTrue();
  });
});
