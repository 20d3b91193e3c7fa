import fc from 'fast-check';
import { answer } from '../case-files/index.js';
import { simulateTrip, tripInputSchema } from '../trip/index.js';
import { rigTripSchema, type RigTrip } from './input.js';
import { rigTripEnergy, simulateRigTrip } from './simulate.js';
import { chargerA, workingPoint, type Giving } from './working-point.js';

const SUN = [0, 0, 0, 0, 0, 0, 10, 60, 120, 180, 220, 240, 235, 215, 170, 110, 50, 10, 0, 0, 0, 0, 0, 0];
const num = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

/** A truck and a caravan: a shared alternator, an array each, mains, and a lead from one bank to the other. */
const rig: fc.Arbitrary<RigTrip> = fc
  .record({
    chemistry: fc.constantFrom('agm', 'lfp', 'gel', 'flooded'),
    startSoc: num(0.1, 1),
    watts: num(0, 400),
    amps: num(0, 15),
    rule: fc.constantFrom('one at a time', 'topped up', 'own limits'),
    outputA: fc.option(num(5, 60), { nil: null }),
    budgetW: fc.option(num(100, 900), { nil: null }),
    leadA: num(0, 40),
    waits: fc.option(num(0.2, 0.9), { nil: undefined }),
  })
  .map((p) =>
    rigTripSchema.parse({
      stepS: 600,
      days: 3,
      clearness: [1, 0.3, 0.7],
      vehicles: [{ id: 'truck', driveHours: [[8, 11]], budgetW: p.budgetW }],
      arrays: [
        { id: 'roof', sunWatts: SUN },
        { id: 'beside', sunWatts: SUN, parked: 'truck' },
      ],
      inlets: [{ id: 'site', hours: [[19, 23]], onDays: [1] }],
      banks: [
        { id: 'house', nominalV: 24, chemistry: p.chemistry, capacityAh: 200, startSoc: p.startSoc, ambientC: 25, cutoff: { openV: 24, closeV: 25.6 } },
        { id: 'caravan', nominalV: 12, chemistry: 'lfp', capacityAh: 150, startSoc: 0.5, ambientC: 25, cutoff: { openV: 12, closeV: 12.8 } },
      ],
      selectors: [{ id: 'pick', banks: ['house', 'caravan'], plan: [{ bank: 'caravan', hours: [[18, 24]] }] }],
      loads: [
        { id: 'fridge', bank: 'caravan', kind: 'power', value: p.watts, duty: 0.5, hours: [[0, 24]], critical: true },
        { id: 'light', selector: 'pick', kind: 'current', value: p.amps, hours: [[17.2, 22.7]] },
      ],
      chargers: [
        {
          id: 'manager',
          bank: 'house',
          rule: p.rule,
          outputA: p.outputA,
          inputs: [
            { array: 'roof', maxA: 20, startBelowSoc: p.waits },
            { vehicle: 'truck', maxA: 30 },
            { inlet: 'site', maxA: 25 },
          ],
        },
        {
          id: 'van-dcdc',
          bank: 'caravan',
          rule: p.rule,
          outputA: 40,
          inputs: [
            { vehicle: 'truck', maxA: 40 },
            { array: 'beside', controller: 'pwm', maxA: 15, vmpV: 18.2, cellC: 45 },
          ],
        },
        { id: 'lead', bank: 'caravan', rule: 'own limits', inputs: [{ bank: 'house', maxA: p.leadA, hours: [[12, 20]] }] },
      ],
    }),
  );

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('the trip of a rig', () => {
  it('gives each bank as much as is used, stored and lost in it', () => {
    fc.assert(
      fc.property(rig, (r) => {
        for (const e of Object.values(rigTripEnergy(r))) {
          const most = Math.max(1, e.givenWh, e.usedWh);
          expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh) / most).toBeLessThan(0.002);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('asks no more of a vehicle than its budget in any hour driven, and no more of an array than it has', () => {
    fc.assert(
      fc.property(rig, (r) => {
        const out = simulateRigTrip(r);
        const { budgetW } = r.vehicles[0]!;
        for (const wh of out.vehicles['truck']!.inputWh) expect(wh).toBeLessThanOrEqual((budgetW ?? Infinity) * 3 + 1e-6);
        for (const a of Object.values(out.arrays)) for (const ah of [...a.usedAh, ...a.clippedAh]) expect(ah).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('takes by a lead what the other bank gives, with both losses, and never below its floor', () => {
    fc.assert(
      fc.property(rig, (r) => {
        const out = simulateRigTrip(r);
        const [taken, given] = [sum(out.banks['caravan']!.sourceAh['house']!), sum(out.banks['house']!.givenAh!)];
        expect(given === 0).toBe(taken === 0);
        // Watts over both losses: amps as the volts of the two stand, 10.5–14.6 V taken from 20–29.6 V.
        if (taken > 1) expect((given / taken) * 0.9 * 0.88).toBeGreaterThan(10.5 / 29.6);
        if (taken > 1) expect((given / taken) * 0.9 * 0.88).toBeLessThan(14.6 / 20);
        expect(out.chargers['lead']!.outAh).toEqual(out.banks['caravan']!.sourceAh['house'] as number[]);
      }),
      { numRuns: 40 },
    );
  });

  it('is the plain trip with one bank and one of each, in three chargers or in one', () => {
    const one = fc.record({
      chemistry: fc.constantFrom('agm', 'lfp', 'gel', 'flooded'),
      startSoc: num(0.1, 1),
      watts: num(0, 160),
      amps: num(0, 8),
      sunMaxA: num(2, 20),
      driveH: fc.integer({ min: 0, max: 5 }),
      ambientC: fc.integer({ min: -12, max: 52 }),
    });
    fc.assert(
      fc.property(one, fc.boolean(), (p, apart) => {
        const common = { stepS: 300, days: 3, clearness: [1, 0.4, 0.2] };
        const loads = [
          { id: 'fridge', kind: 'power', value: p.watts, duty: 0.5, hours: [[0, 24]], critical: true },
          { id: 'light', kind: 'current', value: p.amps, duty: 1, hours: [[18.2, 22.7]] },
        ];
        const battery = { chemistry: p.chemistry, capacityAh: 100, startSoc: p.startSoc, ambientC: p.ambientC };
        const cutoff = { openV: 12, closeV: 12.8 };
        const driveHours = [[9, 9 + p.driveH]];
        const plain = simulateTrip(
          tripInputSchema.parse({ ...common, battery, loads, cutoff, alternator: { ratedA: 25, driveHours }, mains: { ratedA: 15, hours: [[20, 23.5]] }, sunWatts: SUN, sunMaxA: p.sunMaxA }),
        );
        const inputs = [
          { array: 'roof', maxA: p.sunMaxA },
          { vehicle: 'ute', maxA: 25 },
          { inlet: 'site', maxA: 15 },
        ];
        const whole = simulateRigTrip(
          rigTripSchema.parse({
            ...common,
            vehicles: [{ id: 'ute', driveHours }],
            arrays: [{ id: 'roof', sunWatts: SUN }],
            inlets: [{ id: 'site', hours: [[20, 23.5]] }],
            banks: [{ id: 'house', nominalV: 12, ...battery, cutoff }],
            loads: loads.map((l) => ({ ...l, bank: 'house' })),
            chargers: apart ? inputs.map((i, n) => ({ id: `c${n}`, bank: 'house', rule: 'own limits', inputs: [i] })) : [{ id: 'c', bank: 'house', rule: 'topped up', inputs }],
          }),
        ).banks['house']!;
        plain.endOfDaySoc.forEach((soc, d) => {
          expect(whole.endOfDaySoc[d]).toBeCloseTo(soc, 9);
          expect(whole.loadAh[d]).toBeCloseTo(plain.loadAh[d]!, 8);
          expect(whole.sourceAh['roof']![d]).toBeCloseTo(plain.sunAh[d]!, 8);
          expect(whole.sourceAh['site']![d]).toBeCloseTo(plain.mainsAh[d]!, 8);
        });
        expect([whole.minSoc, whole.criticalOffH, whole.disconnectOperations].map((x) => x.toFixed(8))).toEqual(
          [plain.minSoc, plain.criticalOffH, plain.disconnectOperations].map((x) => x.toFixed(8)),
        );
      }),
      { numRuns: 40 },
    );
  });
});

describe('the working point', () => {
  const inputs = fc.array(fc.record({ a: num(0, 60), p: fc.oneof(fc.constant(Infinity), num(0, 800)) }), { minLength: 1, maxLength: 6 });

  it('is where the volts of bank, chargers and loads agree, and above it nothing else does', () => {
    fc.assert(
      fc.property(inputs, fc.integer({ min: 0, max: 6 }), num(5, 80), num(0, 40), num(0, 900), num(0.002, 0.08), (list, split, outputA, loadA, loadW, ohm) => {
        const offers = { a: Float64Array.from(list, (x) => x.a), p: Float64Array.from(list, (x) => x.p) };
        const at = Math.min(split, list.length);
        const chargers: Giving[] = [
          { from: 0, to: at, outputA },
          { from: at, to: list.length, outputA: Infinity },
        ];
        const misses = (v: number): number => 12.8 + ohm * (chargers.reduce((s, c) => s + chargerA(c, offers, v), 0) - loadA - loadW / v) - v;
        const v = workingPoint(chargers, offers, 12.8, ohm, loadA, loadW);
        const top = 12.8 + ohm * (list.reduce((s, x) => s + x.a, 0) + 1);
        const tries = Array.from({ length: 400 }, (_, n) => 0.2 + (n * (top - 0.2)) / 399);
        if (Number.isNaN(v)) expect(tries.every((t) => misses(t) < 1e-6)).toBeTrue();
        else {
          expect(Math.abs(misses(v))).toBeLessThan(1e-6);
          expect(tries.filter((t) => t > v + 1e-6).every((t) => misses(t) < 1e-9)).toBeTrue();
        }
      }),
      { numRuns: 400 },
    );
  });
});

describe('a rig that cannot be', () => {
  const bank = { id: 'a', nominalV: 12, chemistry: 'lfp', capacityAh: 100, startSoc: 1, ambientC: 20, cutoff: { openV: 12, closeV: 12.8 } };
  const lead = (from: string, to: string) => ({ id: `${from}-${to}`, bank: to, rule: 'own limits', inputs: [{ bank: from, maxA: 10, hours: [[0, 24]] }] });
  const say = (more: object): string => {
    const a = answer('rigtrip', { days: 1, banks: [bank, { ...bank, id: 'b' }], ...more });
    return a.ok ? 'taken' : a.message;
  };
  const sun = { id: 'roof', sunWatts: SUN };
  const controller = (id: string, more = {}) => ({ id, bank: 'a', rule: 'own limits', inputs: [{ array: 'roof', maxA: 20, ...more }] });
  const bad: readonly (readonly [what: string, rig: object, says: RegExp])[] = [
    ['a charger on a bank that is not there', { chargers: [{ ...lead('a', 'b'), bank: 'c' }] }, /^chargers\.0\.bank: got "c"; one of the banks: a, b/],
    ['two banks that feed each other', { chargers: [lead('a', 'b'), lead('b', 'a')] }, /^chargers: got .*; leads that do not come back/],
    ['an array on two inputs', { arrays: [sun], chargers: [controller('x'), controller('y')] }, /^chargers\.1\.inputs\.0\.array: got "roof"; an array hangs on one input/],
    ['an array on none', { arrays: [sun] }, /^arrays\.0: got .*; an array hangs on one input; this one on none/],
    ['an input of nothing', { chargers: [{ ...lead('a', 'b'), inputs: [{ maxA: 3 }] }] }, /^chargers\.0\.inputs\.0: got .*; an input names one of array, vehicle, inlet, bank/],
    ['words for amps', { arrays: [sun], chargers: [controller('x', { maxA: 'much' })] }, /^chargers\.0\.inputs\.0\.maxA: got "much";/],
    ['a PWM without its panels’ volts', { arrays: [sun], chargers: [controller('x', { controller: 'pwm' })] }, /a PWM input names vmpV and cellC/],
    ['a bank of 0 Ah', { banks: [{ ...bank, capacityAh: 0 }] }, /^banks\.0\.capacityAh: got 0;/],
    ['a bank of 10 V', { banks: [{ ...bank, nominalV: 10 }] }, /^banks\.0\.nominalV: got 10; 12 V or a multiple of it/],
    ['one id for two things', { banks: [bank, bank] }, /^banks\.1\.id: got "a"; an id that nothing else has/],
    ['a load that hangs on nothing', { loads: [{ id: 'l', kind: 'power', value: 5, hours: [[0, 24]] }] }, /^loads\.0: got .*; a load hangs on one of bank and selector/],
    [
      'a charger on a bank and on a selector',
      { selectors: [{ id: 's', banks: ['a', 'b'] }], chargers: [{ ...lead('a', 'b'), selector: 's' }] },
      /^chargers\.0: got .*; a charger hangs on one of bank and selector/,
    ],
    [
      'a lead from a selector back to one of its banks',
      { selectors: [{ id: 's', banks: ['a', 'b'] }], chargers: [{ ...lead('a', 'b'), inputs: [{ selector: 's', maxA: 10, hours: [[0, 24]] }] }] },
      /^chargers: got .*; leads that do not come back/,
    ],
    [
      'a selector by rule with a plan',
      { selectors: [{ id: 's', banks: ['a', 'b'], rule: 'reserve', plan: [{ bank: 'b' }] }] },
      /^selectors\.0\.plan: got .*; nothing: the selector is turned by its rule, reserve/,
    ],
    ['a rule that is none', { selectors: [{ id: 's', banks: ['a'], rule: 'both' }] }, /^selectors\.0\.rule: got "both";/],
    ['a selector that stands on a bank it has not', { selectors: [{ id: 's', banks: ['a'], plan: [{ bank: 'b' }] }] }, /^selectors\.0\.plan\.0\.bank: got "b"; one of the selector’s banks: a/],
  ];
  for (const [what, rig, says] of bad) it(`is refused: ${what}`, () => expect(say(rig)).toMatch(says));
  it('is none with a bank and nothing else', () => expect(say({})).toBe('taken'));
});
