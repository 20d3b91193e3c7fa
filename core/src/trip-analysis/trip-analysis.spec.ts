import { catalogueOf, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { dayKinds } from './days.js';
import { singleFailures } from './failures.js';
import { standingOf, whatHelps } from './helps.js';
import { sunAlone } from './sun-alone.js';
import { sunWays } from './sun-ways.js';
import { jobOfDesign, simulateDesign } from './trip-job.js';
import { singleChanges } from './changes.js';

const demo = (key: string, change: (d: Design) => void = () => undefined): Design => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(d);
  return d;
};
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const trip = (d: Design) => simulateDesign(d, SHIPPED_CATALOGUE, { stepS: 300 })!;

describe('a design’s trip', () => {
  it('has one kind of day for each that differs', () => {
    const { kinds, kindOfDay } = dayKinds(demo('bookmobile').brief.trip);
    expect(kinds.map((k) => k.drivingH)).toEqual([2, 0]);
    expect(kindOfDay).toEqual([0, 1, 1, 0, 1, 1, 0]);
  });
  it('gets nothing from the vehicle by volts on a variable alternator, everything by wire', () => {
    const wired = trip(demo('survey'));
    const byVolts = trip(demo('survey', (d) => (supplyOf(d).trigger = 'volts')));
    expect([sum(byVolts.alternatorAh), sum(wired.alternatorAh) > 50]).toEqual([0, true]);
  });
  it('gets nothing through an isolator that never closes, and all once the dealer has fixed the voltage', () => {
    const never = demo('bees', (d) => (d.brief.alternator.voltage = 'variable'));
    expect(sum(trip(never).alternatorAh)).toBe(0);
    never.settings.variableSchool = 'voltage fixed by the dealer';
    expect(sum(trip(never).alternatorAh)).toBeGreaterThan(30);
  });
  it('takes standby with it', () => {
    const more = trip(demo('bees', (d) => (d.loads['l1']!.standbyW = 5)));
    expect(sum(more.loadAh)).toBeGreaterThan(sum(trip(demo('bees')).loadAh) + 5);
  });
  it('of a fridge that mains carries draws less on nights with mains', () => {
    const also = (d: Design) => (d.loads['l5']!.also = { mains: true, vehicle: false, gas: false });
    expect(sum(trip(demo('playgroup', also)).loadAh)).toBeLessThan(sum(trip(demo('playgroup')).loadAh) - 2);
  });
  it('is one block of a 24 V bank: the same amps, half the watts', () => {
    const job = jobOfDesign(demo('cinema'), SHIPPED_CATALOGUE)!;
    expect(job.bank.capacityAh).toBe(560);
    expect(job.kinds[0]!.loads.find((l) => l.id === 'l4')!.value).toBe(30);
  });
  it('is none without a battery', () =>
    expect(
      jobOfDesign(
        demo('vet', (d) => (supplyOf(d).battery.part = null)),
        SHIPPED_CATALOGUE,
      ),
    ).toBeNull());
});

describe('single failures', () => {
  it('say what goes off, when, and what carries it', () => {
    const by = new Map(singleFailures(demo('vet'), SHIPPED_CATALOGUE).map((f) => [f.id, f]));
    expect(by.get('none')!.offH).toBe(0);
    expect(by.get('vehicle')!.firstOffAtH).toBeGreaterThan(24);
    expect(by.get('vehicle')!.what).toContain('neither vehicle nor sun');
    expect(by.get('sun')!.carriedBy[0]!.what).toBe('vehicle');
    expect(by.get('battery')).toEqual(jasmine.objectContaining({ firstOffAtH: 0, carriedBy: [] }));
  });
  it('leave the sun when it has a controller of its own', () => {
    const by = new Map(singleFailures(demo('bookmobile'), SHIPPED_CATALOGUE).map((f) => [f.id, f]));
    expect(by.get('vehicle')!.carriedBy[0]!.what).toBe('sun');
  });
  it('say that the bank is lost where the batteries left cannot carry it all', () => {
    const battery = (part: string) => {
      const d = demo('bookmobile');
      supplyOf(d).battery.part = part;
      return singleFailures(d, SHIPPED_CATALOGUE).find((f) => f.id === 'battery')!;
    };
    // All at once they draw 124 A: more than one of 120 Ah gives, less than one of 200 Ah.
    expect(battery('bat-lfp-120').what).toContain('the bank is lost');
    expect(battery('bat-lfp-120').offH).toBeGreaterThan(24);
    expect(battery('bat-lfp-200').what).toContain('taken off');
    expect(battery('bat-lfp-200').offH).toBe(0);
  });
  it('are never kinder than nothing failing', () => {
    for (const { design } of DEMO_JOBS) {
      const all = singleFailures(design, SHIPPED_CATALOGUE);
      for (const f of all) expect(f.offH).toBeGreaterThanOrEqual(all[0]!.offH - 1e-9);
    }
  });
});

describe('what helps', () => {
  const dim = demo('survey', (d) => {
    d.brief.trip = { ...d.brief.trip, parkedDays: 4, days: 8 };
    supplyOf(d).battery.part = 'bat-lfp-200';
  });
  it('puts the change that helps most first, each simulated again', () => {
    const h = whatHelps(dim, SHIPPED_CATALOGUE)!;
    expect(h.now.chanceOff).toBeGreaterThan(0.3);
    expect(h.changes[0]!.after.chanceOff).toBeLessThan(h.now.chanceOff);
    h.changes.slice(1).forEach((c, i) => expect(c.after.chanceOff).toBeGreaterThanOrEqual(h.changes[i]!.after.chanceOff));
    const changed = structuredClone(dim);
    singleChanges(dim, SHIPPED_CATALOGUE)
      .find((c) => c.id === h.changes[0]!.id)!
      .apply(changed);
    expect(standingOf(changed, SHIPPED_CATALOGUE)).toEqual(h.changes[0]!.after);
  });
  it('does not offer more driving to a job that stands still', () => expect(singleChanges(demo('cinema'), SHIPPED_CATALOGUE).map((c) => c.id)).not.toContain('driving'));
  it('leaves the design alone', () => {
    const before = JSON.stringify(dim);
    whatHelps(dim, SHIPPED_CATALOGUE);
    expect(JSON.stringify(dim)).toBe(before);
  });
});

describe('sun through the charger or its own controller', () => {
  it('are both simulated; two boxes bring at least as much', () => {
    const [one, two] = sunWays(demo('survey'), SHIPPED_CATALOGUE);
    expect([one!.chosen, two!.chosen]).toEqual([true, false]);
    expect(two!.sunAh + two!.vehicleAh).toBeGreaterThanOrEqual(one!.sunAh + one!.vehicleAh - 0.5);
  });
  it('are not asked where there are no panels', () => expect(sunWays(demo('bees'), SHIPPED_CATALOGUE)).toEqual([]));
});

describe('failures of a rig with two regulators', () => {
  it('lose one at a time: the other goes on', () => {
    const design = EXAMPLE_RIGS.find((r) => r.key === 'ute-two-controllers')!.design;
    const fails = singleFailures(design, catalogueOf(design));
    const sun = (id: string): number => fails.find((f) => f.id === id)!.carriedBy.find((c) => c.what === 'sun')?.ah ?? 0;
    const others = fails.filter((f) => f.id.startsWith('sun'));
    expect(others.map((f) => f.what)).toEqual(['no sun from 320 W: panels, their regulator or a breaker', 'no sun from 200 W: panels, their regulator or a breaker']);
    expect(sun('sun')).toBeGreaterThan(0);
    expect(sun('sun:folding')).toBeGreaterThan(sun('sun'));
    expect(sun('none')).toBeGreaterThan(sun('sun:folding'));
  });
});

describe('sun alone', () => {
  const alone = (d: Design) => sunAlone(d, SHIPPED_CATALOGUE);
  it('is asked of nothing without a panel or a battery', () => {
    expect(alone(demo('vet', (d) => void Object.assign(supplyOf(d).sun, { panel: null, portable: null })))).toBeNull();
    expect(alone(demo('vet', (d) => (supplyOf(d).battery.part = null)))).toBeNull();
  });
  it('is yes with sun enough, whatever the trip drives or plugs in', () => {
    const rich = (d: Design): void => void Object.assign(supplyOf(d).sun, { count: 12, controller: 'mppt-40', panel: 'pv-200' });
    const yes = alone(demo('survey', rich))!;
    expect([yes.stands, yes.reserveAtH, yes.offAtH]).toEqual([true, null, null]);
    expect(alone(demo('survey', (d) => (rich(d), (d.brief.trip.drivingH = 9))))).toEqual(yes);
  });
  it('is no with the hour at which the reserve is reached, the earlier the smaller the bank', () => {
    const little = (Ah: string) =>
      alone(demo('survey', (d) => (Object.assign(supplyOf(d).sun, { count: 1, panel: 'pv-110' }), (supplyOf(d).battery = { part: Ah, count: 1 }), (d.brief.trip.month = 6))))!;
    const [small, large] = [little('bat-lfp-100'), little('bat-lfp-280')];
    expect([small.stands, large.stands]).toEqual([false, false]);
    expect(small.reserveAtH!).toBeGreaterThan(0);
    expect(large.reserveAtH!).toBeGreaterThan(small.reserveAtH!);
    if (small.offAtH !== null) expect(small.offAtH).toBeGreaterThanOrEqual(small.reserveAtH!);
    expect(small.outAh).toBeGreaterThan(small.inAh);
  });
});
