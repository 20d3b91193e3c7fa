import fc from 'fast-check';
import { simulateJob, type SharedWay, type TripJob } from '../trip/index.js';
import { rigTripSchema, type RigTrip } from './input.js';
import { simulateRigTrip, wholeRigTrip } from './simulate.js';

const SUN = [0, 0, 0, 0, 0, 0, 10, 60, 120, 180, 220, 240, 235, 215, 170, 110, 50, 10, 0, 0, 0, 0, 0, 0];
const num = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const DAYS = 6;
const CLEAR = [1, 0.5, 0.2, 1, 0.8, 0.3];

/** What differs from case to case: two banks, what is drawn and what comes in. */
const cases = fc.record({
  firstAh: num(60, 300),
  secondAh: num(60, 300),
  first: num(0.3, 1),
  second: num(0.3, 1),
  watts: num(0, 120),
  sun: num(0, 3),
  alternatorA: num(1, 50),
  mainsA: num(1, 40),
  apart: fc.boolean(),
});
type Case = typeof cases extends fc.Arbitrary<infer C> ? C : never;

/** The rig's words for it. */
const rigOf = (c: Case): RigTrip => {
  const bank = (id: string, capacityAh: number, startSoc: number): object => ({ id, nominalV: 12, chemistry: 'lfp', capacityAh, startSoc, ambientC: 25, cutoff: { openV: 12, closeV: 12.8 } });
  const charging = c.apart ? 'charge' : 'loads';
  return rigTripSchema.parse({
    stepS: 900,
    days: DAYS,
    clearness: CLEAR,
    vehicles: [{ id: 'ute', driveHours: [[8, 10]] }],
    arrays: [{ id: 'roof', sunWatts: SUN.map((w) => w * c.sun) }],
    inlets: [{ id: 'site', hours: [[19, 22]] }],
    banks: [bank('a', c.firstAh, c.first), bank('b', c.secondAh, c.second)],
    selectors: [{ id: 'loads', banks: ['a', 'b'], rule: c.apart ? 'reserve' : 'reserve or full' }, ...(c.apart ? [{ id: 'charge', banks: ['a', 'b'], rule: 'charge' }] : [])],
    loads: [{ id: 'fridge', selector: 'loads', kind: 'power', value: c.watts, duty: 0.5, hours: [[0, 24]], critical: true }],
    chargers: [
      { id: 'sun', selector: charging, rule: 'own limits', inputs: [{ array: 'roof', maxA: 30 }] },
      { id: 'dcdc', selector: charging, rule: 'own limits', inputs: [{ vehicle: 'ute', maxA: c.alternatorA }] },
      { id: 'mains', selector: charging, rule: 'own limits', inputs: [{ inlet: 'site', maxA: c.mainsA }] },
    ],
  });
};

/** The same in the words of a trip of one vehicle. */
const jobOf = (c: Case): TripJob => ({
  stepS: 900,
  days: DAYS,
  bank: { chemistry: 'lfp', capacityAh: c.firstAh, startSoc: c.first },
  second: { chemistry: 'lfp', capacityAh: c.secondAh, startSoc: c.second },
  chargesApart: c.apart,
  cutoff: { openV: 12, closeV: 12.8 },
  reserveSoc: 0.2,
  kinds: [
    {
      loads: [{ id: 'fridge', kind: 'power', value: c.watts, duty: 0.5, hours: [[0, 24]], critical: true }],
      alternatorA: c.alternatorA,
      driveHours: [[8, 10]],
      mainsA: c.mainsA,
      mainsHours: [[19, 22]],
      sunWatts: SUN.map((w) => w * c.sun),
      besideW: [],
    },
  ],
  kindOfDay: CLEAR.map(() => 0),
  clearness: CLEAR,
  sunMaxA: 30,
  beside: [],
  shared: null as { readonly outputA: number; readonly way: SharedWay } | null,
  startBelow: null,
  ambientC: 25,
  airByHour: null,
  oneByOne: false,
});

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('selectors turned by rule', () => {
  it('are those of a trip of one vehicle: charge, what the loads got, what each source brought, and how often they are turned', () => {
    fc.assert(
      fc.property(cases, (c) => {
        const plain = simulateJob(jobOf(c));
        const { result, turns } = wholeRigTrip(rigOf(c));
        // A disconnect of each bank's own opens later than one that watches whichever is in use.
        fc.pre(plain.disconnectOperations === 0 && plain.criticalOffH === 0);
        const [a, b] = [result.banks['a']!, result.banks['b']!];
        const endAh = a.finalSoc * c.firstAh + b.finalSoc * c.secondAh;
        expect(endAh / (c.firstAh + c.secondAh)).toBeCloseTo(plain.finalSoc, 8);
        for (let d = 0; d < DAYS; d++) {
          expect(a.loadAh[d]! + b.loadAh[d]!).toBeCloseTo(plain.loadAh[d]!, 7);
          for (const [source, of] of [
            ['roof', plain.sunAh],
            ['ute', plain.alternatorAh],
            ['site', plain.mainsAh],
          ] as const)
            expect(a.sourceAh[source]![d]! + b.sourceAh[source]![d]!).toBeCloseTo(of[d]!, 7);
        }
        expect(turns['loads']).toBe(plain.turns!.loads);
        if (c.apart) expect(turns['charge']).toBe(plain.turns!.charging!);
      }),
      { numRuns: 60 },
    );
  });

  it('leave nothing out: each bank balances, and a charger gives what its banks took from it', () => {
    fc.assert(
      fc.property(cases, (c) => {
        const { result, energy } = wholeRigTrip(rigOf(c));
        for (const e of Object.values(energy)) expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan(0.002 * Math.max(1, e.givenWh, e.usedWh));
        expect(sum(result.chargers['dcdc']!.outAh)).toBeCloseTo(sum(result.banks['a']!.sourceAh['ute']!) + sum(result.banks['b']!.sourceAh['ute']!), 8);
        expect(sum(result.arrays['roof']!.usedAh)).toBeCloseTo(sum(result.chargers['sun']!.outAh), 8);
        for (const clipped of result.arrays['roof']!.clippedAh) expect(clipped).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('with one bank are no selectors', () => {
    fc.assert(
      fc.property(cases, (c) => {
        const rig = rigOf(c);
        const one = { ...rig, banks: rig.banks.slice(0, 1), selectors: rig.selectors.map((s) => ({ ...s, banks: ['a'] })) };
        const bare = {
          ...one,
          selectors: [],
          loads: one.loads.map((l) => ({ ...l, selector: null, bank: 'a' })),
          chargers: one.chargers.map((x) => ({ ...x, selector: null, bank: 'a' })),
        };
        expect(simulateRigTrip(one)).toEqual(simulateRigTrip(bare));
      }),
      { numRuns: 10 },
    );
  });

  it('go to the fullest of three at the reserve, and charge to the emptiest', () => {
    const bank = (id: string, startSoc: number): object => ({ id, nominalV: 12, chemistry: 'lfp', capacityAh: 100, startSoc, ambientC: 25, cutoff: { openV: 10, closeV: 12.8 } });
    const { result, turns } = wholeRigTrip(
      rigTripSchema.parse({
        stepS: 3600,
        days: 1,
        inlets: [{ id: 'site', hours: [[0, 24]] }],
        banks: [bank('a', 0.2), bank('b', 0.6), bank('c', 0.8)],
        selectors: [
          { id: 'loads', banks: ['a', 'b', 'c'], rule: 'reserve' },
          { id: 'charge', banks: ['c', 'b', 'a'], rule: 'charge' },
        ],
        loads: [{ id: 'l', selector: 'loads', kind: 'current', value: 1, hours: [[0, 24]] }],
        chargers: [{ id: 'm', selector: 'charge', rule: 'topped up', outputA: 2, inputs: [{ inlet: 'site' }] }],
      }),
    );
    expect(result.banks['c']!.loadAh).toEqual([24]);
    expect(sum(result.banks['a']!.sourceAh['site']!)).toBeCloseTo(48, 6);
    expect(turns).toEqual({ loads: 1, charge: 1 });
  });

  it('let a lead draw from the bank in use, and from it alone', () => {
    const bank = (id: string, startSoc: number): object => ({ id, nominalV: 12, chemistry: 'lfp', capacityAh: 100, startSoc, ambientC: 25, cutoff: { openV: 10, closeV: 12.8 } });
    const rig = rigTripSchema.parse({
      stepS: 3600,
      days: 1,
      banks: [bank('a', 0.15), bank('b', 0.9), bank('van', 0.3)],
      selectors: [{ id: 'loads', banks: ['a', 'b'], rule: 'reserve' }],
      chargers: [{ id: 'lead', bank: 'van', rule: 'own limits', inputs: [{ selector: 'loads', maxA: 3, hours: [[6, 16]], floorSoc: 0.1 }] }],
    });
    const { banks } = simulateRigTrip(rig);
    expect(banks['a']!.givenAh).toEqual([0]);
    expect(banks['b']!.givenAh![0]).toBeGreaterThan(30);
    expect(banks['van']!.sourceAh['b']![0]).toBeCloseTo(30, 6);
    expect(banks['van']!.sourceAh['a']).toEqual([0]);
  });
});
