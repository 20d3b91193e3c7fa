import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { rerate } from '../protection/index.js';
import { sharesOfBank } from '../rules/unequal-leads.js';
import { circuitPlan, NAMED_STATES, PARKED, settle, sweep, type CircuitPlan, type CircuitState, type SettledState } from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const planOf = (d: Design): CircuitPlan => circuitPlan(d, SHIPPED_CATALOGUE, assess(d, SHIPPED_CATALOGUE))!;
function settled(plan: CircuitPlan, state: CircuitState): SettledState {
  const r = settle(plan, state);
  if (!r.ok) throw new Error(`${r.error} at ${r.at.join()}`);
  return r;
}
const giver = (r: SettledState, id: string) => r.givers.find((g) => g.id === id)!;

describe('a design’s circuit', () => {
  for (const { key, design } of DEMO_JOBS) {
    const plan = planOf(design);
    it(`${key}: settles in every named state, with all amps balanced, or names what collapses`, () => {
      for (const [name, state] of Object.entries(NAMED_STATES)) {
        const r = settle(plan, state);
        if (r.ok)
          expect(r.steady && r.solved.residualA < 1e-6)
            .withContext(name)
            .toBeTrue();
        else expect([name, r.error, r.at.length > 0]).toEqual(['main switch open', 'no-operating-point', true]);
      }
    });

    it(`${key}: gives out no more power than it takes in`, () => {
      for (const state of [PARKED, NAMED_STATES['driving, loads on']!, NAMED_STATES['everything charges, loads off']!]) {
        const { circuit, solved } = settled(plan, state);
        const across = (plus: string, minus: string): number => solved.nodeVolt[plus]! - solved.nodeVolt[minus]!;
        const given = circuit.sources.reduce((sum, s) => sum + s.volt * solved.branchAmp[s.id]! - s.ohm * solved.branchAmp[s.id]! ** 2, 0);
        const lost = circuit.resistors.reduce((sum, r) => sum + r.ohm * solved.branchAmp[r.id]! ** 2, 0);
        const used = circuit.loads.reduce((sum, l) => sum + (l.kind === 'power' ? l.value : l.value * across(l.plus, l.minus)), 0);
        expect(Math.abs(given - lost - used)).toBeLessThan(1e-4 + 1e-7 * Math.abs(used));
      }
    });

    it(`${key}: no run carries more in any state than it is sized for, but for what the path itself loses; no fuse opens`, () => {
      const s = sweep(plan);
      expect(s.boundHolds).toBeTrue();
      for (const { spec, figures } of plan.runs) {
        const worst = s.runs.find((w) => w.id === spec.id)!;
        expect(worst).withContext(spec.id).toBeDefined();
        // A constant power draws more by as much as its path lowers the volts.
        const least = Math.min(...plan.runs.filter((r) => r.spec.group === 'loads').map((r) => r.figures.arrivesV));
        const fallen = plan.bank.openV / least;
        // What a charger takes while its starting battery sags only passes.
        if (spec.passingA === 0)
          expect(worst.amp)
            .withContext(spec.id)
            .toBeLessThanOrEqual(figures.currentA * figures.perPole * fallen * 1.01 + 0.05);
        expect(worst.amp / figures.perPole)
          .withContext(spec.id)
          .toBeLessThan(figures.fuseA * rerate(figures.fuseType, spec.fuseAirC));
      }
    });
  }

  it('settles where batteries of two kinds charge side by side: what limits one leaves the rest to the other', () => {
    for (const part of ['bat-lfp-100', 'bat-agm-100'])
      for (const count of [1, 2, 3])
        for (const dcdcSecond of [null, 'dcdc-20']) {
          const d = demo('bookmobile');
          Object.assign(supplyOf(d), { battery: { ...supplyOf(d).battery, count }, second: { part, count: 1, joined: 'parallel' }, dcdcSecond });
          const plan = planOf(d);
          for (const name of ['driving, nearly full', 'everything charges, loads off', 'driving, loads on']) {
            const r = settled(plan, NAMED_STATES[name]!);
            const given = r.givers.filter((g) => g.id !== 'alternator').reduce((s, g) => s + g.amp, 0);
            const taken = -r.batteries.filter((b) => b.id !== 'starting').reduce((s, b) => s + b.amp, 0);
            const drawn = r.loads.filter((l) => l.id !== 'vehicle').reduce((s, l) => s + l.amp, 0);
            expect(r.steady).withContext(`${part} ${count} ${name}`).toBeTrue();
            expect(Math.abs(given - taken - drawn))
              .withContext(`${part} ${count} ${name}`)
              .toBeLessThan(0.05);
          }
        }
  });

  it('couples a charger’s input to its output by its efficiency', () => {
    const r = settled(planOf(demo('vet')), NAMED_STATES['at idle, loads on']!);
    const g = giver(r, 'charger');
    const { efficiency } = SHIPPED_CATALOGUE.find('dcdc', 'dcdc-40-dual')!;
    expect(g.mode).toBe('all its amps');
    expect(g.inW).toBeCloseTo((g.amp * g.volt) / efficiency, 3);
    expect(r.runs.get('start-charger')!.amp).toBeCloseTo(g.inA, 3);
  });

  it('tops a sun-first charger up from the vehicle: the sun’s watts come first', () => {
    const plan = planOf(demo('vet'));
    const dark = giver(settled(plan, { ...PARKED, engine: 'cruise' }), 'charger');
    const bright = giver(settled(plan, { ...PARKED, engine: 'cruise', sun: 'full' }), 'charger');
    expect(bright.amp).toBeCloseTo(dark.amp, 6);
    expect(bright.inW).toBeLessThan(dark.inW - 100);
  });

  it('holds a charger at its volts when the bank is nearly full, and lets the bank take what it takes', () => {
    const r = settled(planOf(demo('playgroup')), NAMED_STATES['driving, nearly full']!);
    const g = giver(r, 'charger');
    expect(g.mode).toBe('holding');
    expect(g.volt).toBeCloseTo(14.2, 1);
    expect(-r.batteries[0]!.amp - r.batteries[1]!.amp).toBeCloseTo(g.amp, 3);
  });

  it('cuts a charger out whose feed lets too little through', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { outM: 20, areaMm2: 4, fuseA: 80 };
    const g = giver(settled(planOf(d), { ...PARKED, engine: 'idle', charging: 'bulk' }), 'charger');
    expect([g.mode, g.amp, g.inW]).toEqual(['cut out', 0, 0]);
  });

  it('closes a sensing isolator with the engine running on a fixed alternator, and leaves it open parked', () => {
    const plan = planOf(demo('bees'));
    expect(settled(plan, NAMED_STATES['driving, loads on']!).isolatorClosed).toBeTrue();
    expect(settled(plan, PARKED).isolatorClosed).toBeFalse();
    const forced = settled(plan, { ...PARKED, isolator: 'closed' });
    expect(Math.abs(forced.runs.get('isolator-bus')!.amp)).toBeGreaterThan(1);
  });

  it('warms each cable by its own current', () => {
    const plan = planOf(demo('vet'));
    const r = settled(plan, PARKED);
    const run = plan.runs.find((x) => x.spec.id === 'bus-inverter')!;
    const share = Math.abs(r.runs.get('bus-inverter')!.amp) / run.figures.ampacityA;
    expect(r.runs.get('bus-inverter')!.conductorC).toBeCloseTo(run.spec.ambientC + (105 - run.spec.ambientC) * share ** 2, 1);
  });

  it('darkens what hangs behind an open disconnect, and nothing else', () => {
    const plan = planOf(demo('vet'));
    const r = settled(plan, { ...PARKED, disconnect: 'open' });
    expect(r.loads.filter((l) => !l.live).map((l) => l.id)).toEqual(['load:l1', 'load:l2', 'load:l3', 'load:l4', 'load:l5']);
    expect(r.loads.find((l) => l.id === 'inverter')!.live).toBeTrue();
    expect(Math.abs(r.runs.get('bus-block')!.amp)).toBeLessThan(1e-3);
  });

  it('keeps the bus bars live from a charger with the main switch open, where it can feed what is on', () => {
    const r = settled(planOf(demo('survey')), NAMED_STATES['main switch open']!);
    expect(giver(r, 'charger').mode).toBe('holding');
    expect(Math.abs(r.batteries[0]!.amp)).toBeLessThan(0.01);
  });

  it('says what asks for more than there is when the charger cannot', () => {
    const r = settle(planOf(demo('vet')), NAMED_STATES['main switch open']!);
    expect(!r.ok && r.error === 'no-operating-point' && r.at.includes('inverter')).toBeTrue();
  });

  it('shares between parallel batteries with unequal leads as the rule about them reckons', () => {
    const d = demo('bookmobile');
    d.runs['house1-bus'] = { outM: 0.5 };
    d.runs['house2-bus'] = { outM: 3.5, areaMm2: 25 };
    const a = assess(d, SHIPPED_CATALOGUE);
    const [one, two] = sharesOfBank(a);
    const { batteries } = settled(circuitPlan(d, SHIPPED_CATALOGUE, a)!, PARKED);
    expect(batteries[0]!.amp / batteries[1]!.amp).toBeGreaterThan(1.2);
    expect(batteries[0]!.amp / batteries[1]!.amp / (one!.amp / two!.amp)).toBeCloseTo(1, 1);
  });

  it('takes the volts at the posts as given', () => {
    const r = settled(planOf(demo('vet')), { ...PARKED, postsV: 12 });
    expect(r.batteries[0]!.volt).toBeCloseTo(12, 3);
  });

  it('has no plan without a battery', () => {
    const d = demo('vet');
    supplyOf(d).battery.part = null;
    expect(circuitPlan(d, SHIPPED_CATALOGUE, assess(d, SHIPPED_CATALOGUE))).toBeNull();
  });
});

describe('the worst state of each run and load', () => {
  /** Every combination of loads, engine, sun and mains there is. */
  function all(plan: CircuitPlan, ids: readonly string[]): CircuitState[] {
    const out: CircuitState[] = [];
    for (let set = 0; set < 2 ** ids.length; set++)
      for (const engine of ['off', 'idle', 'cruise'] as const)
        for (const sun of ['none', 'dull', 'full'] as const)
          for (const mains of [false, true])
            for (const postsV of [null, plan.bank.openV])
              out.push({ ...PARKED, loads: { only: ids.filter((_, i) => set & (1 << i)) }, engine, sun, mains, postsV: engine === 'off' && sun === 'none' && !mains ? postsV : null });
    return out;
  }

  for (const key of ['bees', 'survey', 'playgroup']) {
    it(`is as bad as the worst of all combinations: ${key}`, () => {
      const plan = planOf(demo(key));
      const ids = plan.day.loads.map((l) => l.id).slice(0, 4);
      const few = { ...plan, day: { ...plan.day, loads: plan.day.loads.filter((l) => ids.includes(l.id)) } };
      const s = sweep(few);
      const most = new Map<string, number>();
      const least = new Map<string, number>();
      let unsolved = 0;
      for (const state of all(few, ids)) {
        const r = settle(few, state);
        if (!r.ok) {
          unsolved++;
          continue;
        }
        for (const { id, amp } of r.runs.values()) most.set(id, Math.max(most.get(id) ?? 0, Math.abs(amp)));
        for (const l of r.loads) if (l.live && l.id !== 'vehicle') least.set(l.id, Math.min(least.get(l.id) ?? Infinity, l.volt));
      }
      for (const w of s.runs)
        expect(w.amp)
          .withContext(w.id)
          .toBeGreaterThanOrEqual(most.get(w.id)! * (1 - 1e-6) - 1e-6);
      for (const w of s.loads)
        expect(w.volt)
          .withContext(w.id)
          .toBeLessThanOrEqual(least.get(w.id)! + 1e-6);
      expect(unsolved).toBe(0);
      expect(s.solved).toBeLessThan(30);
    });
  }
});

describe('an inverter-charger', () => {
  const d = demo('vet');
  supplyOf(d).inverter = 'inv-chg-1600';
  supplyOf(d).mains.charger = null;
  const plan = planOf(d);
  const feed = plan.runs.find((r) => r.spec.role === 'inverter feed')!;

  it('charges on mains through the cable that it draws by, and passes the mains on to its loads', () => {
    const plugged: CircuitState = { ...PARKED, loads: 'off', mains: true };
    const on = settled(plan, plugged);
    const gives = giver(on, 'inverter');
    expect(gives.amp).toBeGreaterThan(10);
    expect(gives.amp).toBeLessThanOrEqual(60 + 1e-6);
    expect(on.runs.get(feed.spec.id)!.amp).toBeCloseTo(-gives.amp, 3);
    expect(on.batteries[0]!.amp).toBeLessThan(-10);
    const busy = settled(plan, { ...plugged, loads: 'on' });
    expect(busy.loads.some((l) => l.id === feed.spec.to.gear)).toBeFalse();
    expect(settled(plan, { ...plugged, loads: 'on', mains: false }).loads.some((l) => l.id === feed.spec.to.gear)).toBeTrue();
  });

  it('has a cable and fuse for the larger of both', () => {
    expect(feed.spec.lastingA).toBeGreaterThanOrEqual(60);
    for (const [name, state] of Object.entries(NAMED_STATES)) {
      const r = settle(plan, state);
      if (r.ok)
        expect(Math.abs(r.runs.get(feed.spec.id)!.amp))
          .withContext(name)
          .toBeLessThanOrEqual(feed.spec.lastingA * 1.02);
    }
  });
});
