import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommand, doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, type Design } from '../design/index.js';
import { testPlan } from '../test-plan/index.js';
import { plant } from './index.js';

const survey = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'survey')!.design);
function done(d: Design, ...all: readonly Asked[]): Design {
  const r = doCommands(d, all);
  if (!r.ok) throw new Error(r.message);
  return r.design;
}
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const [load, other] = Object.entries(survey().loads).flatMap(([id, l]) => (l.supply === 'dc' && !l.critical && l.feed.by === 'own' ? [id] : [])) as [string, string];
const screen: Asked = { do: 'addMonitor', with: { id: 'wall', name: 'wall unit', part: 'remote-touch' } };
const tank: Asked = { do: 'addMonitor', with: { id: 'fresh', name: 'fresh water', part: 'sender-tank' } };
const relays = (switches: readonly string[], more: object = {}): Asked => ({ do: 'addMonitor', with: { id: 'relays', name: 'relays', part: 'relays-4', switches, ...more } });
const found = (d: Design, rule: string): readonly Assessment['findings'][number][] => of(d).open.filter((f) => f.rule === rule);

describe('what measures, shows and switches', () => {
  it('is gear with a place, a feed and a lead to the unit that shows it', () => {
    const a = of(done(survey(), screen, tank));
    expect(a.gear.filter((g) => g.ref.in === 'monitors' && g.part !== null && g.id !== 'shunt').map((g) => [g.id, g.name, g.role])).toEqual([
      ['wall', 'wall unit', 'control'],
      ['fresh', 'fresh water', 'control'],
    ]);
    const leads = a.layout.leads.filter((l) => [l.from, l.to].some((x) => x === 'fresh' || x === 'wall'));
    expect(leads.map((l) => [l.kind, l.from, l.to, l.fuseA])).toEqual([
      ['feed', 'bus', 'wall', 1],
      ['feed', 'bus', 'fresh', 1],
      ['data', 'fresh', 'wall', null],
    ]);
    for (const l of leads) {
      expect(l.lengthM).toBeGreaterThan(0);
      expect(a.fit.some((s) => s.text.startsWith(`Lead ${l.number}: `)))
        .withContext(l.name)
        .toBeTrue();
    }
    expect(a.order.lines.filter((l) => ['remote unit with eight buttons', 'tank sender'].includes(l.what)).map((l) => l.quantity)).toEqual([1, 1]);
  });
  it('draws its milliamps all day, and leaves no trace when it is taken out', () => {
    const [before, after] = [of(survey()), of(done(survey(), screen, tank))];
    expect(after.day.gearWh).toBeCloseTo(24 * 0.102 * survey().supply.houseV, 9);
    expect(after.day.whDay - before.day.whDay).toBeCloseTo(after.day.gearWh, 9);
    const gone = done(survey(), screen, tank, { do: 'remove', with: { thing: 'fresh' } }, { do: 'remove', with: { thing: 'wall' } });
    expect(of(gone)).toEqual(before);
  });
  it('a meter with posts to read has a fused sense lead from them', () => {
    const leads = of(done(survey(), { do: 'addMonitor', with: { id: 'dash', part: 'meter-panel' } })).layout.leads;
    expect(leads.filter((l) => l.to === 'dash').map((l) => [l.kind, l.from, l.fuseA])).toEqual([['sense', 'house', 1]]);
  });
  it('a contact is met by its load’s wire: its ohms, and its rating above the fuse', () => {
    const run = (d: Design) => of(d).runs.find((r) => r.spec.serves.id === load)!;
    const [plain, switched] = [run(survey()), run(done(survey(), screen, relays([load])))];
    expect(switched.spec.inline.map((p) => [p.kind, p.ohm])).toEqual([...plain.spec.inline.map((p) => [p.kind, p.ohm] as [string, number]), ['relay', 0.008]] as never);
    if (!switched.ok || !plain.ok) throw new Error('unsized');
    expect(switched.figures.fuseA).toBeLessThanOrEqual(10);
    expect(switched.figures.dropV).toBeGreaterThan(plain.figures.dropV);
  });
  it('says what each output does, and when', () => {
    const rows = of(done(survey(), screen, tank, relays([load, other], { when: { of: 'fresh', is: 'above', value: 10 } }))).supply.settings.filter((s) => s.device === 'relays');
    expect(rows.map((r) => [r.setting, r.value.endsWith('while fresh water is above 10.0 %, else by its button'), r.why])).toEqual([
      ['output 1', true, 'goes off when the unit dies'],
      ['output 2', true, 'goes off when the unit dies'],
    ]);
  });
  it('what a person fitted stands among what is watched, with the unit that shows it', () => {
    const row = of(done(survey(), screen, tank)).supply.watched.find((w) => w.id === 'fresh')!;
    expect([row.quantity, row.instrument, row.range]).toEqual(['fresh water: level', 'tank sender, on the wall unit', '0–100 %']);
  });
  it('a sender that nobody sees and a relay that nothing tells are looks, joined at a press', () => {
    const d = done(survey(), { ...tank, with: { ...(tank.with as object), shownBy: null } }, relays([load]), screen);
    const unseen = found(d, 'monitor-unseen');
    expect(unseen.map((f) => f.at.about)).toEqual(['fresh', 'relays']);
    let now = d;
    for (const f of unseen) {
      const e = editDesign(now, f.presses[0]!.patch);
      if (!e.ok) throw new Error(e.message);
      now = e.design;
    }
    expect(found(now, 'monitor-unseen')).toEqual([]);
    expect(plant(now, SHIPPED_CATALOGUE).monitors.flatMap((m) => (m.shownBy ? [[m.ref.id, m.shownBy.id]] : []))).toEqual([
      ['fresh', 'wall'],
      ['relays', 'wall'],
    ]);
  });
  it('what must not go off on a contact that opens by itself is a look, and comes off it at a press', () => {
    const critical = (d: Design): Design => ({ ...d, loads: { ...d.loads, [load]: { ...d.loads[load]!, critical: true } } });
    const d = critical(done(survey(), screen, relays([load, other])));
    const [f, ...more] = found(d, 'relay-drops');
    expect([f?.at.about, more.length]).toEqual([`relays:${load}`, 0]);
    const e = editDesign(d, f!.presses[0]!.patch);
    expect(e.ok && e.design.monitors['relays']!.switches).toEqual([other]);
    expect(found(critical(done(survey(), screen, { do: 'addMonitor', with: { part: 'relays-8-on', switches: [load] } })), 'relay-drops')).toEqual([]);
  });
  it('two contacts on one load, and more loads than outputs, are stops', () => {
    const twice = done(survey(), screen, relays([load]), { do: 'addMonitor', with: { id: 'more', part: 'relays-4', switches: [load] } });
    expect(found(twice, 'relay-outputs').map((f) => [f.at.about, f.severity])).toEqual([[`more:${load}`, 'stop']]);
    const d = done(survey(), screen, relays([load]));
    d.monitors['relays']!.switches = [load, 'a', 'b', 'c', 'e'];
    for (const id of ['a', 'b', 'c', 'e']) d.loads[id] = { ...d.loads[other]!, order: 90 };
    const [over] = found(d, 'relay-outputs');
    expect([over?.values['loads'], over?.values['has']]).toEqual([5, 4]);
  });
  it('a meter is proved against the voltmeter at the posts that it reads', () => {
    const d = done(survey(), { do: 'addMonitor', with: { id: 'dash', name: 'dash meter', part: 'meter-panel' } }, { do: 'addMonitor', with: { id: 'far', part: 'meter-volts', measures: load } });
    const rows = testPlan(d, SHIPPED_CATALOGUE)!
      .groups.flatMap((g) => g.rows)
      .filter((r) => r.about === 'dash' || r.about === 'far');
    expect(rows.map((r) => [r.expected, r.unit])).toEqual([
      [0, 'V'],
      [0, 'V'],
    ]);
    expect(rows[0]!.where).toBe('Volts that the dash meter shows, less what the voltmeter shows at the posts of the battery');
    expect(rows[0]!.tolerance).toBeGreaterThan(0.1);
    expect(rows[0]!.look).toContain('sense lead');
  });
  it('refuses in words what is not there, and forgets loads that go', () => {
    const said = (with_: object): string => {
      const r = doCommand(survey(), { do: 'addMonitor', with: with_ });
      return r.ok ? 'taken' : r.message;
    };
    expect(said({ part: 'relays-4', switches: ['nothing'] })).toContain('switches: nothing is none of the loads');
    expect(said({ part: 'relays-4', switches: ['a', 'b', 'c', 'd', 'e'] })).toContain('has 4 outputs');
    expect(said({ part: 'sender-tank', shownBy: 'wall' })).toContain('shownBy: wall is none of the monitors');
    expect(said({ part: 'mppt-20' })).toContain('of the kind solar-controller');
    expect(said({ id: 'display', part: 'sender-tank' })).toContain('display is taken');
    const without = done(done(survey(), screen, relays([load, other])), { do: 'removeLoad', with: { load } });
    expect(without.monitors['relays']!.switches).toEqual([other]);
    const metered = done(survey(), { do: 'addMonitor', with: { id: 'far', part: 'meter-volts', measures: load } }, { do: 'removeLoad', with: { load } });
    expect(metered.monitors['far']!.measures).toBeNull();
    expect(found(metered, 'reference-to-nothing')).toEqual([]);
  });
});
