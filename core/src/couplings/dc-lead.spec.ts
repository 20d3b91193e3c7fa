import { catalogueOf, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { isolationMap, PARKED, type CircuitState, type SettledState } from '../circuit/index.js';
import { blankDesign, editDesign, OWN, readDesign, type Design } from '../design/index.js';
import { solveCircuit, type Circuit } from '../network/index.js';
import { jobFromAnswers } from '../supply-options/index.js';
import { testPlan } from '../test-plan/index.js';
import { singleFailures } from '../trip-analysis/index.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { after, refusal } from '../testing/commanded.js';
import { faultBook } from '../faults/index.js';
import { mainsSources } from '../mains/index.js';
import { assessIn, inJob, joinedPlans, joinedTripOf, orderOfJob, assessJob, settleJoined } from './index.js';

const job = EXAMPLE_RIGS.find((r) => r.key === 'box-on-a-lead')!.design;
const catalogue = catalogueOf(job);
const lead = job.couplings['lead']!;
const box = assessIn(job, 'box', catalogue);
const ute = assessIn(job, OWN, catalogue);
const feed = box.runs.find((r) => r.spec.role === 'charger feed')!;
const outlet = ute.runs.find((r) => r.spec.serves.id === lead.outlet)!;
const inlet = job.vehicles['box']!.inlets[lead.inlet!]!;

/** Both circuits as one network: the lead’s cable in the place of the outlet’s load and of what stands at the inlet. */
function asOne(giver: SettledState, taker: SettledState, ohm: number): Circuit {
  const part = (of: string, { circuit: c }: SettledState): Circuit => ({
    ground: `${of}/${c.ground}`,
    nodes: c.nodes.map((n) => `${of}/${n}`),
    resistors: c.resistors.map((r) => ({ ...r, id: `${of}/${r.id}`, a: `${of}/${r.a}`, b: `${of}/${r.b}` })),
    sources: c.sources.filter((s) => s.id !== `lead:${lead.inlet}`).map((s) => ({ ...s, id: `${of}/${s.id}`, plus: `${of}/${s.plus}`, minus: `${of}/${s.minus}` })),
    loads: c.loads.filter((l) => l.id !== `load:${lead.outlet}`).map((l) => ({ ...l, id: `${of}/${l.id}`, plus: `${of}/${l.plus}`, minus: `${of}/${l.minus}` })),
  });
  const [a, b] = [part('ute', giver), part('box', taker)];
  const { plus, minus } = outlet.spec.to;
  const cable = [
    { id: 'lead+', a: `ute/${plus}`, b: `box/${lead.inlet}+`, ohm: ohm / 2 },
    { id: 'lead-', a: `box/${lead.inlet}-`, b: `ute/${minus}`, ohm: ohm / 2 },
  ];
  return { ground: a.ground, nodes: [...a.nodes, ...b.nodes], resistors: [...a.resistors, ...b.resistors, ...cable], sources: [...a.sources, ...b.sources], loads: [...a.loads, ...b.loads] };
}

const settled = (state: CircuitState): { readonly giver: SettledState; readonly taker: SettledState } => {
  const plan = joinedPlans(job, catalogue).find((p) => p.plans.has('box'))!;
  const all = settleJoined(plan, () => state);
  const [giver, taker] = [all.get(OWN)!, all.get('box')!];
  if (!giver.ok || !taker.ok) throw new Error('does not settle');
  return { giver, taker };
};

describe('a DC lead from the bank of one rig to a charger of another', () => {
  it('has a fused outlet, a fused feed from its inlet, plugs of one size, and its loose cable in the order', () => {
    expect([outlet.ok, feed.ok]).toEqual([true, true]);
    expect(outlet.spec.ends).toEqual([{ at: 'from', source: 'house battery' }]);
    expect(feed.spec.ends).toEqual([{ at: 'from', source: 'lead' }]);
    expect(feed.spec.limitingParts.find((p) => p.kind === 'plug')!.ratingA).toBe(inlet.dc!.mostA);
    expect(box.layout.pairs.find((p) => p.run === feed.spec.id)!.ratingA).toBe(inlet.dc!.mostA);
    const loose = box.order.cuts.filter((c) => c.lugs === '2 × plug contact');
    expect(loose.map((c) => [c.colour, c.lengthM])).toEqual([
      ['red', 2],
      ['black', 2],
    ]);
    const pairs = orderOfJob(assessJob(job, catalogue)).lines.find((l) => l.key === `plug-${inlet.dc!.mostA}`)!;
    expect(pairs.quantity).toBe(2);
  });

  it('wants nothing of an engine, no trigger wire, and no question about 230 V', () => {
    expect(box.supply.alternator.wanted.roadA).toBe(0);
    expect(box.layout.leads.filter((l) => l.kind === 'trigger')).toEqual([]);
    expect(mainsSources(inJob(job, 'box', catalogue), catalogue)).toEqual([]);
    expect(box.supply.charging.map((c) => c.from)).toEqual(['lead']);
    expect(box.supply.settings.find((s) => s.setting === 'trigger')!.value).toBe('joined to its own input');
  });

  for (const [name, state] of [
    ['all on', { ...PARKED, mains: true }],
    ['loads off', { ...PARKED, mains: true, loads: 'off' }],
    ['the giving engine runs', { ...PARKED, mains: true, engine: 'cruise' }],
  ] as const satisfies readonly (readonly [string, CircuitState])[])
    it(`joins both circuits as one network would: ${name}`, () => {
      const { giver, taker } = settled(state);
      const [out, into] = [giver.runs.get(outlet.spec.id)!, taker.runs.get(feed.spec.id)!];
      expect(into.amp).toBeGreaterThan(20);
      expect(out.amp).toBeCloseTo(into.amp, 5);
      const ohm = (out.toV - into.fromV) / into.amp;
      expect(ohm).toBeGreaterThan(1e-3);
      const one = solveCircuit(asOne(giver, taker, ohm));
      if (!one.ok) throw new Error(one.error);
      for (const [of, r] of [['ute', giver] as const, ['box', taker] as const]) {
        const base = one.nodeVolt[`${of}/${r.circuit.ground}`]!;
        for (const [node, volt] of Object.entries(r.solved.nodeVolt))
          expect(one.nodeVolt[`${of}/${node}`]! - base)
            .withContext(`${of} ${node}`)
            .toBeCloseTo(volt, 4);
      }
    });

  it('is dead when it is pulled out: nothing at the inlet, nothing drawn at the outlet though all loads are on', () => {
    const { giver, taker } = settled(PARKED);
    expect(taker.runs.get(feed.spec.id)!.fromV).toBeCloseTo(0, 6);
    expect(giver.runs.get(outlet.spec.id)!.amp).toBeCloseTo(0, 9);
  });

  it('moves charge on the trip with the charger’s loss, and each bank’s energy balances', () => {
    const { result, energy, leadWh } = joinedTripOf(job, catalogue)!;
    const took = result.banks['box']!.sourceAh[OWN]!.reduce((s, x) => s + x, 0);
    const gave = result.banks[OWN]!.givenAh!.reduce((s, x) => s + x, 0);
    expect(took).toBeGreaterThan(20);
    expect(took / gave).toBeGreaterThan(0.75);
    expect(took / gave).toBeLessThan(0.95);
    for (const e of Object.values(energy)) expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan(1e-6 * e.givenWh);
    const drawn = ute.day.loads.find((l) => l.id === lead.outlet)!;
    const hours = drawn.spans.reduce((h, [a, b]) => h + b - a, 0);
    expect((drawn.ownW * drawn.duty * hours * job.brief.trip.days) / leadWh['lead']!).toBeCloseTo(1, 3);
    // The box’s own trip, fed in the same hours, comes to the same.
    expect(box.trip!.minSoc).toBeCloseTo(result.banks['box']!.minSoc, 1);
    expect(box.trip!.mainsAh.reduce((s, x) => s + x, 0)).toBeGreaterThan(20);
  });

  it('is pulled out before anything is touched, made up to its length, and no starting battery is spoken of where none is', () => {
    const steps = box.fit.map((s) => s.text);
    expect(steps[0]).toContain('Pull out the lead');
    expect(steps.some((s) => /^Make up the loose lead into the charger: \d+ mm², 2\.0 m/.test(s))).toBeTrue();
    expect(steps.filter((s) => s.includes('starting battery'))).toEqual([]);
    expect(ute.fit.some((s) => s.text.includes('starting battery'))).toBeTrue();
    expect(ute.fit.some((s) => s.text.includes('loose lead'))).toBeFalse();
  });

  it('is what the box lives by: without it a failure is told', () => {
    const plan = joinedPlans(job, catalogue)
      .find((p) => p.plans.has('box'))!
      .plans.get('box')!;
    const map = isolationMap(plan);
    const column = map.columns.findIndex((c) => c.name === 'lead from the other battery');
    const row = map.rows.find((r) => r.gear === lead.inlet)!;
    expect([row.cells[0]!.state, row.cells[column]!.state]).toEqual(['live', 'dead']);
    const failures = singleFailures(inJob(job, 'box', catalogue), catalogue);
    const [sound, cut] = ['none', 'lead'].map((id) => failures.find((f) => f.id === id)!);
    expect(sound!.carriedBy.map((c) => c.what)).toContain('lead');
    expect(cut!.carriedBy.map((c) => c.what)).not.toContain('lead');
    expect(cut!.lowestSoc).toBeLessThan(sound!.lowestSoc);
  });

  it('is proved at the charger while it is plugged in, and a dead lead is told from a dead charger', () => {
    const design = inJob(job, 'box', catalogue);
    const rows = testPlan(design, catalogue)!.groups.flatMap((g) => g.rows);
    const inV = rows.find((r) => r.id === 'mains.in-volts:charger')!;
    expect(inV.expected).toBeGreaterThan(11.5);
    expect(rows.map((r) => r.id)).toEqual(jasmine.arrayContaining(['mains.in-amps:charger', 'mains.out-amps:charger', 'mains.out-volts:charger']));
    expect(testPlan(design, catalogue)!.converters.map((c) => c.rows)).toEqual([['mains.in-volts:charger', 'mains.in-amps:charger', 'mains.out-volts:charger', 'mains.out-amps:charger']]);
    const book = faultBook(design, catalogue)!;
    const at = (fault: string): number => book.probes.find((t) => t.id === 'mains.in-volts:charger')!.predicted[fault]!;
    expect(at('lead-out:charger')).toBeLessThan(1);
    expect(at('dead:charger')).toBeGreaterThan(11.5);
  });

  it('is found where its bank has other volts, where its plug is too small, and where nothing takes', () => {
    const rules = (d: Design, id: string): readonly string[] => assessIn(d, id, catalogue).open.map((f) => f.rule);
    const changed = (change: (d: Design) => void): Design => {
      const d = JSON.parse(JSON.stringify(job)) as Design;
      change(d);
      return d;
    };
    const other = changed((d) => (d.vehicles['box']!.inlets[lead.inlet!]!.dc!.nominalV = 24));
    expect(rules(other, 'box')).toEqual(jasmine.arrayContaining(['lead-wrong-volts', 'wrong-volts']));
    const [mend] = assessIn(other, 'box', catalogue).open.find((f) => f.rule === 'lead-wrong-volts')!.presses;
    const mended = editDesign(inJob(other, 'box', catalogue), [...mend!.patch]);
    expect(mended.ok && mended.design.inlets[lead.inlet!]!.dc!.nominalV).toBe(12);
    expect(
      rules(
        changed((d) => (d.vehicles['box']!.inlets[lead.inlet!]!.dc!.mostA = 15)),
        OWN,
      ),
    ).toContain('lead-overloads');
    const idle = changed((d) => (d.vehicles['box']!.converters['charger']!.from = null));
    expect(rules(idle, 'box')).toEqual(jasmine.arrayContaining(['lead-to-nothing', 'controller-idle']));
    expect(rules(job, 'box')).not.toContain('controller-idle');
  });

  it('is refused where it cannot be, in words', () => {
    const ask = (d: Design, more: object): string => refusal(d, { do: 'couple', with: { from: OWN, to: 'box', carries: 'dc', ...more } });
    expect(ask(job, { from: 'box', to: OWN })).toBe('to: own already gives to box; two vehicles cannot feed each other');
    expect(ask(job, { from: 'box', to: OWN, carries: 'mains' })).toBe('to: own already gives to box; two vehicles cannot feed each other');
    expect(ask(job, { converter: 'kettle' })).toBe('converter: kettle is no charger of box with a DC input; charger');
    expect(ask(job, { carries: 'mains', converter: 'charger' })).toContain('converter: a DC lead alone feeds one charger');
    const towing = after(blankDesign('Nobody'), { do: 'addVehicle', with: { id: 'box', vehicleKind: 'portable-box', rig: 'none' } });
    expect(ask(towing, {})).toContain('there is none yet: add one there first');
    expect(ask(towing, { from: 'box', to: OWN })).toBe('from: box has no bank that a lead could start at; a vehicle with a rig of its own is accepted');
  });

  it('is taken away with outlet and inlet, and an older file knows none', () => {
    const apart = after(job, { do: 'uncouple', with: { coupling: 'lead' } });
    expect([lead.outlet! in apart.loads, lead.inlet! in apart.vehicles['box']!.inlets, apart.vehicles['box']!.converters['charger']!.from]).toEqual([false, false, null]);
    const alone = after(job, { do: 'removeVehicle', with: { vehicle: 'box' } });
    expect([alone.couplings, lead.outlet! in alone.loads]).toEqual([{}, false]);
    const older = JSON.parse(JSON.stringify(blankDesign('Nobody'))) as Design;
    delete (older.inlets['inlet'] as Partial<Design['inlets'][string]>).dc;
    const read = readDesign(older);
    expect(read.ok && read.design.inlets['inlet']!.dc).toBeNull();
  });

  it('is written as a coupling in answers', () => {
    const made = EXAMPLE_RIGS.find((r) => r.key === 'box-on-a-lead')!.made;
    const again = jobFromAnswers(made, SHIPPED_CATALOGUE);
    if ('message' in again) throw new Error(String(again.message));
    expect(JSON.stringify(again)).toContain('"carries":"dc"');
  });
});
