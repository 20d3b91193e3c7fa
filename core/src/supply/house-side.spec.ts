import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, type Existing, supplyOf } from '../design/index.js';
import { arraysOf, offeredDayW } from './array.js';
import { bankOf, selectedBankOf } from './bank.js';
import { bankLife, cyclesAt } from './life.js';
import { seriesShadeYield, sharedRegulatorYield } from './panels.js';
import { parallelChecks } from './paralleling.js';
import { settingsSheet } from './settings-sheet.js';
import { lostFunctions } from './successors.js';
import { watchingPlan } from './watching.js';

const demo = (key: string, change: (d: Design) => void = () => undefined): Design => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(d);
  return d;
};
const bank = (d: Design) => bankOf(d, SHIPPED_CATALOGUE)!;
const array = (d: Design) => arraysOf(d, SHIPPED_CATALOGUE)[0]!;
const offered = (d: Design, parked: boolean): number => arraysOf(d, SHIPPED_CATALOGUE).reduce((s, a) => s + sum(offeredDayW(a, parked)), 0);
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('a bank', () => {
  it('of unequal batteries gives less than the sum of their limits: the first at its limit ends it', () => {
    const b = bank(demo('vet', (d) => (supplyOf(d).second = { part: 'bat-lfp-280', count: 1, joined: 'parallel' })));
    expect(b.capacityAh).toBe(480);
    // 280 of 480 Ah carry that share of the current, and 200 A is their limit.
    expect(b.continuousA).toBeCloseTo((200 * 480) / 280, 6);
  });
  it('behind a selector stays a bank of its own', () => {
    const d = demo('vet', (x) => (supplyOf(x).second = { part: 'bat-agm-120', count: 2, joined: 'selector' }));
    expect([bank(d).capacityAh, selectedBankOf(d, SHIPPED_CATALOGUE)!.capacityAh]).toEqual([200, 240]);
  });
  it('costs less a kWh over its life as lithium, more today', () => {
    const [agm, lfp] = [demo('vet', (d) => (supplyOf(d).battery = { part: 'bat-agm-120', count: 2 })), demo('vet')].map((d) => ({ bank: bank(d), life: bankLife(bank(d)) }));
    expect(lfp!.life.costPerKwh).toBeLessThan(agm!.life.costPerKwh);
    expect(lfp!.life.kgPerUsableKwh).toBeLessThan(agm!.life.kgPerUsableKwh / 2);
    expect(lfp!.bank.price).toBeGreaterThan(agm!.bank.price);
    expect(lfp!.life.endedBy).toBe('years');
  });
  it('lasts fewer cycles the deeper it is used', () => expect(cyclesAt(bank(demo('vet', (d) => (d.settings.usableShare = 1))))).toBeLessThan(cyclesAt(bank(demo('vet')))));
});

describe('panels', () => {
  it('in series fall to the weakest one or to what its diodes leave; side by side each loses its own', () => {
    expect([seriesShadeYield(0, 2), seriesShadeYield(0.1, 2), seriesShadeYield(0.5, 2), seriesShadeYield(0.5, 3)]).toEqual([1, 0.8, 0.5, 2 / 3]);
    const d = demo('bookmobile', (x) => (supplyOf(x).sun.shade = 0.15));
    expect(array(d).shadeYield).toBeCloseTo(0.85, 9);
    supplyOf(d).sun.inSeries = 3;
    expect(array(d).shadeYield).toBeLessThan(0.7);
    expect(array(d).coldOpenV).toBeCloseTo(3 * array(demo('bookmobile')).coldOpenV, 9);
  });
  it('alike share a regulator for nothing; unlike ones drag', () => {
    const [a, b] = [SHIPPED_CATALOGUE.find('panel', 'pv-110')!, SHIPPED_CATALOGUE.find('panel', 'pv-200')!];
    expect(sharedRegulatorYield([a, a])).toBeCloseTo(1, 2);
    expect(sharedRegulatorYield([a, b])).toBeLessThan(0.99);
    expect(sharedRegulatorYield([a, { ...b, vmpV: 34, vocV: 40 }])).toBeLessThan(0.8);
  });
  it('lose to PWM by the month: most when they are cold', () => {
    const months = array(demo('survey')).pwmLossByMonth;
    expect(months[6]!).toBeGreaterThan(months[0]!);
    expect(months.length).toBe(12);
  });
  it('put out when parked bring their hours only then', () => {
    const d = demo('vet', (x) => (supplyOf(x).sun.portable = { panel: 'pv-120-fold', regulated: true, into: 'bank', hours: 6 }));
    expect(offered(d, false)).toBe(sum(array(d).clearDayW));
    const extra = offered(d, true) - sum(array(d).clearDayW);
    expect(extra).toBeGreaterThan(200);
    expect(extra).toBeLessThan(6 * 120);
  });
  it('with a regulator before a regulator, or with none, are counted as nothing', () => {
    for (const portable of [
      { panel: 'pv-120-fold', regulated: true, into: 'panels' as const, hours: 8 },
      { panel: 'pv-120-fold', regulated: false, into: 'bank' as const, hours: 8 },
    ]) {
      const d = demo('vet', (x) => (supplyOf(x).sun.portable = portable));
      expect(offered(d, true)).toBe(sum(array(d).clearDayW));
      expect(arraysOf(d, SHIPPED_CATALOGUE).flatMap((a) => a.portables.map((p) => p.trouble !== null))).toEqual([true]);
    }
  });
});

const old = (change: Partial<Existing>): Existing => ({
  order: 1,
  name: 'old power box',
  part: null,
  verdict: 'remove',
  does: [],
  omitted: {},
  own: { capacityAh: null, outputA: null, watts: null },
  ageYears: null,
  kg: null,
  mm: null,
  notes: '',
  ...change,
});

describe('gear that comes out', () => {
  it('names each function with what takes it over, or with nothing', () => {
    const d = demo('vet', (x) => (x.brief.existing['e1'] = old({ does: ['charges from the vehicle', 'low-voltage cut-off', 'charges from mains'] })));
    expect(lostFunctions(d, SHIPPED_CATALOGUE).map((f) => [f.does, f.successor])).toEqual([
      ['charges from the vehicle', 'DC-DC charger 40 A, dual input'],
      ['charges from mains', null],
      ['low-voltage cut-off', 'disconnect 65 A'],
    ]);
  });
  it('is succeeded by kept gear, or signed off', () => {
    const d = demo('vet', (x) => {
      x.brief.existing['e1'] = old({ does: ['low-voltage cut-off', 'charges from mains'], omitted: { 'charges from mains': 'Tallowgum Auto Electrics' } });
      x.brief.existing['e2'] = old({ order: 2, name: 'old cut-off relay', verdict: 'keep', does: ['low-voltage cut-off'] });
    });
    expect(lostFunctions(d, SHIPPED_CATALOGUE).map((f) => [f.successor, f.omittedBy])).toEqual([
      [null, 'Tallowgum Auto Electrics'],
      ['old cut-off relay', null],
    ]);
  });
});

describe('batteries in parallel', () => {
  const verdicts = (d: Design) => Object.fromEntries(parallelChecks(d, SHIPPED_CATALOGUE).map((c) => [c.what, c.verdict]));
  it('want nothing checked when there is one', () => expect(parallelChecks(demo('vet'), SHIPPED_CATALOGUE)).toEqual([]));
  it('are alike by the plan, and the rest is for the bench', () => {
    const v = verdicts(demo('bookmobile'));
    expect([v['chemistry'], v['model'], v['age'], v['charge'], v['resting volts']]).toEqual(['holds', 'holds', 'holds', 'at the bench', 'at the bench']);
  });
  it('of two kinds stop, of two models or ages are looked at', () => {
    expect(verdicts(demo('vet', (d) => (supplyOf(d).second = { part: 'bat-agm-120', count: 1, joined: 'parallel' })))['chemistry']).toBe('stop');
    const v = verdicts(
      demo('vet', (d) => {
        supplyOf(d).second = { part: 'bat-lfp-100', count: 1, joined: 'parallel' };
        d.brief.existing['e'] = old({ part: 'bat-lfp-100', verdict: 'keep', ageYears: 4 });
      }),
    );
    expect([v['chemistry'], v['model'], v['age']]).toEqual(['holds', 'look', 'look']);
  });
});

describe('the settings of two chargers alike', () => {
  it('stand apart under names of their own', () => {
    const d = demo('vet', (x) => (supplyOf(x).dcdcSecond = supplyOf(x).dcdc));
    const devices = new Set(settingsSheet(d, SHIPPED_CATALOGUE, bank(d), arraysOf(d, SHIPPED_CATALOGUE)).map((s) => s.device));
    const { name } = SHIPPED_CATALOGUE.find('dcdc', supplyOf(d).dcdc)!;
    expect([...devices]).toEqual(jasmine.arrayContaining([name, `${name}, 2`]));
  });
});

describe('sheets', () => {
  it('has a profile for every charger, the bank’s own volts in each', () => {
    const d = demo('playgroup');
    const sheet = settingsSheet(d, SHIPPED_CATALOGUE, bank(d), arraysOf(d, SHIPPED_CATALOGUE));
    const absorption = sheet.filter((s) => s.setting === 'absorption');
    expect(absorption.map((s) => s.value)).toEqual(['14.2 V', '14.2 V']);
    expect(new Set(sheet.map((s) => s.id)).size).toBe(sheet.length);
    expect(sheet.find((s) => s.setting === 'equalise')!.value).toBe('off');
  });
  it('watch what this supply has, where the person wants to see it', () => {
    const d = demo('vet', (x) => (x.supply.seen['charge'] = 'phone'));
    const plan = watchingPlan(d, SHIPPED_CATALOGUE, bank(d), arraysOf(d, SHIPPED_CATALOGUE));
    expect(plan.map((w) => w.id)).toEqual(['charge', 'current', 'volts', 'vehicle', 'sun', 'starting', 'cold', 'battery-temp']);
    expect(plan.find((w) => w.id === 'charge')).toEqual(jasmine.objectContaining({ seenAt: 'phone', chosen: true }));
    expect(plan.find((w) => w.id === 'mains')).toBeUndefined();
  });
});
